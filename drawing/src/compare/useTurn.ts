import { useEffect, useEffectEvent, useRef, useState } from 'react';

/** As long as it takes from dots to rings: slow enough to follow one of them by eye. */
const turnMs = 1000;

const eased = (share: number): number => share * share * (3 - 2 * share);

/**
 * Goes from where it is to a target, 0 or 1, and paints every step between; at once under reduced motion. React draws when it sets
 * out and when it has come to rest, and nothing in between.
 * @returns whether it is on its way, and where it rested last.
 */
export function useTurn(
  target: 0 | 1,
  paint: (share: number) => void,
): { readonly turning: boolean; readonly rest: 0 | 1 } {
  const [rest, setRest] = useState(target);
  const [back, setBack] = useState(false);
  const now = useRef<number>(target);
  const step = useEffectEvent(paint);
  useEffect(() => {
    const from = now.current;
    if (from === target) return undefined;
    const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
    let begun: number | null = null;
    let frame = requestAnimationFrame(function next(time) {
      begun ??= time;
      const share = still ? 1 : Math.min(1, (time - begun) / turnMs);
      now.current = from + (target - from) * eased(share);
      if (share === 1) {
        setRest(target);
        setBack(false);
        return;
      }
      // Turned back on its way, it is still on its way, though it rested there last.
      setBack(true);
      step(now.current);
      frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, [target]);
  return { turning: back || rest !== target, rest };
}
