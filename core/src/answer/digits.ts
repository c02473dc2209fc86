import { type Decimal, type WrittenNumber, tenTo } from '../figures';
import type { Conventions } from '../conventions';
import { writingCause, type Cause } from './cause';

/** How far a number is to be written. */
export type Resolution =
  /** A reading: to the step of its instrument, whose place is that of the step whatever zeros say. */
  | {
      readonly by: 'step';
      /** In the unit of the rule. */
      readonly size: Decimal;
      /** True where the last digit is estimated between lines. */
      readonly estimated: boolean;
      /** Given where the scale is divided in halves of halves of an inch: then a fraction may be written. */
      readonly fractions?: Fractions;
    }
  /** A worked number: its last significant digit stands at 10^place. */
  | { readonly by: 'place'; readonly place: number }
  /** A count, a definition: right in any writing. */
  | { readonly by: 'exact' };

/** What a fraction is judged by, in the unit of the rule. */
export interface Fractions {
  /** Smallest division of the scale. */
  readonly division: number;
  /** How many readings the number is made of: two for a difference. */
  readonly readings: number;
  /** How far from the truth a decimal may lie. */
  readonly reach: number;
}

/** The values that a writer may have meant, as a closed interval: one value unless digits were dropped. */
export interface IntendedRange {
  readonly low: number;
  readonly high: number;
}

/** A written value in the unit of the rule it is judged by. */
export interface WrittenValue {
  readonly value: Decimal;
  readonly decimals: number;
  /** Power of ten of the last digit that counts, by the class's rule for zeros. */
  readonly lastPlace: number;
  /** True for a number that was written without decimals, in whatever unit. */
  readonly whole: boolean;
  /** True for a whole number that ends in a zero and has neither point nor power of ten. */
  readonly bareZero: boolean;
}

export interface DigitsVerdict {
  readonly faults: readonly Cause[];
  readonly remarks: readonly string[];
  readonly intended: IntendedRange;
}

/** The place of the last digit of a step: −1 for 0.5, 1 for 20. */
export const placeOfStep = (size: Decimal): number =>
  size.decimalPlaces() > 0 ? -size.decimalPlaces() : trailingZerosOf(size);

const trailingZerosOf = (whole: Decimal): number => /0*$/.exec(whole.toFixed(0))?.[0].length ?? 0;

/** The written number in the unit of the rule, `factor` of which it is one. */
export const inRuleUnit = (number: WrittenNumber, factor: Decimal): WrittenValue => ({
  value: number.value.times(factor),
  decimals: number.decimals - factor.e,
  lastPlace: number.lastPlace + factor.e,
  whole: number.decimals === 0,
  bareZero: factor.eq(1) && number.bareZero,
});

/**
 * Compares the digits of a written value with those that are asked for.
 * @param fits whether some value that may have been meant would be right: it tells a dropped 0 from another digit.
 * @param inWritten what a number in the rule's unit is in the unit that was written, for the sentences.
 */
export function judgeDigits(
  written: WrittenValue,
  resolution: Resolution,
  fits: (intended: IntendedRange) => boolean,
  inWritten: Words,
  conventions: Conventions,
): DigitsVerdict {
  const number = written.value.toNumber();
  const asWritten: IntendedRange = { low: number, high: number };
  if (resolution.by === 'exact') return { faults: [], remarks: [], intended: asWritten };
  const byStep = resolution.by === 'step';
  const size = byStep ? resolution.size : tenTo(resolution.place);
  const place = placeOfStep(size);
  const says = sentences(size, byStep && resolution.estimated, inWritten, byStep);
  const ownPlace = byStep ? -written.decimals : written.lastPlace;
  // A whole number has to be written out to its ones, whatever it is known to.
  const finest = byStep && written.whole ? Math.max(place, ownPlace) : ownPlace;
  if (finest > place) {
    const zero = fits(asWritten);
    const other = droppedRanges(number, -finest, size.toNumber()).some(fits);
    // When neither would be right the value is at fault as well; then the kind of the dropped digit is unknown.
    const faults =
      zero || other
        ? [
            ...(zero ? [written.value.isZero() ? says.bareZero : says.zeroDropped] : []),
            ...(other ? [says.finalDropped] : []),
          ]
        : [says.finalDropped];
    return { faults, remarks: [], intended: droppedRange(number, -finest) };
  }
  if (finest < place)
    return {
      faults: [says.extraDigit],
      remarks: [],
      intended: { low: number - size.toNumber() / 2, high: number + size.toNumber() / 2 },
    };
  if (byStep && !written.value.mod(size).isZero())
    return { faults: [says.offStep], remarks: [], intended: asWritten };
  const pointless = byStep && place === 0 && written.bareZero && conventions.trailingZeros !== 'all-count';
  if (pointless && conventions.onesZero === 'point-required')
    return { faults: [says.pointMissing], remarks: [], intended: asWritten };
  return {
    faults: [],
    remarks: pointless && conventions.onesZero === 'remarked' ? [says.pointMissing.hint] : [],
    intended: asWritten,
  };
}

