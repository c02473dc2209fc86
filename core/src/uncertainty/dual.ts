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

export const plus = (a: Dual, b: Dual): Dual => join(a.value + b.value, [a, 1], [b, 1]);
export const minus = (a: Dual, b: Dual): Dual => join(a.value - b.value, [a, 1], [b, -1]);
export const times = (a: Dual, b: Dual): Dual => join(a.value * b.value, [a, b.value], [b, a.value]);

/** @throws RangeError when b is zero. */
export function over(a: Dual, b: Dual): Dual {
  if (b.value === 0) throw new RangeError('A number cannot be divided by zero.');
  return join(a.value / b.value, [a, 1 / b.value], [b, -a.value / b.value ** 2]);
}

/** A constant power. */
export const power = (a: Dual, exponent: number): Dual =>
  join(a.value ** exponent, [a, exponent * a.value ** (exponent - 1)]);

/** Chain rule: each term's derivatives, times the derivative by that term. */
function join(value: number, ...terms: readonly (readonly [Dual, number])[]): Dual {
  const by = new Map<string, number>();
  for (const [{ by: inner }, outer] of terms) {
    for (const [name, derivative] of inner) by.set(name, (by.get(name) ?? 0) + outer * derivative);
  }
  return { value, by };
}

/** A function of one input, by its value and its derivative there. */
const applied =
  (f: (x: number) => number, slope: (x: number) => number) =>
  (a: Dual): Dual =>
    join(f(a.value), [a, slope(a.value)]);

export const dualFunctions = {
  sqrt: applied(Math.sqrt, (x) => 0.5 / Math.sqrt(x)),
  log: applied(Math.log10, (x) => 1 / (x * Math.LN10)),
  ln: applied(Math.log, (x) => 1 / x),
  exp: applied(Math.exp, Math.exp),
  sin: applied(Math.sin, Math.cos),
  cos: applied(Math.cos, (x) => -Math.sin(x)),
  abs: applied(Math.abs, Math.sign),
} as const;
