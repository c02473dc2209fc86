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
 * the units the trailing zeros would say too much, so a power of ten is written: `1.2×10^3` for (1234, 2).
 */
export function writeAtPlace(value: Decimal, place: number, rounding: Rounding = 'half-away'): string {
  const rounded = roundToPlace(value, place, rounding);
  if (place <= 0) return minus(rounded.toFixed(-place));
  if (rounded.isZero()) return `0×10^${place}`;
  const lead = leadingPlace(rounded);
  return minus(`${rounded.div(tenTo(lead)).toFixed(lead - place)}×10^${lead}`);
}

/** Writes a value to a count of significant figures. */
export function writeToFigures(value: Decimal, figures: number, rounding: Rounding = 'half-away'): string {
  const rounded = roundToFigures(value, figures, rounding);
  return writeAtPlace(rounded, leadingPlace(rounded) - figures + 1, rounding);
}

const minus = (text: string): string => text.replace(/^-/, '−');
