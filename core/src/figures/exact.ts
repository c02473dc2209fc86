import { Decimal } from 'decimal.js';

/** Exact decimal numbers with 60 digits of guard: what is written, and what is reckoned from it. */
export const Exact = Decimal.clone({
  precision: 60,
  rounding: Decimal.ROUND_HALF_UP,
  toExpNeg: -9e15,
  toExpPos: 9e15,
});

export type Exact = Decimal;

/** 10 to a whole power, exactly. */
export const tenTo = (power: number): Exact => new Exact(10).pow(power);
