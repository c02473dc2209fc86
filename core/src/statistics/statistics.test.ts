import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Decimal } from '../figures';
import {
  coverageFactor,
  dixon,
  fitLine,
  grubbs,
  grubbsCritical,
  meanInterval,
  studentQuantile,
  summarize,
  suspectOutlier,
  xWhere,
  yAt,
} from '.';

const exact = (values: readonly (number | string)[]) => values.map((value) => new Decimal(value));

/** A fraction of whole numbers: nothing in it is ever rounded. */
interface Rational {
  readonly n: bigint;
  readonly d: bigint;
}
const gcd = (a: bigint, b: bigint): bigint => (b === 0n ? (a < 0n ? -a : a) : gcd(b, a % b));
const rational = (n: bigint, d: bigint): Rational => {
  const by = gcd(n, d) * (d < 0n ? -1n : 1n);
  return { n: n / by, d: d / by };
};
const add = (a: Rational, b: Rational) => rational(a.n * b.d + b.n * a.d, a.d * b.d);
const times = (a: Rational, b: Rational) => rational(a.n * b.n, a.d * b.d);
const less = (a: Rational, b: Rational) => add(a, { n: -b.n, d: b.d });
const asExact = ({ n, d }: Rational) => new Decimal(n.toString()).div(d.toString());

/** Texts of one count of decimals: a large mean with a tiny spread. */
const badlyConditioned = fc
  .tuple(
    fc.bigInt({ min: 10n ** 11n, max: 10n ** 13n }),
    fc.array(fc.integer({ min: -500, max: 500 }), { minLength: 3, maxLength: 40 }),
  )
  .filter(([, offs]) => new Set(offs).size > 1)
  .map(([large, offs]) => offs.map((off) => large * 1000n + BigInt(off)));

const near = (a: Decimal, b: Decimal) => a.minus(b).abs().div(b.abs()).lte(1e-12);

describe('statistics', () => {
  it('agree with exact fractions to 1e-12, also for a tiny spread on a large mean', () => {
    fc.assert(
      fc.property(badlyConditioned, (thousandths) => {
        const values = thousandths.map((n) => rational(n, 1000n));
        const n = BigInt(values.length);
        const mean = times(values.reduce(add), rational(1n, n));
        const squares = values.map((value) => times(less(value, mean), less(value, mean))).reduce(add);
        const variance = times(squares, rational(1n, n - 1n));
        const summary = summarize(thousandths.map((value) => new Decimal(value.toString()).div(1000)));
        expect(near(summary.mean, asExact(mean))).toBe(true);
        expect(near(summary.standardDeviation!.pow(2), asExact(variance))).toBe(true);
        expect(near(summary.sdOfMean!.pow(2), asExact(times(variance, rational(1n, n))))).toBe(true);
      }),
      { numRuns: 200 },
    );
  });

  it('a line agrees with exact fractions to 1e-12', () => {
    fc.assert(
      fc.property(badlyConditioned, (thousandths) => {
        const xs = thousandths.map((_, at) => rational(BigInt(at * at + 3 * at), 1n));
        const ys = thousandths.map((value) => rational(value, 1000n));
        const n = rational(1n, BigInt(xs.length));
        const [mx, my] = [times(xs.reduce(add), n), times(ys.reduce(add), n)];
        const sxx = xs.map((x) => times(less(x, mx), less(x, mx))).reduce(add);
        const sxy = xs.map((x, at) => times(less(x, mx), less(ys[at]!, my))).reduce(add);
        const slope = times(sxy, rational(sxx.d, sxx.n));
        const line = fitLine(xs.map((x, at) => ({ x: asExact(x), y: asExact(ys[at]!) })));
        if (slope.n !== 0n) expect(near(new Decimal(line.slope), asExact(slope))).toBe(true);
        expect(near(new Decimal(line.intercept), asExact(less(my, times(slope, mx))))).toBe(true);
      }),
      { numRuns: 100 },
    );
  });

  it.each([
    // Two-sided 95 %: Student's table.
    [1, 12.706],
    [2, 4.303],
    [4, 2.776],
    [9, 2.262],
    [29, 2.045],
    [Infinity, 1.96],
  ])('t for 95 of 100 with %s degrees of freedom is %s', (degrees, t) => {
    expect(coverageFactor(degrees)).toBeCloseTo(t, 3);
  });

  it('refuses a quantile that there is not', () => {
    expect(() => studentQuantile(1, 3)).toThrow(RangeError);
    expect(() => studentQuantile(0.5, 0)).toThrow(RangeError);
  });

  it('has a median and an interval', () => {
    const summary = summarize(exact([8, 9, 11, 12]));
    expect(summary.median.toNumber()).toBe(10);
    expect(summarize(exact([3, 1, 2])).median.toNumber()).toBe(2);
    // s/√n = 0.912871, t(3) = 3.182446.
    expect(meanInterval(summary)).toBeCloseTo(0.912871 * 3.182446, 5);
  });
});

