import { describe, expect, it } from 'vitest';
import { entry, rows } from '../../test/entry';
import { compared } from '../compare';
import { presetNamed } from '../conventions';
import { pieceOf } from '../stock';
import { outcomeOf } from './outcome';
import { pieceText, withPieces } from './pieces';
import { comparable, comparisonOf, groupingsOf, type PooledBook } from './pool';
import { boltPin, glasswareThreeWays, panBrine } from './readyMade';
import type { Investigation } from './investigation';
import { tableOf, type Entry } from './table';

const conventions = presetNamed('Chemistry bench');
const bookOf = (bench: string, investigation: Investigation, entries: readonly Entry[]): PooledBook => {
  const cells = tableOf(entries);
  return { id: bench, bench, investigation, cells, outcome: outcomeOf(investigation, cells, conventions) };
};
const jars = (reader: string, ...full: string[]): Entry[] =>
  [
    ...rows(glasswareThreeWays, 't', '20.0', '20.0'),
    ...rows(glasswareThreeWays, 'dry full', ...full.map((text) => `30.00 ${text}`)),
  ].map((own) => ({ ...own, reader }));

const four = '49.96 49.97 49.95 49.97 49.70 49.85 49.60 49.79 48.90 50.30 49.40 48.10'.split(' ');
const [ada, bo] = [
  bookOf('Ada', glasswareThreeWays, jars('Ada', ...four)),
  bookOf('Bo', glasswareThreeWays, jars('Bo', ...four)),
];

/** A burette and a balance, read on from portion to portion: four portions lie between five rows. */
const brine = ['0.50 60.11', '8.50 69.71', '16.50 79.35', '24.50 88.91', '32.50 98.55'];

describe('a comparison out of logbooks', () => {
  it('has a group for each named row, with its own mark, over all benches', () => {
    const { unit, groups } = comparisonOf([ada, bo], 'V', 'row');
    expect(unit).toBe('mL');
    expect(
      groups.map(({ name, observations, reference }) => [name, observations.length, reference?.tolerance]),
    ).toEqual([
      ['Burette U-01', 8, '0.05'],
      ['Cylinder C-04', 8, '0.5'],
      ['Beaker K-01', 8, '2.5'],
    ]);
    // 19.96 g of water at 20 °C, 0.998207 g/mL: 19.9959 mL.
    expect(Number(groups[0]?.observations[0]?.value)).toBeCloseTo(19.96 / 0.998207, 4);
  });

  it('has a group for each bench or reader, in one row', () => {
    const { groups } = comparisonOf([ada, bo], 'V', 'bench', 'cylinder');
    expect(groups.map(({ name, observations }) => [name, observations.length])).toEqual([
      ['Ada', 4],
      ['Bo', 4],
    ]);
    expect(comparisonOf([ada, bo], 'V', 'reader', 'beaker').groups.map(({ name }) => name)).toEqual([
      'Ada',
      'Bo',
    ]);
    expect(groupingsOf(comparable(glasswareThreeWays)[0]!)).toEqual([
      'row',
      'bench',
      'reader',
      'piece',
      'day',
    ]);
  });

  it('has a group for each piece that was read, and for each day', () => {
    const twoDays = jars('Ada', ...four).map((own) =>
      own.kind === 'reading' && own.trial > 2
        ? { ...own, tag: 'E-05', writtenAt: '2026-11-10T09:30:00.000' }
        : { ...own, writtenAt: '2026-11-03T09:30:00.000' },
    );
    const use = {
      role: 'E-03',
      piece: pieceOf({ tag: 'E-05', kind: 'electronic-balance', model: 'electronic-0_01' }),
      corrected: false,
    };
    const entries = [entry(0, '@piece E-05', pieceText(use)), ...twoDays];
    const cells = tableOf(entries);
    const own = withPieces(glasswareThreeWays, cells);
    const book: PooledBook = {
      id: 'Ada',
      bench: 'Ada',
      investigation: own,
      cells,
      outcome: outcomeOf(own, cells, conventions),
    };
    const named = (by: 'piece' | 'day') =>
      comparisonOf([book], 'V', by, 'burette').groups.map(({ name, observations }) => [
        name,
        observations.length,
      ]);
    expect(named('piece')).toEqual([
      ['E-03', 2],
      ['E-05', 2],
    ]);
    expect(named('day')).toEqual([
      ['2026-11-03', 2],
      ['2026-11-10', 2],
    ]);
  });

  it('shows what was excluded with its reason, and nothing that was abandoned', () => {
    const said = (trial: number, text: string) => entry(trial, '@standing jars', text, { reason: 'spilt' });
    const book = bookOf('Ada', glasswareThreeWays, [
      ...jars('Ada', ...four),
      said(1, 'excluded'),
      said(2, 'abandoned'),
    ]);
    const [burette] = comparisonOf([book], 'V', 'row').groups;
    expect(burette?.observations.map(({ excluded }) => excluded)).toEqual(['spilt', null, null]);
    expect(compared(comparisonOf([book], 'V', 'row')).shown[0]).toMatchObject({ n: 2, excluded: 1 });
  });

  it('takes replicates that share readings by their mean: of one bench with its ±, of two as a value each', () => {
    const book = (name: string, ...texts: string[]) =>
      bookOf(name, panBrine, rows(panBrine, 'R M', ...texts));
    const own = book('Ada', ...brine);
    const result = own.outcome.results[0];
    if (result?.state !== 'reckoned' || result.result.kind !== 'mean')
      throw new Error('The brine has no mean.');
    expect(result.result.way).toBe('one receiver');
    const key = comparable(panBrine)[0]!.key;
    const [alone] = comparisonOf([own], key, 'bench').groups;
    expect(alone).toMatchObject({ shared: { u: result.result.typeA, df: 3 }, observations: { length: 4 } });
    const readers = comparisonOf([own, book('Ada', ...brine)], key, 'reader').groups;
    expect(readers[0]?.observations).toHaveLength(2);
    expect(readers[0]).not.toHaveProperty('shared');
  });

  it('is empty where there is nothing to compare', () => {
    expect(comparisonOf([], 'V', 'row')).toEqual({ unit: '', groups: [] });
    expect(comparisonOf([ada], 'nothing', 'row')).toEqual({ unit: '', groups: [] });
    expect(comparisonOf([bookOf('Ada', boltPin, [])], 'rho', 'bench').groups).toEqual([]);
  });
});
