import { describe, expect, it } from 'vitest';
import { Decimal } from '../figures';
import { summarize } from './summary';

const of = (...values: string[]) => summarize(values.map((value) => new Decimal(value)));

describe('summarize', () => {
  it('agrees with a sum worked by hand', () => {
    // 8, 9, 11, 12: mean 10, deviations −2 −1 1 2, squares 10, s² = 10/3.
    const summary = of('8', '9', '11', '12');
    expect(summary.mean.toFixed()).toBe('10');
    expect(summary.standardDeviation?.toFixed(12)).toBe('1.825741858351');
    expect(summary.sdOfMean?.toFixed(12)).toBe('0.912870929175');
    expect(summary.meanAbsoluteDeviation.toFixed()).toBe('1.5');
    expect(summary.halfRange.toFixed()).toBe('2');
  });

  it('keeps a tiny spread on a large mean', () => {
    // The three values 10^12 + {0.001, 0.002, 0.003}: s = 0.001 exactly.
    expect(
      of('1000000000000.001', '1000000000000.002', '1000000000000.003').standardDeviation?.toFixed(),
    ).toBe('0.001');
  });

  it('finds no spread among equal values that no decimal holds', () => {
    const third = new Decimal(66.2).div(7.77523);
    const summary = summarize([third, third, third, third, third, third, third]);
    expect(summary.mean).toEqual(third);
    for (const spread of [summary.standardDeviation, summary.sdOfMean, summary.meanAbsoluteDeviation])
      expect(spread?.toNumber()).toBe(0);
  });

  it('has no spread for one value and nothing to say of none', () => {
    expect(of('5.0')).toMatchObject({ n: 1, standardDeviation: null, sdOfMean: null });
    expect(() => of()).toThrow(RangeError);
  });
});
