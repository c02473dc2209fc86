import { describe, expect, it } from 'vitest';
import { coverageFactor, studentQuantile } from '.';

// Where the distribution can be turned round in closed form: ν = 1, 2 and 4 (Shaw, J. Comput. Finance 9 (2006), 37).
const closed: Readonly<Record<number, (p: number) => number>> = {
  1: (p) => (p < 0.5 ? -1 / Math.tan(Math.PI * p) : Math.tan(Math.PI * (p - 0.5))),
  2: (p) => (2 * p - 1) / Math.sqrt(2 * p * (1 - p)),
  4: (p) => {
    const alpha = 4 * p * (1 - p);
    const q = Math.cos(Math.acos(Math.sqrt(alpha)) / 3) / Math.sqrt(alpha);
    return Math.sign(p - 0.5) * 2 * Math.sqrt(q - 1);
  },
};

describe('Student’s distribution', () => {
  it.each([1, 2, 4])('is turned round to 1e-12 for ν = %d, tails included', (degrees) => {
    for (const p of [1e-12, 1e-9, 1e-6, 0.00135, 0.005, 0.025, 0.1, 0.3, 0.6, 0.9, 0.975, 0.995]) {
      const exact = closed[degrees]!(p);
      expect(Math.abs(studentQuantile(p, degrees) / exact - 1)).toBeLessThan(1e-12);
    }
  });

  // Sixteen digits each, from the incomplete beta function in 40 digits.
  it.each([
    [3, 3.182446305283708],
    [5, 2.570581835636314],
    [10, 2.2281388519862744],
    [30, 2.0422724563012378],
    [100, 1.9839715185235518],
    [Infinity, 1.959963984540054],
  ])('leaves 97.5 %% below for ν = %d at %d', (degrees, t) =>
    expect(Math.abs(studentQuantile(0.975, degrees) / t - 1)).toBeLessThan(1e-12),
  );

  it('is odd, and nears the normal one', () => {
    expect(studentQuantile(0.025, 7) + studentQuantile(0.975, 7)).toBeCloseTo(0, 12);
    // t = z + z(z² + 1)/(4ν) + … (Abramowitz and Stegun, 26.7.5).
    const z = studentQuantile(0.975, Infinity);
    expect(studentQuantile(0.975, 1e6) - z - (z * (z ** 2 + 1)) / 4e6).toBeCloseTo(0, 11);
  });

  it('is the normal one for any number of degrees that trials which hardly differ may lead to', () => {
    for (const degrees of [1e15, 1e17, 1e20, 1e150, Infinity])
      expect(coverageFactor(degrees)).toBeCloseTo(1.959963984540054, 13);
  });
});
