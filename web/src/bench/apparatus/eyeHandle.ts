import type { SVGProps } from 'react';
import { handleProps } from './handle';

const stepMm = 10;

interface EyeSettings {
  readonly eyeMm: number;
  readonly reachMm: number;
  readonly along: 'x' | 'y';
  /** What the eye sees, without the reading. */
  readonly says: string;
  readonly placeToMm: (place: number) => number;
  readonly onLook: (eyeMm: number) => void;
}

/** The eye as a handle: dragged on its rail, or moved by keys, a centimetre at a time and finer with Shift. */
export function eyeHandle({
  eyeMm,
  reachMm,
  along,
  says,
  placeToMm,
  onLook,
}: EyeSettings): SVGProps<SVGGElement> {
  const look = (mm: number) => onLook(Number(Math.min(reachMm, Math.max(-reachMm, mm)).toFixed(1)));
  return handleProps({
    label: 'Your eye',
    share: (eyeMm + reachMm) / (2 * reachMm),
    says,
    along,
    onStep: (direction, finer) => look(eyeMm + direction * (finer ? 1 : stepMm)),
    onStop: (direction) => look(direction * reachMm),
    onDrag: (place) => look(placeToMm(place)),
  });
}

/** How the eye is moved, for who has not yet. */
export const eyeWords = 'Drag your eye, or move it with the arrow keys.';

/** What the eye sees of the ring of a surface: it tells the height of the eye, not the reading. */
export function ringWords(eyeMm: number): string {
  if (Math.abs(eyeMm) < 3) return 'the ring of the surface is closed to a line';
  return `you see the ring of the surface from ${eyeMm > 0 ? 'above' : 'below'}, ${Math.abs(eyeMm) > 60 ? 'wide open' : 'nearly closed'}`;
}
