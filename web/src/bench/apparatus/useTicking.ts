import { useEffect } from 'react';

const tickMs = 100;
const longestMs = 1000;

/**
 * Calls `tick` with the seconds that have passed, about ten times a second, as long as something moves. A slow machine
 * ticks less often but loses no time.
 */
export function useTicking(moving: boolean, tick: (seconds: number) => void): void {
  useEffect(() => {
    if (!moving) return;
    const since = performance.now();
    const timer = setTimeout(() => tick(Math.min(longestMs, performance.now() - since) / 1000), tickMs);
    return () => clearTimeout(timer);
  });
}
