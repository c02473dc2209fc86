import type { Step } from '../conventions';
import type { Exact } from '../figures';

/** A written value in the instrument's own unit. */
export interface WrittenValue {
  readonly value: Exact;
  readonly decimals: number;
}

/** A fault of the writing, whatever the value. */
export interface FormFault {
  readonly code: 'dropped-final-digit' | 'dropped-trailing-zero' | 'bare-zero' | 'extra-digit' | 'off-step';
  readonly title: string;
  readonly look: string;
}

/** The values that a writer may have meant, as a closed interval: one value unless digits were dropped. */
export interface Meant {
  readonly low: number;
  readonly high: number;
}

export interface Form {
  readonly faults: readonly FormFault[];
  readonly meant: Meant;
}

/**
 * Compares the digits of a written value with those the step asks for.
 * @param fits whether some value that may have been meant would be right: it tells a dropped 0 from another digit.
 * @param unit the instrument's own unit, for the sentences.
 */
export function checkForm(
  written: WrittenValue,
  step: Step,
  fits: (meant: Meant) => boolean,
  unit: string,
): Form {
  const { value, decimals } = written;
  const number = value.toNumber();
  const size = step.size.toNumber();
  const asWritten: Meant = { low: number, high: number };
  if (decimals < step.decimals) {
    const zero = fits(asWritten);
    const other = dropped(number, decimals, size).some(fits);
    // When neither would be right the value is at fault as well; then the kind of the dropped digit is unknown.
    const codes =
      zero || other
        ? [...(zero ? [value.isZero() ? bareZero : zeroDropped] : []), ...(other ? [finalDropped] : [])]
        : [finalDropped];
    return { faults: codes.map((fault) => fault(step, unit)), meant: dropMeant(number, decimals) };
  }
  if (decimals > step.decimals) {
    return {
      faults: [extraDigit(step, unit)],
      meant: { low: number - size / 2, high: number + size / 2 },
    };
  }
  const isMultiple = value.mod(step.size).isZero();
  return { faults: isMultiple ? [] : [offStep(step, unit)], meant: asWritten };
}

/** The two stretches, below and above the written value, that cutting or rounding could have come from. */
function dropped(value: number, decimals: number, size: number): Meant[] {
  const place = 10 ** -decimals;
  const cut = { low: value + size, high: value + place - size };
  const rounded = { low: value - place / 2, high: value - size };
  return value >= 0 ? [cut, rounded] : [mirror(cut, value), mirror(rounded, value)];
}

const mirror = ({ low, high }: Meant, about: number): Meant => ({
  low: 2 * about - high,
  high: 2 * about - low,
});

function dropMeant(value: number, decimals: number): Meant {
  const place = 10 ** -decimals;
  return value < 0
    ? { low: value - place, high: value + place / 2 }
    : { low: value - place / 2, high: value + place };
}

const to = (step: Step, unit: string): string => `${step.size.toString()} ${unit}`;

const finalDropped = (step: Step, unit: string): FormFault => ({
  code: 'dropped-final-digit',
  title: 'The last digit is missing.',
  look: `Your class reads this to ${to(step, unit)}: ${decimalsInWords(step.decimals)}. The last one is your estimate.`,
});

const zeroDropped = (step: Step, unit: string): FormFault => ({
  code: 'dropped-trailing-zero',
  title: 'A zero at the end is missing.',
  look: `Your class reads this to ${to(step, unit)}. If the last digit is 0, write it: it says that you looked.`,
});

const bareZero = (step: Step, unit: string): FormFault => ({
  code: 'bare-zero',
  title: 'A reading of nothing has its decimals too.',
  look: `Your class reads this to ${to(step, unit)}: ${decimalsInWords(step.decimals)}, zeros included. They say that you looked.`,
});

const extraDigit = (step: Step, unit: string): FormFault => ({
  code: 'extra-digit',
  title: 'There are more digits than you can see.',
  look: `Your class reads this to ${to(step, unit)}: ${decimalsInWords(step.decimals)}.`,
});

const offStep = (step: Step, unit: string): FormFault => ({
  code: 'off-step',
  title: 'The last digit falls between the steps.',
  look: `Your class reads this in steps of ${to(step, unit)}.`,
});

const decimalsInWords = (decimals: number): string =>
  decimals === 0 ? 'no decimals' : decimals === 1 ? 'one decimal' : `${decimals} decimals`;
