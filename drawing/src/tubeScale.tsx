import { labelBelow, scaleOf, shown, type GlassModel } from '@green-beam/core';
import { memo } from 'react';
import type { Tube } from './glassTube';
import { figureFont, ink, textFont } from './ink';
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
              <text className="number" x={start + length + 8} y={y + 7} fontWeight={600} {...words}>
                {shown(value)}
              </text>
            )}
            {numbered && otherNumber && (
              <text x={start - 10} y={y + 7} textAnchor="end" {...words}>
                {shown(otherNumber(value))}
              </text>
            )}
          </g>
        );
      })}
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
