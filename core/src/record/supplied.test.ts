import { describe, expect, it } from 'vitest';
import { about, mean } from '../../test/aCase';
import { entry } from '../../test/entry';
import { presetNamed } from '../conventions';
import { checkInvestigation } from './checkInvestigation';
import { coveredFor } from './covered';
import type { Column, Table } from './investigation';
import { outcomeOf } from './outcome';
import { comparisonOf, type PooledBook } from './pool';
import { derived, measured } from './readyMade/plain';
import { cellKey } from './subject';
import { cellsIn, isSuppliedCell } from './supplied';
import { tableOf, type Entry } from './table';

const bench = presetNamed('Chemistry bench');
const m = measured('m', 'Mass', 'm', 'g', 'E-01');
const V: Column = { key: 'V', heading: 'Volume', symbol: 'V', kind: 'measured', unit: 'mL', tag: 'C-01' };
const again: Column = { ...V, key: 'V2', heading: 'The same by your partner', secondOf: 'V' };
const rho = { ...derived('rho', 'Density', 'ρ', 'g/cm^3', 'm / V'), by: 'student' } as Column;
const supplied = { supplied: [{ reader: 'Ms Marrow', on: '2026-10-12', cells: { m: '52.40', V: '20.0' } }] };
const what = (table: Partial<Table> = supplied) => about([m, V, rho], mean('rho', 'g/cm^3'), table);

describe('rows that the teacher measured', () => {
  it('stand in every logbook, and are left to be worked', () => {
    const cells = cellsIn(what(), []);
    expect(cells.get(cellKey(1, 'm'))?.current).toMatchObject({
      text: '52.40',
      reader: 'Ms Marrow',
      origin: 'teacher',
      tag: 'E-01',
    });
    const { trials } = outcomeOf(what(), cells, bench);
    expect(trials['table']).toMatchObject([{ trial: 1, complete: false }]);
    expect(isSuppliedCell(what(), 1, 'm')).toBe(true);
    expect([isSuppliedCell(what(), 2, 'm'), isSuppliedCell(what(), 1, 'rho')]).toEqual([false, false]);
  });

  it('are one measurement, however many benches work them', () => {
    const own = about([m], mean('m', 'g'), {
      supplied: [{ reader: 'Ms Marrow', on: '2026-10-12', cells: { m: '52.40' } }],
    });
    const books = ['Ada', 'Bo'].map((bench_, at): PooledBook => {
      const cells = cellsIn(own, [entry(2, 'm', `52.4${at}`)]);
      return { id: bench_, bench: bench_, investigation: own, cells, outcome: outcomeOf(own, cells, bench) };
    });
    const { groups } = comparisonOf(books, 'result', 'bench');
    expect(groups.map(({ observations }) => observations.map(({ value }) => value))).toEqual([
      ['52.4', '52.4'],
      ['52.41'],
    ]);
  });

  it.each([
    [{ rho: '2.6' }, '“rho” is no column that is read.'],
    [{ x: '1' }, '“x” is no column that is read.'],
    [{ m: 'heavy' }, /number/],
  ])('are refused where they cannot be: %j', (cells, sentence) => {
    const [problem] = checkInvestigation(what({ supplied: [{ reader: 'A', on: '2026-10-12', cells }] }));
    expect(problem?.place).toMatch(/^tables\[0\]\.supplied\[0\]\.cells/);
    expect(problem?.sentence).toMatch(sentence);
  });

  it('are no more than the trials that are wanted', () => {
    const row = supplied.supplied[0]!;
    expect(checkInvestigation(what({ supplied: [row, row, row, row] }))).toMatchObject([
      { place: 'tables[0].supplied', sentence: '4 rows are supplied, and 3 trials wanted.' },
    ]);
  });
});

describe('two who read the same', () => {
  const columns = [m, V, again, rho];
  const book = about(columns, null, {}, { workedApart: true });
  const [table] = book.tables;
  const cover = (reader: string | null, key: string, entries: readonly Entry[]) => {
    const cells = tableOf(entries);
    const cell = cells.get(cellKey(1, key));
    const column = columns.find((own) => own.key === key);
    return (
      cell &&
      column &&
      coveredFor(
        reader === null ? 'staff' : { reader },
        cell,
        column,
        table!,
        book,
        (other) => cells.get(cellKey(1, other))?.current.text,
      )
    );
  };
  const ada = { reader: 'Ada Lind' };
  const bo = { reader: 'Bo Frost' };

  it('do not see the first number until the second is written', () => {
    const first = [entry(1, 'V', '20.0', ada)];
    expect(cover('Bo Frost', 'V', first)).toBe(
      'Ada Lind has read it. It opens when the same by your partner is written.',
    );
    expect([cover('Ada Lind', 'V', first), cover(null, 'V', first)]).toEqual([null, null]);
    expect(cover('Bo Frost', 'V', [...first, entry(1, 'V2', '20.1', bo)])).toBeNull();
  });

  it('each work a column before they see what the other worked', () => {
    const first = [entry(1, 'rho', '2.62', ada)];
    expect(cover('Bo Frost', 'rho', first)).toContain('Ada Lind has worked it.');
    const same = [...first, entry(1, 'rho', '2.62', bo)];
    expect([cover('Bo Frost', 'rho', same), cover('Ada Lind', 'rho', same)]).toEqual([null, null]);
    expect(tableOf(same).get(cellKey(1, 'rho'))).toMatchObject({ collided: false, struck: [] });
    const other = tableOf([...first, entry(1, 'rho', '2.26', bo)]).get(cellKey(1, 'rho'));
    expect(other).toMatchObject({ collided: true, struck: [{ entry: { text: '2.62' } }] });
  });

  it('may correct what both wrote, whichever of the two entries they saw', () => {
    const [one, two] = [entry(1, 'rho', '2.62', ada), entry(1, 'rho', '2.62', bo)];
    const corrected = entry(1, 'rho', '2.61', { ...bo, replaces: two.id, reason: 'slip' });
    expect(tableOf([one, two, corrected]).get(cellKey(1, 'rho'))).toMatchObject({
      current: { text: '2.61' },
      collided: false,
    });
  });

  it('need another column for it', () => {
    const alone = about([m, { ...again, secondOf: 'm9' }], null);
    expect(checkInvestigation(alone)).toMatchObject([
      { place: 'tables[0].columns[1].secondOf', sentence: '“m9” is no other column that is read here.' },
    ]);
  });
});
