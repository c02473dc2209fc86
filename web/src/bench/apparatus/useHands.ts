import { useEffect, useRef, useState } from 'react';
import type { Hands } from './apparatus';

type Widened<H> = {
  readonly [K in keyof H]: H[K] extends boolean ? boolean : H[K] extends number ? number : H[K];
};

/** The hands' own state: what they left before or the start, told onward at every movement. */
export function useHands<H extends Hands>(start: H, left: Hands | null, onHands: (hands: Hands) => void) {
  const [hands, setHands] = useState(() => ({ ...start, ...left }) as Widened<H>);
  const latest = useRef(hands);
  useEffect(() => onHands(latest.current), [onHands]);
  const move = (part: Partial<Widened<H>>) => {
    latest.current = { ...latest.current, ...part };
    setHands(latest.current);
    onHands(latest.current);
  };
  return [hands, move] as const;
}