describe('a straight line', () => {
  const through = fitLine(
    [1, 2, 3].map((x) => ({ x: new Decimal(x), y: new Decimal(2 * x + (x === 2 ? 0.3 : 0)) })),
    true,
  );

  it('goes through the origin where it is told to', () => {
    // Σxy/Σx² = (2 + 8.6 + 18)/14.
    expect(through.slope).toBeCloseTo(28.6 / 14, 12);
    expect(through.intercept).toBe(0);
    expect(through.degrees).toBe(2);
  });

  it('predicts forwards and back', () => {
    const line = fitLine(
      [0, 10, 20, 30].map((x, at) => ({
        x: new Decimal(x),
        y: new Decimal(20 - 0.2 * x + [0.1, -0.1, -0.1, 0.1][at]!),
      })),
    );
    expect(yAt(line, 40).value).toBeCloseTo(12, 10);
    expect(xWhere(line, 12).value).toBeCloseTo(40, 10);
    expect(xWhere(line, 12).sd).toBeCloseTo(yAt(line, 40).sd / 0.2, 10);
    expect(yAt(line, 40).sd).toBeGreaterThan(yAt(line, 15).sd);
  });

  it('refuses what has no line', () => {
    expect(() => fitLine([])).toThrow(RangeError);
    expect(() => fitLine([1, 2].map((y) => ({ x: new Decimal(5), y: new Decimal(y) })))).toThrow(/same x/);
    const level = fitLine([1, 2, 3].map((x) => ({ x: new Decimal(x), y: new Decimal(4) })));
    expect(() => xWhere(level, 7)).toThrow(/level line/);
  });
});

describe('outliers', () => {
  it.each([
    // Grubbs' table, two-sided 5 %.
    [3, 1.155],
    [5, 1.715],
    [10, 2.29],
    [20, 2.709],
  ])('Grubbs for %i values is %s', (n, g) => {
    expect(grubbsCritical(n)).toBeCloseTo(g, 2);
  });

  it('suggests the one that lies apart, and nothing where all scatter alike', () => {
    const apart = exact(['8.41', '8.43', '8.40', '8.42', '9.10']);
    expect(suspectOutlier(apart)).toMatchObject({ at: 4, test: 'Grubbs' });
    expect(grubbs(exact(['8.41', '8.43', '8.40', '8.42', '8.44']))).toBeNull();
    expect(suspectOutlier(exact([1, 1, 9]))).toBeNull();
    expect(suspectOutlier(exact([5, 5, 5, 5]))).toBeNull();
  });

  it('has Dixon’s ratio for few values', () => {
    // Gap 0.9 over range 1.0 for five values; the table has 0.710.
    expect(dixon(exact(['1.0', '1.05', '1.08', '1.1', '2.0']))).toMatchObject({ at: 4, critical: 0.71 });
    expect(dixon(exact(['1.0', '1.3', '1.6', '2.0']))).toBeNull();
  });
});
