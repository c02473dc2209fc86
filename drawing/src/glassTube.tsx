import { riseMm, type GlassModel, type Surface } from '@green-beam/core';
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

/** How far the edge stands above the middle, in millimetres, signed by the kind of surface. */
export const signedRiseMm = (model: Pick<GlassModel, 'boreMm'>, surface: Surface): number =>
  riseMm(model) * { concave: 1, convex: -1, flat: 0 }[surface];

/** A half-dark card held behind the surface: it sharpens the curve. */
export function Card({ middleX, radius, levelY, lift }: Tube) {
  const [left, width] = [middleX - radius - 44, 2 * radius + 88];
  return (
    <g>
      <rect x={left} y={levelY - lift - 92} width={width} height={100} fill="#f2f4ee" />
      <rect x={left} y={levelY - lift + 8} width={width} height={96} fill="#0b1411" />
    </g>
  );
}

/**
 * The liquid with its surface, seen at the height of the eye. Level on, the ring of its rim closes to a line; from
 * above the front of the ring is its lower half, from below its upper one, and the liquid begins there.
 */
export function Liquid({
  tube: { middleX, radius, levelY, lift, rise },
  bottomY,
  card,
  colour = ink.water,
}: {
  readonly tube: Tube;
  readonly bottomY: number;
  readonly card: boolean;
  readonly colour?: string;
}) {
  const [left, right] = [middleX - radius, middleX + radius];
  const middle = levelY - lift;
  const edge = middle - rise;
  const bend = Math.min(radius * 0.62, Math.abs(rise) * 2.4);
  const curve =
    `M${left} ${edge} C${left + bend * 0.12} ${edge + rise * 0.72} ${left + bend * 0.5} ${middle} ${left + bend} ${middle} ` +
    `L${right - bend} ${middle} C${right - bend * 0.5} ${middle} ${right - bend * 0.12} ${edge + rise * 0.72} ${right} ${edge}`;
  const opening = Math.abs(lift);
  const front = `M${left} ${edge} A${radius} ${opening} 0 0 ${lift > 0 ? 0 : 1} ${right} ${edge}`;
  const level = opening < 0.5;
  return (
    <g>
      <path
        d={`${level ? curve : front} L${right} ${bottomY} L${left} ${bottomY} Z`}
        fill={colour}
        fillOpacity={0.62}
      />
      {!level && (
        <ellipse
          cx={middleX}
          cy={edge}
          rx={radius}
          ry={opening}
          fill={lift > 0 ? '#9cc4e8' : '#5b93c6'}
          fillOpacity={0.45}
          stroke="#cfe4f6"
          strokeWidth={1.2}
        />
      )}
      <path
        d={curve}
        fill="none"
        stroke={card ? '#08131d' : '#1c466f'}
        strokeOpacity={card ? 0.95 : 0.75}
        strokeWidth={card ? 5 : 3.5}
        transform={`translate(0 ${card ? 2.5 : 1.75})`}
      />
      <path d={curve} fill="none" stroke="#d8eaf8" strokeOpacity={card ? 0.9 : 0.5} strokeWidth={1} />
    </g>
  );
}

/** Two edges of glass and a highlight; its brim where that comes into view. */
export function Wall({
  tube: { middleX, radius },
  brimY,
  bottomY,
  open = false,
}: {
  readonly tube: Tube;
  readonly brimY: number;
  readonly bottomY: number;
  readonly open?: boolean;
}) {
  const [left, right] = [middleX - radius, middleX + radius];
  return (
    <g>
      {[left - 4, right].map((x) => (
        <rect key={x} x={x} y={brimY} width={4} height={bottomY - brimY} fill="#bcd2ca" fillOpacity={0.75} />
      ))}
      <rect
        x={left + radius * 0.1}
        y={brimY}
        width={radius * 0.07}
        height={bottomY - brimY}
        fill="#ffffff"
        fillOpacity={0.08}
      />
      {open && (
        <path
          d={`M${left - 12} ${brimY - 8} Q${middleX} ${brimY + 4} ${right + 12} ${brimY - 8}`}
          fill="none"
          stroke="#bcd2ca"
          strokeWidth={4}
        />
      )}
    </g>
  );
}
