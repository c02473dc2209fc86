import { useEffect, useRef, useState } from 'react';

/** As long as it takes from dots to rings. */
const turnMs = 700;

const eased = (share: number): number => share * share * (3 - 2 * share);

/** In what way something is drawn, and how far it has gone there, from 0 for the first way to 1 for the other; at once under reduced motion. */
export function useTurning<Mode>(
  first: Mode,
  other: Mode,
): readonly [mode: Mode, turn: (mode: Mode) => void, turned: number] {
  const [mode, setMode] = useState(first);
  const [turned, setTurned] = useState(0);
  const now = useRef(0);
  const target = mode === other ? 1 : 0;
  useEffect(() => {
    const from = now.current;
    if (from === target) return undefined;
    const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
    let frame = 0;
    let begun: number | null = null;
    const step = (time: number) => {
      begun ??= time;
      const share = still ? 1 : Math.min(1, (time - begun) / turnMs);
      now.current = from + (target - from) * eased(share);
      setTurned(now.current);
      if (share < 1) frame = requestAnimationFrame(step);
    };
    frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  }, [target]);
  return [mode, (own) => setMode(() => own), turned];
}