/**
 * A fraction is exact, and told to the nearest line, or to the nearest half of a space where it is divided so far: true
 * within half of that and the grace of a tenth of a division, whatever the reach of a decimal is. Finer parts than half a
 * space nobody sees.
 */
export function judgeFraction(
  value: number,
  parts: number,
  { division, readings, reach }: Fractions,
): DigitsVerdict {
  const spacing = Math.min(division, 1 / parts);
  const half = Math.max(0, readings * (spacing / 2 + 0.1 * division) - reach);
  return {
    faults:
      spacing < division / 2
        ? [
            writingCause(
              'extra-digit',
              'These are finer parts than you can see.',
              `This scale is divided in ${1 / division}ths of an inch: write the nearest of them, or of half of them.`,
            ),
          ]
        : [],
    remarks: [],
    intended: { low: value - half, high: value + half },
  };
}

/** The two stretches, below and above the written value, that cutting or rounding could have come from. */
function droppedRanges(value: number, decimals: number, size: number): IntendedRange[] {
  const place = 10 ** -decimals;
  const cut = { low: value + size, high: value + place - size };
  const rounded = { low: value - place / 2, high: value - size };
  return value >= 0 ? [cut, rounded] : [mirror(cut, value), mirror(rounded, value)];
}

const mirror = ({ low, high }: IntendedRange, about: number): IntendedRange => ({
  low: 2 * about - high,
  high: 2 * about - low,
});

function droppedRange(value: number, decimals: number): IntendedRange {
  const place = 10 ** -decimals;
  return value < 0
    ? { low: value - place, high: value + place / 2 }
    : { low: value - place / 2, high: value + place };
}

/** How the step is told in the unit that somebody wrote. */
export interface Words {
  readonly unit: string;
  /** How many of the rule's unit one of it is. */
  readonly factor: Decimal;
  /** Who or what sets the step: `Your class reads this`, `B-1 is read`. */
  readonly reads: string;
}

function sentences(size: Decimal, estimated: boolean, { unit, factor, reads }: Words, byStep: boolean) {
  const step = size.div(factor);
  const far = byStep
    ? `${reads} to ${[step.toString(), unit].filter(Boolean).join(' ')}: ${decimalsInWords(step.decimalPlaces())}`
    : `Its data go to ${step.toString()}`;
  return {
    finalDropped: writingCause(
      'dropped-final-digit',
      'The last digit is missing.',
      `${far}.${estimated ? ' The last one is your estimate.' : ''}`,
    ),
    zeroDropped: writingCause(
      'dropped-trailing-zero',
      'A zero at the end is missing.',
      `${far}. If the last digit is 0, write it: it says that you looked.`,
    ),
    bareZero: writingCause(
      'bare-zero',
      'A reading of nothing has its decimals too.',
      `${far}, zeros included. They say that you looked.`,
    ),
    extraDigit: writingCause('extra-digit', 'There are more digits than you can see.', `${far}.`),
    offStep: writingCause(
      'off-step',
      'The last digit falls between the steps.',
      `${reads} in steps of ${[step.toString(), unit].filter(Boolean).join(' ')}.`,
    ),
    pointMissing: writingCause(
      'point-missing',
      'The point at the end is missing.',
      'A whole number that ends in a zero that was read gets a point: 60. says that the zero was seen.',
    ),
  };
}

export const decimalsInWords = (decimals: number): string =>
  decimals === 0 ? 'no decimals' : decimals === 1 ? 'one decimal' : `${decimals} decimals`;
