import { Decimal as DecimalJs } from 'decimal.js';

/** Exact decimal numbers with 60 digits of guard: what is written, and what is reckoned from it. */
export const Decimal = DecimalJs.clone({
  precision: 60,
  rounding: DecimalJs.ROUND_HALF_UP,
  toExpNeg: -9e15,
  toExpPos: 9e15,
});

export type Decimal = DecimalJs;

const powers = new Map<number, Decimal>();

/** 10 to a whole power, exactly. The small ones, which are asked for all the time, are made once. */
export function tenTo(power: number): Decimal {
  const known = powers.get(power);
  if (known) return known;
  const made = new Decimal(10).pow(power);
  if (Math.abs(power) <= 40) powers.set(power, made);
  return made;
}
