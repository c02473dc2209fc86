import { useSyncExternalStore } from 'react';
import type * as everything from './writing';

type Writing = typeof everything;

let writing: Writing | null = null;
const waiting = new Set<() => void>();
void import('./writing').then((own) => {
  writing = own;
  for (const tell of waiting) tell();
});
const hear = (tell: () => void) => {
  waiting.add(tell);
  return () => void waiting.delete(tell);
};

/** What can be said of a number as it stands. A field can be used before that: null until the numbers are loaded. */
export const useWriting = (): Writing | null => useSyncExternalStore(hear, () => writing);
