import { Decimal, tenTo } from '../decimal/decimal';

/** What happens to a tie. */
export type Rounding = 'half-away' | 'half-even';

const modes = { 'half-away': Decimal.ROUND_HALF_UP, 'half-even': Decimal.ROUND_HALF_EVEN } as const;

/** Rounds to a whole multiple of `step` (positive). */
export function roundToStep(value: Decimal, step: Decimal, rounding: Rounding = 'half-away'): Decimal {
  return value.div(step).toDecimalPlaces(0, modes[rounding]).times(step);
}

/** Rounds so that the last digit stands at 10^place. */
export function roundToPlace(value: Decimal, place: number, rounding: Rounding = 'half-away'): Decimal {
  return roundToStep(value, tenTo(place), rounding);
}

/** Rounds to a count of significant figures (at least 1). */
export function roundToFigures(value: Decimal, figures: number, rounding: Rounding = 'half-away'): Decimal {
  return value.toSignificantDigits(figures, modes[rounding]);
}

/** Power of ten of the first significant digit; 0 for zero. */
export const leadingPlace = (value: Decimal): number => (value.isZero() ? 0 : value.e);

/**
 * Writes a value whose last significant digit stands at 10^place: `12.0` for (12, −1). When the place is left of
 * the units the trailing zeros would say too much, so a power of ten is written: `1.2×10³` for (1234, 2). Where nothing is
 * left at that place, that is said in words.
 */
export function writeAtPlace(value: Decimal, place: number, rounding: Rounding = 'half-away'): string {
  const rounded = roundToPlace(value, place, rounding);
  if (place <= 0) return minus(rounded.toFixed(-place));
  if (rounded.isZero()) return value.isZero() ? '0' : noFigure;
  const lead = leadingPlace(rounded);
  return minus(`${rounded.div(tenTo(lead)).toFixed(lead - place)}×10${superscript(lead)}`);
}

/** Writes a value to a count of significant figures; `1200.` keeps the point that says that its zeros count. */
export function writeToFigures(value: Decimal, figures: number, rounding: Rounding = 'half-away'): string {
  const rounded = roundToFigures(value, figures, rounding);
  return withPoint(writeAtPlace(rounded, leadingPlace(rounded) - figures + 1, rounding));
}

/** A whole number that ends in a zero that counts gets a point, so that it can be read back: `20.` */
export const withPoint = (text: string): string => (/^−?[1-9]\d*0$/.test(text) ? `${text}.` : text);

/** What is written where a difference leaves no figure at all. */
export const noFigure = 'no figure left';

/** A whole number in raised digits. */
export const superscript = (power: number): string =>
  [...String(power)].map((sign) => (sign === '-' ? '⁻' : ('⁰¹²³⁴⁵⁶⁷⁸⁹'[Number(sign)] ?? sign))).join('');

const minus = (text: string): string => text.replace(/^-/, '−');
