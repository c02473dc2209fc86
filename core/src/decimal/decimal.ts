import { Decimal as DecimalJs } from 'decimal.js';

/** Exact decimal numbers with 60 digits of guard: what is written, and what is reckoned from it. */
export const Decimal = DecimalJs.clone({
  precision: 60,
  rounding: DecimalJs.ROUND_HALF_UP,
  toExpNeg: -9e15,
  toExpPos: 9e15,
});

export type Decimal = DecimalJs;

/** 10 to a whole power, exactly. */
export const tenTo = (power: number): Decimal => new Decimal(10).pow(power);
