import { useEffect, useEffectEvent } from 'react';

const tickMs = 100;
const longestMs = 1000;

/**
 * Calls `tick` with the seconds that have passed, about ten times a second, as long as something moves, whether or not a tick
 * changes what is drawn. A slow machine ticks less often but loses no time.
 */
export function useTicking(moving: boolean, tick: (seconds: number) => void): void {
  const onTick = useEffectEvent(tick);
  useEffect(() => {
    if (!moving) return;
    let since = performance.now();
    const timer = setInterval(() => {
      const now = performance.now();
      const passed = Math.min(longestMs, now - since);
      since = now;
      onTick(passed / 1000);
    }, tickMs);
    return () => clearInterval(timer);
  }, [moving]);
}
