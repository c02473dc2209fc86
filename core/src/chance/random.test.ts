import { describe, expect, it } from 'vitest';
import { seeded, seedFrom } from './random';

const many = 20_000;
const first = (skip: number) =>
  Array.from({ length: many }, (_, seed) => {
    const random = seeded(seed);
    for (let drawn = 0; drawn < skip; drawn += 1) random.next();
    return random.next();
  });

describe('seeded chance', () => {
  it('is the same for the same seed, and another for another', () => {
    const draws = (seed: number) => {
      const { next } = seeded(seed);
      return [next(), next(), next()];
    };
    expect(draws(7)).toEqual(draws(7));
    expect(draws(7 + 2 ** 32)).toEqual(draws(7));
    expect(draws(8)).not.toEqual(draws(7));
  });

  it.each([0, 1, 5])(
    'spreads draw %s of neighbouring seeds evenly, and without a bond between them',
    (skip) => {
      const values = first(skip);
      const bins = new Array<number>(10).fill(0);
      for (const value of values) bins[Math.floor(value * 10)]! += 1;
      // Binomial with 20 000 · 0.1: a standard deviation of 42.
      for (const bin of bins) expect(Math.abs(bin - many / 10)).toBeLessThan(5 * 42.5);
      const bond = values
        .slice(1)
        .reduce((sum, value, at) => sum + 12 * (value - 0.5) * ((values[at] ?? 0) - 0.5), 0);
      expect(Math.abs(bond / many)).toBeLessThan(5 / Math.sqrt(many));
    },
  );

  it('draws whole numbers with both ends, and normal ones with mean 0 and spread 1', () => {
    const random = seeded(3);
    const dice = new Set(Array.from({ length: 500 }, () => random.whole(1, 6)));
    expect([...dice].sort()).toEqual([1, 2, 3, 4, 5, 6]);
    const normal = Array.from({ length: many }, () => random.normal());
    const mean = normal.reduce((sum, value) => sum + value, 0) / many;
    const square = normal.reduce((sum, value) => sum + value ** 2, 0) / many;
    expect(Math.abs(mean)).toBeLessThan(5 / Math.sqrt(many));
    expect(Math.abs(square - 1)).toBeLessThan(5 * Math.sqrt(2 / many));
  });

  it('picks from a list, and not from an empty one', () => {
    const random = seeded(1);
    expect(['a', 'b']).toContain(random.pick(['a', 'b']));
    expect(() => random.pick([])).toThrow(RangeError);
    expect(random.chance(0)).toBe(false);
    expect(random.chance(1)).toBe(true);
    const between = random.between(-2, -1);
    expect(between).toBeGreaterThanOrEqual(-2);
    expect(between).toBeLessThan(-1);
  });

  it('makes a seed of a name', () => {
    expect(seedFrom('')).toBe(0x811c9dc5 | 0);
    // FNV-1a of “a”, from the table of its authors: e40c292c.
    expect(seedFrom('a') >>> 0).toBe(0xe40c292c);
  });
});
