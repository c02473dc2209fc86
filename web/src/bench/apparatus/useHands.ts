import { useEffect, useState } from 'react';
import type { Hands } from './apparatus';

/** The hands' own state: what they left before or the start, told onward at every movement. */
export function useHands<H extends Hands>(start: H, left: Hands | null, onHands: (hands: Hands) => void) {
  const [hands, setHands] = useState<H>(() => ({ ...start, ...left }));
  useEffect(() => onHands(hands), [hands, onHands]);
  const move = (part: Partial<H>) => setHands((before) => ({ ...before, ...part }));
  return [hands, move] as const;
}
