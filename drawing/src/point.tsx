import type { Point as Part } from '@green-beam/core';
import { figureFont, ink } from './ink';

/** A spot of a drawing that a reader can be pointed to. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** The spaces between two numbered lines, to be counted out. */
export interface Spaces {
  readonly from: Spot;
  readonly to: Spot;
  readonly count: number;
}

/** Where the parts of a drawing lie; a part that it does not show is absent. */
export type Spots = { readonly [P in Part]?: Spot | Spaces };

const brass = '#f0d59a';

/** A brass ring around the part to look at, or the spaces between two lines counted out. */
export function PointedOut({ at }: { readonly at: Spot | Spaces }) {
  return (
    <g aria-hidden="true" pointerEvents="none">
      {'count' in at ? <Counted {...at} /> : <Ring {...at} />}
    </g>
  );
}

function Ring({ x, y }: Spot) {
  return (
    <>
      <circle cx={x} cy={y} r={34} fill="none" stroke={ink.bench} strokeWidth={7} strokeOpacity={0.6} />
      <circle cx={x} cy={y} r={34} fill="none" stroke={brass} strokeWidth={3.5} />
    </>
  );
}

/** Small numbers 1, 2, 3 … in the spaces; where they would crowd, every second or fifth alone. */
function Counted({ from, to, count }: Spaces) {
  const step = { x: (to.x - from.x) / count, y: (to.y - from.y) / count };
  const apart = Math.hypot(step.x, step.y);
  const every = apart >= 14 ? 1 : apart >= 8 ? 2 : 5;
  const upright = Math.abs(step.y) > Math.abs(step.x);
  return (
    <>
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke={brass} strokeWidth={3} />
      {[from, to].map((end) => (
        <circle key={`${end.x},${end.y}`} cx={end.x} cy={end.y} r={5} fill={brass} />
      ))}
      {Array.from({ length: count }, (_, at) => at + 1)
        .filter((number) => number % every === 0)
        .map((number) => (
          <text
            key={number}
            x={from.x + step.x * (number - 0.5) + (upright ? -12 : 0)}
            y={from.y + step.y * (number - 0.5) + (upright ? 5 : -10)}
            textAnchor={upright ? 'end' : 'middle'}
            fontSize={13}
            fontFamily={figureFont}
            fill={brass}
            stroke={ink.bench}
            strokeWidth={4}
            paintOrder="stroke"
          >
            {number}
          </text>
        ))}
    </>
  );
}
