import { accepts, type Acceptance } from './acceptance';

/** Which way a number leans, and how far in words only: too coarse to be read as the answer. */
export interface Deviation {
  readonly direction: 'low' | 'level' | 'high';
  readonly distance: 'level' | 'just off' | 'well off' | 'far off';
}

/** Within a division and a half it is just off, within ten well off. */
export function deviationOf(
  answer: number,
  truth: number,
  accepted: Acceptance,
  division: number,
): Deviation {
  if (accepts(accepted, answer)) return { direction: 'level', distance: 'level' };
  const divisions = Math.abs(answer - truth) / division;
  return {
    direction: answer < truth ? 'low' : 'high',
    distance: divisions <= 1.5 ? 'just off' : divisions <= 10 ? 'well off' : 'far off',
  };
}
