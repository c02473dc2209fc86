import { Decimal as DecimalJs } from 'decimal.js';

/** Exact decimal numbers with 60 digits of guard: what is written, and what is reckoned from it. */
export const Decimal = DecimalJs.clone({
  precision: 60,
  rounding: DecimalJs.ROUND_HALF_UP,
  toExpNeg: -9e15,
  toExpPos: 9e15,
});

export type Decimal = DecimalJs;

/**
 * A decimal number as somebody typed it where one is asked for: with a comma for its point, or a true minus.
 * @throws Error for what is none, which was to be refused where it was typed
 */
export const decimalOf = (text: string): Decimal => new Decimal(plainDecimal(text));

/** The same as text, with a point and a plain sign. */
export const plainDecimal = (text: string): string =>
  text.trim().replace(',', '.').replace('−', '-').replace(/^\+/, '');

export const isPlainDecimal = (text: string): boolean =>
  /^[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$/i.test(plainDecimal(text));

const powers = new Map<number, Decimal>();

/** 10 to a whole power, exactly. The small ones, which are asked for all the time, are made once. */
export function tenTo(power: number): Decimal {
  const known = powers.get(power);
  if (known) return known;
  const made = new Decimal(10).pow(power);
  if (Math.abs(power) <= 40) powers.set(power, made);
  return made;
}
