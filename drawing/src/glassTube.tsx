import { mmPerMl, parallaxMm, riseMm, type GlassModel, type Surface } from '@green-beam/core';
import { memo } from 'react';
import { ink } from './ink';

/** A piece of upright glass around the level of its liquid, in drawing units. */
export interface Tube {
  readonly middleX: number;
  readonly radius: number;
  /** Where the bottom of the curve meets the front wall for a level eye. */
  readonly levelY: number;
  /** How far the middle of the surface is seen above that by the eye as it stands. */
  readonly lift: number;
  /** How far the edge of the surface stands above its middle; negative for a dome. */
  readonly rise: number;
}

/** Height of the eye’s rail: where the level of a liquid is held on the stage. */
export const levelled = 330;
export const tubeX = 392;
const widest = 150;
const wall = 11;

/**
 * How a tube is enlarged, true to scale in both directions: a division as high as is asked, or less where the tube
 * would else grow too wide.
 */
export function pxPerMm(model: GlassModel, divisionPx: number, maxRadius = widest): number {
  return Math.min(divisionPx / (Number(model.division) * mmPerMl(model)), maxRadius / (model.boreMm / 2));
}

interface Seen {
  readonly model: GlassModel;
  readonly px: number;
  readonly surface: Surface;
  readonly eyeMm: number;
  readonly levelY?: number;
  readonly middleX?: number;
}

/** The tube as it is seen from where the eye is. */
export const seenTube = ({ model, px, surface, eyeMm, levelY = levelled, middleX = tubeX }: Seen): Tube => ({
  middleX,
  radius: (model.boreMm / 2) * px,
  levelY,
  lift: parallaxMm(model, eyeMm) * px,
  rise: signedRiseMm(model, surface) * px,
});

/** How far the edge stands above the middle, in millimetres, signed by the kind of surface. */
export const signedRiseMm = (model: Pick<GlassModel, 'boreMm'>, surface: Surface): number =>
  riseMm(model) * { concave: 1, convex: -1, flat: 0 }[surface];

/** A half-dark card held behind the surface: it sharpens the curve. */
export function Card({ middleX, radius, levelY, lift }: Tube) {
  const [left, width] = [middleX - radius - 54, 2 * radius + 108];
  return (
    <g>
      <rect x={left} y={levelY - lift - 100} width={width} height={112} fill="#f2f4ee" />
      <rect x={left} y={levelY - lift + 12} width={width} height={92} fill="#0b1411" />
      <rect x={left} y={levelY - lift - 100} width={width} height={204} fill="none" stroke="#0b1411" />
    </g>
  );
}

/**
 * The curve of a surface from wall to wall, as points: level in the middle, a quarter of an ellipse up or down to each
 * wall. Its middle lies where it lies, however far its edges rise or hang.
 */
export function surfaceLine({ middleX, radius }: Tube, middle: number, rise: number): readonly string[] {
  const bend = Math.min(radius, Math.abs(rise) * 2.6) || 1;
  const arc = Array.from({ length: 13 }, (_, at) => Math.sin((Math.PI / 2) * (1 - at / 12)));
  const right = arc.map(
    (share) => [radius - bend + bend * share, rise * (1 - Math.sqrt(1 - share ** 2))] as const,
  );
  return [
    ...right.map(([x, up]) => `${middleX - x} ${middle - up}`),
    ...right.map(([x, up]) => `${middleX + x} ${middle - up}`).reverse(),
  ];
}

/**
 * The liquid with its surface, seen at the height of the eye. Level on, the ring of its rim closes to a line; from
 * above the front of the ring is its lower half, from below its upper one, and the liquid begins there. The curve is a
 * hair line at the true place, and the shade that makes it visible lies on the side away from where it is read.
 */
