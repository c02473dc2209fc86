import type { Exact } from '../figures';
import { accepts, type Acceptance } from './acceptance';

/** Which way a number leans, and how far in words only: too coarse to be read as the answer. */
export interface Lean {
  readonly direction: 'low' | 'level' | 'high';
  readonly distance: 'level' | 'just off' | 'well off' | 'far off';
}

/** Within a division and a half it is just off, within ten well off. */
export function leanOf(answer: Exact, truth: number, truly: Acceptance, division: number): Lean {
  if (accepts(truly, answer)) return { direction: 'level', distance: 'level' };
  const off = answer.minus(truth);
  const divisions = off.abs().div(division);
  return {
    direction: off.isNegative() ? 'low' : 'high',
    distance: divisions.lte(1.5) ? 'just off' : divisions.lte(10) ? 'well off' : 'far off',
  };
}
