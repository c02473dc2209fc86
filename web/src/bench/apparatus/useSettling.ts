import { useEffect, useRef, useState } from 'react';

const swingsPerSecond = 0.9;
const damping = 0.28;
const stillBelow = 0.02;

/**
 * A pointer that swings to where it belongs and settles (damped oscillation). Gives where it stands now, and
 * whether it rests. Under reduced motion it is there at once.
 */
export function useSettling(target: number): { readonly stands: number; readonly rests: boolean } {
  const [stands, setStands] = useState(target);
  const motion = useRef({ place: target, speed: 0 });
  useEffect(() => {
    if (matchMedia('(prefers-reduced-motion: reduce)').matches) {
      motion.current = { place: target, speed: 0 };
      const frame = requestAnimationFrame(() => setStands(target));
      return () => cancelAnimationFrame(frame);
    }
    let before = performance.now();
    let frame = requestAnimationFrame(function swing(now) {
      const seconds = Math.min(0.05, (now - before) / 1000);
      before = now;
      const { place, speed } = motion.current;
      const omega = 2 * Math.PI * swingsPerSecond;
      const faster = speed + (omega ** 2 * (target - place) - 2 * damping * omega * speed) * seconds;
      const next = place + faster * seconds;
      const still = Math.abs(next - target) < stillBelow && Math.abs(faster) < stillBelow * omega;
      motion.current = still ? { place: target, speed: 0 } : { place: next, speed: faster };
      setStands(motion.current.place);
      if (!still) frame = requestAnimationFrame(swing);
    });
    return () => cancelAnimationFrame(frame);
  }, [target]);
  return { stands, rests: stands === target };
}
