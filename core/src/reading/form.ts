import type { Step } from '../conventions';
import type { Exact } from '../figures';
import { tenTo } from '../figures';

/** A written value in the instrument's own unit. */
export interface WrittenValue {
  readonly value: Exact;
  readonly decimals: number;
}

/** A fault of the writing, whatever the value. */
export interface FormFault {
  readonly code: 'dropped-final-digit' | 'dropped-trailing-zero' | 'extra-digit' | 'off-step';
  readonly title: string;
  readonly look: string;
}

/** The values that a writer may have meant, as a closed interval: one value unless digits were dropped. */
export interface Meant {
  readonly low: Exact;
  readonly high: Exact;
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
  const asWritten: Meant = { low: value, high: value };
  if (decimals < step.decimals) {
    const cutOrRounded = dropped(value, decimals, step);
    const zero = fits(asWritten);
    const other = cutOrRounded.some(fits);
    // When neither would be right the value is at fault as well; then the kind of the dropped digit is unknown.
    const codes =
      zero || other ? [...(zero ? [zeroDropped] : []), ...(other ? [finalDropped] : [])] : [finalDropped];
    return {
      faults: codes.map((fault) => fault(step, unit)),
      meant: dropMeant(value, decimals),
    };
  }
  if (decimals > step.decimals) {
    const half = step.size.div(2);
    return { faults: [extraDigit(step, unit)], meant: { low: value.minus(half), high: value.plus(half) } };
  }
  const isMultiple = value.mod(step.size).isZero();
  return { faults: isMultiple ? [] : [offStep(step, unit)], meant: asWritten };
}

/** The two stretches, below and above the written value, that cutting or rounding could have come from. */
function dropped(value: Exact, decimals: number, step: Step): Meant[] {
  const place = tenTo(-decimals);
  const away = value.isNegative() ? -1 : 1;
  const cut = { low: value.plus(step.size), high: value.plus(place).minus(step.size) };
  const rounded = { low: value.minus(place.div(2)), high: value.minus(step.size) };
  return away > 0 ? [cut, rounded] : [mirror(cut, value), mirror(rounded, value)];
}

const mirror = ({ low, high }: Meant, about: Exact): Meant => ({
  low: about.times(2).minus(high),
  high: about.times(2).minus(low),
});

function dropMeant(value: Exact, decimals: number): Meant {
  const place = tenTo(-decimals);
  return value.isNegative()
    ? { low: value.minus(place), high: value.plus(place.div(2)) }
    : { low: value.minus(place.div(2)), high: value.plus(place) };
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
