import { describe, expect, it } from 'vitest';
import { seeded } from '../chance/random';
import { behrensFisher } from './behrensFisher';
import { studentTails } from './tails';

const part = (of: number, df: number) => ({ of, df });

describe('two means whose numbers are not alike', () => {
  it('with one degree each would be a sum of two Cauchy variables, whose tails are known', () => {
    // Just beside one degree, so that it is not Welch’s.
    for (const [v1, v2, t] of [
      [1, 1, 30],
      [1, 9, 40],
      [16, 1, 60],
    ] as const) {
      const scale = (Math.sqrt(v1) + Math.sqrt(v2)) / Math.sqrt(v1 + v2);
      const { p } = behrensFisher(t * Math.sqrt(v1 + v2), part(v1, 1), part(v2, 1.000001));
      expect(p).toBeCloseTo(1 - (2 / Math.PI) * Math.atan(t / scale), 4);
    }
  });

  it('have the 5 % points of the published tables', () => {
    // Fisher and Yates, Statistical Tables, table VI: 6 and 6 degrees at 45° 2.435, beside which 6 and 6.000001 stands.
    expect(behrensFisher(2.435 * Math.SQRT2, part(1, 6), part(1, 6.000001)).p).toBeCloseTo(0.05, 3);
  });

  it('are Student’s where one variance is all of it', () => {
    expect(behrensFisher(4, part(1, 3), part(1e-12, 20)).p).toBeCloseTo(studentTails(4, 3), 3);
    expect(behrensFisher(4, part(1e-12, 3), part(1, 20)).p).toBeCloseTo(studentTails(4, 20), 3);
  });

  it('are as in a simulation of what it says', () => {
    const random = seeded(5);
    const chi = (df: number) =>
      Array.from({ length: df }, () => random.normal() ** 2).reduce((a, b) => a + b, 0);
    const t = (df: number) => random.normal() / Math.sqrt(chi(df) / df);
    const [sine, cosine] = [Math.sqrt(2 / 3), Math.sqrt(1 / 3)];
    const draws = 40_000;
    const beyond = Array.from({ length: draws }, () => Math.abs(t(3) * sine + t(8) * cosine)).filter(
      (size) => size > 3,
    ).length;
    const { p } = behrensFisher(3 * Math.sqrt(3), part(2, 3), part(1, 8));
    expect(Math.abs(p - beyond / draws)).toBeLessThan(4 * Math.sqrt((p * (1 - p)) / draws));
  });

  it.each([
    [2, 20, 1],
    [2, 20, 8],
    [20, 2, 8],
    [3, 12, 0.25],
  ])('of %i and %i trials are claimed to differ in 5.1 of 100 classes at most', (n, m, ratio) => {
    const random = seeded(100 * n + m);
    const sample = (count: number, sd: number) => {
      const own = Array.from({ length: count }, () => sd * random.normal());
      const mean = own.reduce((sum, value) => sum + value, 0) / count;
      const squares = own.reduce((sum, value) => sum + (value - mean) ** 2, 0);
      return { mean, part: part(squares / (count - 1) / count, count - 1) };
    };
    const classes = 4_000;
    let claimed = 0;
    for (let at = 0; at < classes; at += 1) {
      const [a, b] = [sample(n, 1), sample(m, ratio)];
      if (behrensFisher(a.mean - b.mean, a.part, b.part).p < 0.05) claimed += 1;
    }
    expect(claimed / classes).toBeLessThan(0.051 + 4 * Math.sqrt((0.05 * 0.95) / classes));
  });
});
