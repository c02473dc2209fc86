import { useRef } from 'react';
import { useTicking } from './useTicking';

/** How a tap stands, from 0 (across, shut) to 1 (in line, open). */
export interface Flow {
  readonly open: number;
}

/** Below this it drips, above it runs. */
export const dripsBelow = 0.35;

/**
 * Lets liquid run while a tap is open: a stream by its opening, below that one drop after another.
 * @param perSecond what runs out in a second with the tap fully open, and what one drop is, in mL.
 * @param run told of what has left, and whether it ran fast enough to wet the wall.
 */
export function useFlow(
  open: number,
  perSecond: number,
  drop: number,
  run: (ml: number, fast: boolean) => void,
): void {
  const waited = useRef(0);
  useTicking(open > 0, (seconds) => {
    if (open > dripsBelow)
      return run(perSecond * ((open - dripsBelow) / (1 - dripsBelow)) * seconds, open > 0.7);
    waited.current += seconds * (open / dripsBelow) * 3;
    const drops = Math.floor(waited.current);
    waited.current -= drops;
    if (drops > 0) run(drops * drop, false);
  });
}
