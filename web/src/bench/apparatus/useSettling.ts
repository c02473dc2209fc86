import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';

const swingsPerSecond = 0.9;
const damping = 0.28;
const stillBelow = 0.02;

/**
 * A pointer that swings to where it belongs and settles (damped oscillation). Gives where it stands now, and
 * whether it rests. Under reduced motion it is there at once.
 */
export function useSettling(target: number): { readonly stands: number; readonly rests: boolean } {
  const [stands, setStands] = useState(target);
  const motion = useRef({ target, place: target, speed: 0, before: 0, frame: 0 });
  // Only aims at each new target: what swings already goes on swinging.
  useLayoutEffect(() => {
    const moving = motion.current;
    moving.target = target;
    if (moving.frame !== 0 || moving.place === target) return;
    moving.before = performance.now();
    const atOnce = matchMedia('(prefers-reduced-motion: reduce)').matches;
    moving.frame = requestAnimationFrame(function swing(now) {
      if (atOnce) Object.assign(moving, { place: moving.target, speed: 0 });
      else swung(moving, Math.min(0.05, (now - moving.before) / 1000));
      moving.before = now;
      const still = moving.place === moving.target;
      moving.frame = still ? 0 : requestAnimationFrame(swing);
      // In this frame, not in one after it.
      flushSync(() => setStands(moving.place));
    });
  }, [target]);
  useEffect(() => {
    const moving = motion.current;
    return () => {
      cancelAnimationFrame(moving.frame);
      moving.frame = 0;
    };
  }, []);
  return { stands, rests: stands === target };
}

interface Motion {
  readonly target: number;
  place: number;
  speed: number;
}

function swung(motion: Motion, seconds: number): void {
  const { target, place, speed } = motion;
  const omega = 2 * Math.PI * swingsPerSecond;
  const faster = speed + (omega ** 2 * (target - place) - 2 * damping * omega * speed) * seconds;
  const next = place + faster * seconds;
  const still = Math.abs(next - target) < stillBelow && Math.abs(faster) < stillBelow * omega;
  [motion.place, motion.speed] = still ? [target, 0] : [next, faster];
}
