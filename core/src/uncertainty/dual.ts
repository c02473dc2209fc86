import type { PlainFunction } from '../figures';

/**
 * A number with its exact derivatives by some inputs (forward automatic differentiation; Griewank and Walther,
 * Evaluating Derivatives, 2008, chapter 3). `by` holds ∂value/∂input for each input that matters.
 */
export interface Dual {
  readonly value: number;
  readonly by: ReadonlyMap<string, number>;
}

export const constant = (value: number): Dual => ({ value, by: new Map() });
export const variable = (name: string, value: number): Dual => ({ value, by: new Map([[name, 1]]) });

/** In one pass, however many there are. */
export function averaged(duals: readonly Dual[]): Dual {
  const by = new Map<string, number>();
  let value = 0;
  for (const dual of duals) {
    value += dual.value;
    for (const [name, amount] of dual.by) by.set(name, (by.get(name) ?? 0) + amount / duals.length);
  }
  return { value: value / duals.length, by };
}

export const plus = (a: Dual, b: Dual): Dual => join(a.value + b.value, [a, 1], [b, 1]);
export const minus = (a: Dual, b: Dual): Dual => join(a.value - b.value, [a, 1], [b, -1]);
export const times = (a: Dual, b: Dual): Dual => join(a.value * b.value, [a, b.value], [b, a.value]);

/** @throws RangeError when b is zero. */
export function over(a: Dual, b: Dual): Dual {
  if (b.value === 0) throw new RangeError('A number cannot be divided by zero.');
  return join(a.value / b.value, [a, 1 / b.value], [b, -a.value / b.value ** 2]);
}

/** A power; its exponent may be uncertain too. @throws RangeError for an uncertain exponent over what is not positive. */
export function power(a: Dual, exponent: Dual): Dual {
  const value = a.value ** exponent.value;
  const byBase = exponent.value === 0 ? 0 : exponent.value * a.value ** (exponent.value - 1);
  if (exponent.by.size === 0) return join(value, [a, byBase]);
  if (!(a.value > 0))
    throw new RangeError('An uncertain power is carried through over positive numbers only.');
  return join(value, [a, byBase], [exponent, value * Math.log(a.value)]);
}

/** Chain rule: each term's derivatives, times the derivative by that term. */
function join(value: number, ...terms: readonly (readonly [Dual, number])[]): Dual {
  const varying = terms.filter(([{ by }]) => by.size > 0);
  const [only] = varying;
  // What is shifted by a constant moves as before.
  if (only && varying.length === 1 && only[1] === 1) return { value, by: only[0].by };
  const by = new Map<string, number>();
  for (const [{ by: inner }, outer] of varying) {
    for (const [name, derivative] of inner) by.set(name, (by.get(name) ?? 0) + outer * derivative);
  }
  return { value, by };
}

/** A function of one input, by its value and its derivative there. */
export const applied = ({ value, derivative }: PlainFunction, a: Dual): Dual =>
  join(value(a.value), [a, derivative(a.value)]);
