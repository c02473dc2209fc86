import type { SVGProps } from 'react';
import { ink } from './ink';

/** The reader's eye, to be taken in hand. */
export function Eye({
  x,
  y,
  handle,
}: {
  readonly x: number;
  readonly y: number;
  readonly handle: SVGProps<SVGGElement>;
}) {
  return (
    <g {...handle} transform={`translate(${x} ${y})`}>
      <rect x={-34} y={-24} width={68} height={48} fill="transparent" />
      <path
        d="M-26 0 Q0 -20 26 0 Q0 20 -26 0 Z"
        fill={ink.bench}
        stroke="#f0d59a"
        strokeWidth={2.5}
        className="eye-body"
      />
      <circle r={9} fill="#f0d59a" />
      <circle r={4} fill={ink.bench} />
    </g>
  );
}

/** The line along which an eye looks. */
export const sightLine = { stroke: '#e2bb66', strokeWidth: 1.5, strokeDasharray: '6 5' } as const;
/** The rail on which an eye moves. */
export const eyeRail = { stroke: '#3d6358', strokeWidth: 2 } as const;
