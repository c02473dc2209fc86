import type { Answer } from '../conventions';
import {
  type Decimal,
  leadingPlace,
  roundToFigures,
  roundToPlace,
  writeAtPlace,
  type Rounding,
} from '../figures';

/** A value and its uncertainty as they are written: both to the same place. */
export interface PlusMinus {
  readonly value: string;
  readonly uncertainty: string;
  /** Power of ten of the last digit of both. */
  readonly place: number;
  readonly unit: string;
  /** `(8.41 ± 0.06) g/cm³` */
  readonly text: string;
  /** Uncertainty over value in percent, two figures; null for a value of zero. */
  readonly relativePercent: string | null;
}

/**
 * The place of an uncertainty's last digit. “One, or two if it begins with 1” is decided after rounding: 0.17 keeps
 * its two, and 0.0962, which one digit would make 0.1, is written 0.10.
 * @throws RangeError unless the uncertainty is positive.
 */
export function uncertaintyPlace(
  uncertainty: Decimal,
  digits: Answer<'uncertaintyDigits'>,
  rounding: Rounding = 'half-away',
): number {
  if (!uncertainty.isPositive() || uncertainty.isZero())
    throw new RangeError('An uncertainty is greater than zero.');
  const [one, two] = [roundToFigures(uncertainty, 1, rounding), roundToFigures(uncertainty, 2, rounding)];
  if (digits === 'one') return leadingPlace(one);
  if (digits === 'two' || beginsWithOne(two)) return leadingPlace(two) - 1;
  return beginsWithOne(one) ? leadingPlace(one) - 1 : leadingPlace(one);
}

const beginsWithOne = (value: Decimal): boolean => value.toExponential().startsWith('1');

/** Writes value ± uncertainty by convention. @throws RangeError unless the uncertainty is positive. */
export function writePlusMinus(
  value: Decimal,
  uncertainty: Decimal,
  unit: string,
  digits: Answer<'uncertaintyDigits'>,
  rounding: Rounding = 'half-away',
): PlusMinus {
  const place = uncertaintyPlace(uncertainty, digits, rounding);
  // To the left of the units both are written as plain whole numbers: the ± says which digits are certain.
  const write = (number: Decimal) =>
    place > 0 ? roundToPlace(number, place, rounding).toFixed(0) : writeAtPlace(number, place, rounding);
  const [written, spread] = [write(value), write(uncertainty)];
  return {
    value: written,
    uncertainty: spread,
    place,
    unit,
    text: `(${written} ± ${spread}) ${unit}`,
    relativePercent: value.isZero()
      ? null
      : roundToFigures(uncertainty.div(value.abs()).times(100), 2, rounding).toString(),
  };
}
