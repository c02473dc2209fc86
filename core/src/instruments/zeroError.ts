import type { Misreading, NumberOption, Setting } from './instrument';

/** A setting of an instrument that may not read zero with its jaws closed. */
export interface WithZeroError extends Setting {
  /** What it shows with its jaws closed, with its sign, in its unit. */
  readonly zeroError: number;
  /** True where the class writes readings as they stand, and takes the zero error off their mean. */
  readonly asItStands?: boolean;
}

/** Corrected = observed − zero error, signs kept; as it stands where the class corrects the mean. */
export const lessZeroError = ({ zeroError, asItStands }: WithZeroError, observed: number): number =>
  asItStands ? observed : observed - zeroError;

/** What it shows with its jaws closed, a whole number of its least counts, as far as it can show less than zero. */
export const zeroErrorOption = <S extends WithZeroError & { readonly at: number }>(
  withIt: (setting: S, zeroError: number, size: number) => S,
): NumberOption<S> => ({
  key: 'zero-error',
  name: 'Reading with the jaws closed (zero error)',
  inItsUnit: true,
  bounds: (_, { belowZero }) => [-Number(belowZero ?? 0), Number(belowZero ?? 0)],
  change: (setting, wanted, { division }) => {
    const step = Number(division);
    const zeroError = Number((Math.round(wanted / step) * step).toPrecision(10));
    return withIt(setting, zeroError, Number((setting.at - zeroError).toPrecision(10)));
  },
});

/** What is asked of the zero error, after the question itself. */
export const zeroErrorWords = ({ asItStands }: WithZeroError): string =>
  asItStands
    ? 'Write it as it stands: your class takes the zero error off the mean.'
    : 'Correct for the zero error.';

/** The two slips with a zero error, for the instruments that have one. */
export const zeroErrorMisreadings: readonly Misreading<WithZeroError>[] = [
  {
    code: 'zero-error-ignored',
    stage: 'correction',
    skill: 'zero error',
    title: 'You left the zero error in.',
    predict: ({ zeroError, asItStands }, observed) => (zeroError === 0 || asItStands ? [] : [observed]),
    hint: () =>
      'Close it on nothing and look: what does it show there? That is in every reading, and has to come out.',
  },
  {
    code: 'zero-error-reversed',
    stage: 'correction',
    skill: 'zero error',
    title: 'You took the zero error off with the wrong sign.',
    predict: ({ zeroError, asItStands }, observed) =>
      zeroError === 0 || asItStands ? [] : [observed + zeroError],
    hint: ({ zeroError }) =>
      `Corrected is observed minus zero error. With the jaws closed it shows ${zeroError < 0 ? 'less' : 'more'} than zero. Does every reading then show too ${zeroError < 0 ? 'little' : 'much'}?`,
  },
  {
    code: 'zero-error-taken-off',
    stage: 'correction',
    skill: 'zero error',
    title: 'The zero error was taken off already.',
    predict: ({ zeroError, asItStands }, observed) =>
      zeroError === 0 || !asItStands ? [] : [observed - zeroError],
    hint: () => 'Your class writes readings as they stand, and takes the zero error off their mean.',
  },
];
