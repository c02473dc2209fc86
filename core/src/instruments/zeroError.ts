import type { Misreading, Setting } from './instrument';

/** A setting of an instrument that may not read zero when it is closed on nothing. */
export interface WithZeroError extends Setting {
  /** What it shows when closed on nothing, with its sign, in its unit. */
  readonly zeroError: number;
}

/** Corrected = observed − zero error, signs kept. */
export const lessZeroError = ({ zeroError }: WithZeroError, observed: number): number => observed - zeroError;

/** The two slips with a zero error, for the instruments that have one. */
export const zeroErrorMisreadings: readonly Misreading<WithZeroError>[] = [
  {
    code: 'zero-error-ignored',
    stage: 'correction',
    skill: 'zero error',
    title: 'You left the zero error in.',
    predict: ({ zeroError }, observed) => (zeroError === 0 ? [] : [observed]),
    look: () =>
      'Close it on nothing and look: what does it show there? That is in every reading, and has to come out.',
  },
  {
    code: 'zero-error-reversed',
    stage: 'correction',
    skill: 'zero error',
    title: 'You took the zero error off with the wrong sign.',
    predict: ({ zeroError }, observed) => (zeroError === 0 ? [] : [observed + zeroError]),
    look: ({ zeroError }) =>
      `Corrected is observed minus zero error. Closed on nothing it shows ${zeroError < 0 ? 'less' : 'more'} than zero: so does every reading show too ${zeroError < 0 ? 'little' : 'much'}?`,
  },
];
