import {
  eyeReachMm,
  labelBelow,
  riseMm,
  scaleOf,
  shown,
  type GlassModel,
  type Surface,
} from '@green-beam/core';
import { memo, type SVGProps } from 'react';
import { Eye, eyeRail, sightLine } from './eye';
import { figureFont, ink, textFont } from './ink';
import type { Spots } from './point';

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

interface MarksProps {
  readonly tube: Tube;
  readonly model: GlassModel;
  /** Where a value lies, evenly along the glass. */
  readonly yOf: (value: number) => number;
  readonly height: number;
  /** A second set of numbers, left of the lines. */
  readonly otherNumber?: (value: number) => number;
}

/**
 * Lines on the front wall, longest where they are numbered. The glass's own numbers stand right of their lines. They
 * are drawn again only when the glass itself has moved: two of its places tell.
 */
export const Marks = memo(
  EvenMarks,
  (before, now) =>
    before.model === now.model &&
    before.height === now.height &&
    before.tube.middleX === now.tube.middleX &&
    before.tube.radius === now.tube.radius &&
    before.yOf(0) === now.yOf(0) &&
    before.yOf(1) === now.yOf(1),
);

function EvenMarks({ tube: { middleX, radius }, model, yOf, height, otherNumber }: MarksProps) {
  const { d, labelEvery, lowest, highest } = scaleOf(model);
  const spaces = Math.round(labelEvery / d);
  const lines = Array.from({ length: Math.round((highest - lowest) / d) + 1 }, (_, at) => lowest + at * d);
  const short = Math.max(16, Math.min(44, radius * 0.36));
  const start = middleX - radius * 0.3;
  const words = { stroke: '#0b1411', strokeWidth: 5, paintOrder: 'stroke', fontSize: 19 } as const;
  return (
    <g fill="#ffffff" stroke="#ffffff" fontFamily={figureFont}>
      {lines.map((value) => {
        const y = yOf(value);
        if (y < -12 || y > height - 2) return null;
        const count = Math.round(value / d);
        const numbered = count % spaces === 0;
        const middle = spaces % 2 === 0 && count % (spaces / 2) === 0;
        const length = numbered ? short * 1.7 : middle && spaces > 4 ? short * 1.32 : short;
        return (
          <g key={count}>
            {/* A dark edge under each line keeps it visible against the white of a card. */}
            <line
              className="edge"
              x1={start - 1}
              x2={start + length + 1}
              y1={y}
              y2={y}
              stroke="#0b1411"
              strokeOpacity={0.7}
              strokeWidth={4}
            />
            <line
              className="mark"
              x1={start}
              x2={start + length}
              y1={y}
              y2={y}
              strokeWidth={numbered ? 2 : 1.4}
            />
            {numbered && (
              <text x={start + length + 8} y={y + 6} fontWeight={600} {...words}>
                {shown(value)}
              </text>
            )}
            {numbered && otherNumber && (
              <text x={start - 10} y={y + 6} textAnchor="end" {...words}>
                {shown(otherNumber(value))}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** What is printed beside the scale: its unit and the temperature at which it holds. */
export function PrintedUnit({ x, words = 'mL, 20 °C' }: { readonly x: number; readonly words?: string }) {
  return (
    <text x={x} y={26} fontSize={15} fontFamily={textFont} fill={ink.faintChalk}>
      {words}
    </text>
  );
}

const eyeX = 700;
const eyePxPerMm = 1.9;
const levelled = 330;

/** Where the eye is drawn for a height above the level, and back. */
export const eyeY = (eyeMm: number): number => levelled - eyeMm * eyePxPerMm;
export const eyeMmAt = (y: number): number =>
  Math.min(eyeReachMm, Math.max(-eyeReachMm, (levelled - y) / eyePxPerMm));

/** The reader's eye on its rail, and the line along which it looks at the middle of the surface. */
export function EyeOnRail({
  tube,
  eyeMm,
  ...handle
}: { readonly tube: Tube; readonly eyeMm: number } & SVGProps<SVGGElement>) {
  return (
    <g>
      <line x1={eyeX} x2={eyeX} y1={eyeY(eyeReachMm)} y2={eyeY(-eyeReachMm)} {...eyeRail} />
      <line x1={tube.middleX} y1={tube.levelY - tube.lift} x2={eyeX - 24} y2={eyeY(eyeMm)} {...sightLine} />
      <Eye x={eyeX} y={eyeY(eyeMm)} handle={handle} />
    </g>
  );
}

/** Where to look on a tube: the bottom of the curve, the numbered line before it, the spaces from there to the next. */
export function tubeSpots(
  tube: Tube,
  model: GlassModel,
  yOf: (value: number) => number,
  value: number,
): Spots {
  const scale = scaleOf(model);
  const label = Math.min(labelBelow(scale, value), scale.highest - scale.labelEvery);
  const first = Math.max(label, 0);
  const x = tube.middleX - tube.radius * 0.3;
  return {
    level: { x: tube.middleX, y: tube.levelY - tube.lift },
    label: { x: x + 20, y: yOf(first) },
    spaces: {
      from: { x: x - 6, y: yOf(first) },
      to: { x: x - 6, y: yOf(first + scale.labelEvery) },
      count: Math.round(scale.labelEvery / scale.d),
    },
  };
}