export function Liquid({
  tube,
  bottomY,
  card,
  colour = ink.water,
}: {
  readonly tube: Tube;
  readonly bottomY: number;
  readonly card: boolean;
  readonly colour?: string;
}) {
  const { middleX, radius, levelY, lift, rise } = tube;
  const [left, right] = [middleX - radius, middleX + radius];
  const middle = levelY - lift;
  const edge = middle - rise;
  const line = surfaceLine(tube, middle, rise);
  const curve = `M${line.join('L')}`;
  const opening = Math.abs(lift);
  const level = opening < 0.5;
  const front = `M${left} ${edge} A${radius} ${opening} 0 0 ${lift > 0 ? 0 : 1} ${right} ${edge}`;
  // Inside the liquid under a dome, between the curve and its rim in a bowl; under a flat surface a thin band.
  const thick = Math.min(13, Math.max(4, Math.abs(rise) * 0.42));
  const far =
    rise > 0
      ? surfaceLine(tube, middle - thick, rise - thick)
      : surfaceLine(tube, middle + thick, rise === 0 ? 0 : rise + thick);
  const body = Math.min(bottomY, 660);
  return (
    <g>
      <path
        d={`${level ? curve : front} L${right} ${body} L${left} ${body} Z`}
        fill={colour}
        fillOpacity={0.66}
      />
      {[left, right - radius * 0.09].map((x) => (
        <rect
          key={x}
          x={x}
          y={edge}
          width={radius * 0.09}
          height={Math.max(0, body - edge)}
          fill="#0d3358"
          fillOpacity={0.38}
        />
      ))}
      {level ? (
        rise > 0 && <path d={`${curve} Z`} fill="#b9d5ee" fillOpacity={0.75} />
      ) : (
        <ellipse
          cx={middleX}
          cy={edge}
          rx={radius}
          ry={opening}
          fill={lift > 0 ? '#b9d5ee' : '#6ea3d2'}
          fillOpacity={0.6}
          stroke="#d8eaf8"
          strokeWidth={1.2}
        />
      )}
      <path
        className="meniscus-shade"
        d={`${curve}L${[...far].reverse().join('L')}Z`}
        fill="#06121d"
        fillOpacity={card ? 0.94 : 0.72}
      />
      <path
        className="meniscus"
        d={curve}
        fill="none"
        stroke="#eaf4fb"
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}

/** Two walls of glass with their edges, a streak of light, and the brim where that comes into view. */
export const Wall = memo(function Wall({
  middleX,
  radius,
  brimY,
  bottomY,
  spout = false,
}: {
  readonly middleX: number;
  readonly radius: number;
  readonly brimY: number;
  readonly bottomY: number;
  readonly spout?: boolean;
}) {
  const [left, right, height] = [middleX - radius, middleX + radius, bottomY - brimY];
  return (
    <g>
      {[left - wall, right].map((x) => (
        <rect key={x} x={x} y={brimY} width={wall} height={height} fill="#9cc0b2" fillOpacity={0.42} />
      ))}
      <path
        d={[left - wall, left, right, right + wall].map((x) => `M${x} ${brimY} V${bottomY}`).join('')}
        stroke="#d3e4dc"
        strokeWidth={1.2}
        fill="none"
      />
      <rect
        x={left + radius * 0.14}
        y={brimY}
        width={radius * 0.09}
        height={height}
        fill="#ffffff"
        fillOpacity={0.28}
      />
      {brimY > 0 && (
        <path
          d={`M${left - wall - 12} ${brimY - 9} Q${left - wall} ${brimY - 4} ${left - wall} ${brimY + 8} M${right + wall + (spout ? 34 : 12)} ${brimY - (spout ? 22 : 9)} Q${right + wall} ${brimY - 4} ${right + wall} ${brimY + 8} M${left - wall - 12} ${brimY - 9} H${right + wall + 12}`}
          fill="none"
          stroke="#d3e4dc"
          strokeWidth={3}
          strokeLinecap="round"
        />
      )}
    </g>
  );
});
