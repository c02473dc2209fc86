import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { placesIn, sameTrials, type Place, type Stand } from './drawnGroup';

/** As long as it takes from one stand to another: slow enough to follow one dot by eye. */
const turnMs = 1000;

const eased = (share: number): number => share * share * (3 - 2 * share);

interface Way {
  readonly from: readonly Place[];
  readonly to: readonly Place[];
  share: number;
}

/**
 * Goes from where the trials stand to where they are to stand, and paints every step between; at once under reduced motion, and where
 * they are other trials or the drawing is of another width. React draws when it sets out and when it has come to rest, and nothing in
 * between.
 * @returns whether it is on its way, and where it rested last.
 */
export function useTurn(
  target: Stand,
  paint: (from: readonly Place[], to: readonly Place[], share: number) => void,
): { readonly turning: boolean; readonly rest: Stand } {
  const [rested, setRest] = useState(target);
  const [under, setUnder] = useState(false);
  const way = useRef<Way | null>(null);
  const step = useEffectEvent(paint);
  const at = useEffectEvent(() => rested);
  const jumps = rested !== target && !sameTrials(rested, target);
  if (jumps) setRest(target);
  const rest = jumps ? target : rested;
  useEffect(() => {
    const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
    const before = way.current;
    if (before === null && at() === target) return undefined;
    const own: Way = {
      // Turned back on its way, it goes on from where it is.
      from: before ? between(before) : placesIn(at()),
      to: placesIn(target),
      share: 0,
    };
    let begun: number | null = null;
    let frame = requestAnimationFrame(function next(time) {
      begun ??= time;
      const share = still || own.from.length !== own.to.length ? 1 : Math.min(1, (time - begun) / turnMs);
      if (share === 1) {
        way.current = null;
        setRest(target);
        setUnder(false);
        return;
      }
      own.share = eased(share);
      way.current = own;
      setUnder(true);
      step(own.from, own.to, own.share);
      frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, [target]);
  return { turning: under || rest !== target, rest };
}

const between = ({ from, to, share }: Way): Place[] =>
  from.map((start, nth) => {
    const end = to[nth] ?? start;
    return { x: start.x + (end.x - start.x) * share, y: start.y + (end.y - start.y) * share };
  });
