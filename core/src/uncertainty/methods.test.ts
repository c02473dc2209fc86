import { describe, expect, it } from 'vitest';
import { parseExpression } from '../figures';
import {
  budgetOf,
  greatestIn,
  mainLines,
  compiled,
  dualOf,
  spreadOf,
  termOf,
  variable,
  largestSmallest,
  minus,
  monteCarlo,
  over,
  plus,
  propagate,
  quadrature,
  worstCase,
  type Component,
  type Dual,
  type Input,
} from '.';

const input = (name: string, value: number, ...components: Component[]): Input => ({
  name,
  value,
  components,
});
const part = (source: string, size: number, kind: Component['kind'] = 'reading'): Component => ({
  source,
  kind,
  u: size,
});

describe('largest–smallest', () => {
  it('finds the corners of a quotient', () => {
    // m = 20.0 ± 0.2, V = 5.0 ± 0.5: 20.2/4.5 = 4.4889, 19.8/5.5 = 3.6.
    const { smallest, largest, half } = largestSmallest(
      (at) => over(at('m'), at('V')),
      [input('m', 20, part('m', 0.2)), input('V', 5, part('V', 0.5))],
    );
    expect(smallest).toBeCloseTo(3.6, 12);
    expect(largest).toBeCloseTo(20.2 / 4.5, 12);
    expect(half).toBeCloseTo((20.2 / 4.5 - 3.6) / 2, 12);
  });

  it('moves together what shares a source: an offset vanishes from a difference', () => {
    const both = [input('a', 30, part('zero', 0.1, 'offset')), input('b', 10, part('zero', 0.1, 'offset'))];
    expect(largestSmallest((at) => minus(at('a'), at('b')), both).half).toBeCloseTo(0, 12);
    expect(largestSmallest((at) => plus(at('a'), at('b')), both).half).toBeCloseTo(0.2, 12);
  });

  it('agrees with the worst case for a linear model, and refuses too many corners', () => {
    const inputs = ['a', 'b', 'c'].map((name, at) => input(name, at, part(name, 0.1 * (at + 1))));
    const model = (at: (name: string) => Dual) => minus(plus(at('a'), at('b')), at('c'));
    expect(largestSmallest(model, inputs).half).toBeCloseTo(
      worstCase(propagate(model, inputs).contributions),
      12,
    );
    const many = Array.from({ length: 15 }, (_, at) => input(`x${at}`, 1, part(`x${at}`, 0.1)));
    expect(() => largestSmallest((at) => at('x0'), many)).toThrow(RangeError);
  });
});

/** A term from a formula in plain numbers. */
const term = (formula: string) => termOf(parseExpression(formula), (name) => ({ kind: 'input', name }));

describe('Monte Carlo', () => {
  it('agrees with quadrature for a linear model within four of its own standard errors', () => {
    const inputs = [
      input('a', 12, part('repeat of a', 0.3, 'repeat')),
      input('b', 5, part('repeat of b', 0.2, 'repeat')),
      input('c', 7, part('bound of c', 0.25)),
      input('d', 0, { ...part('triangle of d', 0.3), shape: 'triangular' }),
    ];
    const draws = 200_000;
    const { mean, standardDeviation } = monteCarlo(term('a - b + c + d'), inputs, {
      draws,
      seed: 7,
      standard: false,
    });
    const exact = Math.hypot(0.3, 0.2, 0.25 / Math.sqrt(3), 0.3 / Math.sqrt(6));
    expect(Math.abs(mean - 14)).toBeLessThan((4 * exact) / Math.sqrt(draws));
    expect(Math.abs(standardDeviation - exact)).toBeLessThan((4 * exact) / Math.sqrt(2 * draws));
  });

  it('moves together what shares a source: an offset vanishes from a difference', () => {
    const inputs = [input('a', 30, part('zero', 0.1, 'offset')), input('b', 10, part('zero', 0.1, 'offset'))];
    const run = (formula: string) =>
      monteCarlo(term(formula), inputs, { draws: 5000, seed: 1, standard: true }).standardDeviation;
    expect(run('a - b')).toBeCloseTo(0, 12);
    expect(run('a + b') / 0.2).toBeCloseTo(1, 1);
  });

  it('is the same for the same seed, and its interval holds 95 of 100', () => {
    const inputs = [
      input('m', 84, part('m', 0.05)),
      input('k', 1, part('k', 0.001)),
      input('a', 50, part('a', 0.2)),
      input('b', 60, part('b', 0.2)),
    ];
    const density = term('m * k^2! / (b - a)');
    const values = new Float64Array(20_000);
    const run = (seed: number) =>
      monteCarlo(density, inputs, { draws: 20_000, seed, standard: false }, values);
    expect(run(3)).toEqual(run(3));
    expect(run(3).mean).not.toBe(run(4).mean);
    const { mean, standardDeviation } = run(3);
    const { low, high, bins } = spreadOf(values);
    expect(low).toBeLessThan(mean);
    expect((high - low) / standardDeviation).toBeGreaterThan(3.2);
    expect((high - low) / standardDeviation).toBeLessThan(4.1);
    expect(bins.reduce((sum, count) => sum + count, 0)).toBeGreaterThan(0.99 * values.length);
    const u = quadrature(propagate((at) => dualOf(density, at), inputs).contributions) / Math.sqrt(3);
    expect(standardDeviation / u).toBeGreaterThan(0.97);
    expect(standardDeviation / u).toBeLessThan(1.03);
  });

  it('keeps a tiny spread on a large mean, and widens for few degrees of freedom', () => {
    const run = (degrees?: number) =>
      monteCarlo(
        term('a'),
        [input('a', 1e9, { ...part('a', 1e-3, 'repeat'), ...(degrees ? { degrees } : {}) })],
        { draws: 40_000, seed: 1, standard: false },
      ).standardDeviation;
    expect(run() / 1e-3).toBeCloseTo(1, 1);
    // Student's distribution with 5 degrees of freedom has the variance 5/3.
    expect(run(5) / 1e-3).toBeCloseTo(Math.sqrt(5 / 3), 1);
  });
});

