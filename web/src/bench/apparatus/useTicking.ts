import { useEffect } from 'react';

const tickMs = 100;

/** Calls `tick` with the seconds that have passed, ten times a second, as long as something moves. */
export function useTicking(moving: boolean, tick: (seconds: number) => void): void {
  useEffect(() => {
    if (!moving) return;
    const timer = setTimeout(() => tick(tickMs / 1000), tickMs);
    return () => clearTimeout(timer);
  });
}
