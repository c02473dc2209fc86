import { labelBelow, scaleOf, shown, type GlassModel } from '@green-beam/core';
import { memo } from 'react';
import type { Tube } from './glassTube';
import { figureFont, ink, textFont } from './ink';
import { Lines, type Line } from './lines';
import type { Spots } from './point';

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
  const start = scaleStart({ middleX, radius }, otherNumber !== undefined);
  const words = { stroke: '#0b1411', strokeWidth: 5, paintOrder: 'stroke', fontSize: 20 } as const;
  const seen = lines.flatMap((value) => {
    const y = yOf(value);
    if (y < -12 || y > height - 2) return [];
    const count = Math.round(value / d);
    const numbered = count % spaces === 0;
    const middle = spaces % 2 === 0 && count % (spaces / 2) === 0;
    const length = numbered ? short * 1.7 : middle && spaces > 4 ? short * 1.32 : short;
    return [{ value, y, count, numbered, end: start + length }];
  });
  const across = (these: typeof seen, more: number): readonly Line[] =>
    these.map(({ y, end }) => [start - more, y, end + more, y]);
  return (
    <g fill="#ffffff" fontFamily={figureFont}>
      {/* A dark edge under each line keeps it visible against the white of a card. */}
      <Lines lines={across(seen, 1)} stroke="#0b1411" strokeOpacity={0.7} strokeWidth={4} />
      <Lines className="marks" lines={across(seen, 0)} stroke="#ffffff" strokeWidth={1.4} />
      <Lines
        lines={across(
          seen.filter(({ numbered }) => numbered),
          0,
        )}
        stroke="#ffffff"
        strokeWidth={2}
      />
      {seen
        .filter(({ numbered }) => numbered)
        .map(({ count, value, y, end }) => (
          // The group moves, not what is in it: a letter that stays in its place is not laid out anew.
          <g key={count} transform={`translate(0 ${y})`}>
            <text className="number" x={end + 8} y={7} fontWeight={600} {...words}>
              {shown(value)}
            </text>
            {otherNumber && (
              <text x={start - 10} y={7} textAnchor="end" {...words}>
                {shown(otherNumber(value))}
              </text>
            )}
          </g>
        ))}
    </g>
  );
}

/** Where the lines begin: left on the glass, or nearer its middle where numbers stand on either side. */
const scaleStart = ({ middleX, radius }: Pick<Tube, 'middleX' | 'radius'>, twoScales: boolean): number =>
  middleX - radius * (twoScales ? 0.28 : 0.62);

/** What is printed beside the scale: its unit and the temperature at which it holds. */
export function PrintedUnit({ x, words = 'mL, 20 °C' }: { readonly x: number; readonly words?: string }) {
  return (
    <text x={x} y={28} fontSize={16} fontFamily={textFont} fill={ink.faintChalk}>
      {words}
    </text>
  );
}

/** Where to look on a tube: the bottom of the curve, the numbered line before it, the spaces from there to the next. */
export function tubeSpots(
  tube: Tube,
  model: GlassModel,
  yOf: (value: number) => number,
  value: number,
  twoScales = false,
): Spots {
  const scale = scaleOf(model);
  const label = Math.min(labelBelow(scale, value), scale.highest - scale.labelEvery);
  const first = Math.max(label, 0);
  const x = scaleStart(tube, twoScales);
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