describe('a term', () => {
  it('gives, as a dual, the derivatives that small steps give', () => {
    const formula = term('sqrt(a) * exp(b / 10!) + sin(a) / cos(b) - ln(a) * abs(b) + mean(a, b)');
    const at = { a: 2.3, b: 1.1 };
    const value = (a: number, b: number) =>
      dualOf(formula, (name) => variable(name, name === 'a' ? a : b)).value;
    const dual = dualOf(formula, (name) => variable(name, at[name as 'a' | 'b']));
    const h = 1e-6;
    expect(dual.by.get('a')).toBeCloseTo((value(2.3 + h, 1.1) - value(2.3 - h, 1.1)) / (2 * h), 6);
    expect(dual.by.get('b')).toBeCloseTo((value(2.3, 1.1 + h) - value(2.3, 1.1 - h)) / (2 * h), 6);
    const blocks = new Map([
      ['a', new Float64Array([2.3])],
      ['b', new Float64Array([1.1])],
    ]);
    expect(compiled(formula, 1)(blocks)[0]).toBeCloseTo(dual.value, 12);
  });
});

it('a budget has the largest share first, its shares sum to one, and halving is reckoned', () => {
  const lines = budgetOf([
    { source: 'small', contribution: 0.3 },
    { source: 'large', contribution: -0.4 },
    { source: 'gone', contribution: 0 },
  ]);
  expect(lines.map(({ source }) => source)).toEqual(['large', 'small', 'gone']);
  expect(lines.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
  // 0.4 halved: √(0.2² + 0.3²).
  expect(lines[0]!.ifHalved).toBeCloseTo(Math.hypot(0.2, 0.3), 12);
  expect(budgetOf([{ source: 'none', contribution: 0 }])[0]!.share).toBe(0);
});

it('what counts alike is told together', () => {
  const lines = (...sizes: readonly number[]) =>
    budgetOf(sizes.map((contribution, at) => ({ source: `source ${at}`, contribution })));
  // Three of 3 and one of 0.1: halved, √(3 · 1.5² + 0.1²) = √6.76.
  const alike = greatestIn(lines(3, -3, 3, 0.1));
  expect(alike?.sources).toEqual(['source 0', 'source 1', 'source 2']);
  expect(alike?.ifHalved).toBeCloseTo(2.6, 12);
  // 16 and 9 parts of 25 are not alike: √(2² + 3²).
  expect(greatestIn(lines(4, 3))).toEqual({ sources: ['source 0'], ifHalved: Math.sqrt(13) });
  expect([greatestIn([]), greatestIn(lines(0))]).toEqual([null, null]);
});

it('shows of a budget the ten largest lines, and none that adds next to nothing', () => {
  const budget = budgetOf([
    ...Array.from({ length: 12 }, (_, at) => ({ source: `large ${at}`, contribution: 1 + at / 100 })),
    { source: 'small', contribution: 0.01 },
  ]);
  expect(mainLines(budget).map(({ source }) => source)).toEqual(
    [11, 10, 9, 8, 7, 6, 5, 4, 3, 2].map((at) => `large ${at}`),
  );
  const two = budgetOf([
    { source: 'large', contribution: 1 },
    { source: 'a hundredth of it', contribution: 0.01 },
    { source: 'a twentieth of it', contribution: 0.05 },
  ]);
  expect(mainLines(two).map(({ source }) => source)).toEqual(['large', 'a twentieth of it']);
});
