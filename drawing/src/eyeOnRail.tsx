import { eyeReachMm } from '@green-beam/core';
import type { SVGProps } from 'react';
import { Eye, eyeRail, sightLine } from './eye';
import { levelled, type Tube } from './glassTube';

const eyeX = 700;
const eyePxPerMm = 1.9;

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
