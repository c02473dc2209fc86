import { describe, expect, it } from 'vitest';
import { about } from '../../test/aCase';
import { entry } from '../../test/entry';
import { seeded } from '../chance/random';
import { presetNamed } from '../conventions';
import { alikePairs, chanceOfSame } from './alike';
import type { PooledBook } from './pool';
import { measured } from './readyMade/plain';
import { outcomeOf } from './outcome';
import { tableOf, type Entry } from './table';

const conventions = presetNamed('Chemistry bench');
const columns = ['a', 'b', 'c'];
const trials = 6;
const investigation = about(
  columns.map((key) => measured(key, `Mass ${key}`, key, 'g', 'E-01')),
  null,
  { trials },
);

const bookOf = (bench: string, texts: readonly (readonly string[])[]): PooledBook => {
  const entries: Entry[] = texts.flatMap((row, at) =>
    row.map((text, nth) => ({ ...entry(at + 1, columns[nth] ?? '', text), id: `${bench}${at}${nth}` })),
  );
  const cells = tableOf(entries);
  return { id: bench, bench, investigation, cells, outcome: outcomeOf(investigation, cells, conventions) };
};

/** A class that reads with a scatter of two steps. */
function classOf(seed: number, copied: number): PooledBook[] {
  const random = seeded(seed);
  const texts = Array.from({ length: 8 }, () =>
    Array.from({ length: trials }, () =>
      columns.map((_, nth) => (10 + nth + 0.02 * random.normal()).toFixed(2)),
    ),
  );
  // The second takes this share from the first.
  const [first, second] = texts;
  for (const [at, row] of (second ?? []).entries())
    for (const nth of row.keys()) if (random.chance(copied)) row[nth] = first?.[at]?.[nth] ?? '';
  return texts.map((own, at) => bookOf(`Bench ${at + 1}`, own));
}

describe('logbooks that agree too well', () => {
  it('knows how likely two readings are the same', () => {
    expect(chanceOfSame(0.1, 0)).toBe(1);
    // Far finer than the scatter: q/(2σ√π).
    expect(chanceOfSame(0.01, 1)).toBeCloseTo(0.01 / (2 * Math.sqrt(Math.PI)), 6);
    // σ = q: from a table of the normal distribution, 0.38292, 0.24173, 0.06060, 0.00598, 0.00023 on the steps.
    expect(chanceOfSame(1, 1)).toBeCloseTo(0.38292 ** 2 + 2 * (0.24173 ** 2 + 0.0606 ** 2 + 0.00598 ** 2), 4);
  });

  it('finds who copied, and says of how many readings', () => {
    const [pair, ...others] = alikePairs(classOf(3, 0.9));
    expect(others).toEqual([]);
    expect(pair?.books.map(({ bench }) => bench)).toEqual(['Bench 1', 'Bench 2']);
    expect(pair?.same).toBeGreaterThanOrEqual(5);
    expect(pair?.chance).toBeLessThan(0.001);
  });

  it('accuses nobody of forty honest classes', () => {
    expect(Array.from({ length: 40 }, (_, seed) => alikePairs(classOf(seed + 100, 0)).length)).toEqual(
      Array.from({ length: 40 }, () => 0),
    );
  });

  it('accuses nobody where nothing scatters, or where there is little', () => {
    const still = Array.from({ length: 4 }, (_, at) =>
      bookOf(
        `Bench ${at}`,
        Array.from({ length: 4 }, () => columns.map(() => '10.00')),
      ),
    );
    expect(alikePairs(still)).toEqual([]);
    expect(alikePairs([])).toEqual([]);
    expect(alikePairs(classOf(3, 1).slice(0, 1))).toEqual([]);
  });
});
