import type { SVGProps } from 'react';
import { ink } from './ink';

export type Line = readonly [x1: number, y1: number, x2: number, y2: number];

/** Straight lines as one path: a scale that moves is then one thing to lay out and paint. */
export const Lines = ({
  lines,
  ...path
}: { readonly lines: readonly Line[] } & Omit<SVGProps<SVGPathElement>, 'd'>) => (
  <path
    stroke={ink.ink}
    fill="none"
    {...path}
    d={lines.map(([x1, y1, x2, y2]) => `M${x1} ${y1}L${x2} ${y2}`).join('')}
  />
);
