import { describe, expect, it } from 'vitest';
import { lookRules, secondLook, type AuditTable } from '../record/secondLook';
import { faultyTable, judgeMarks } from '.';

describe('a table with planted faults', () => {
  const tables = Array.from({ length: 200 }, (_, seed) => faultyTable(seed));

  it('holds two or three, each found by the second look', () => {
    for (const table of tables) {
      const codes = new Set(secondLook(table).map(({ code }) => code));
      expect(codes.size).toBeGreaterThanOrEqual(2);
      expect(codes.size).toBeLessThanOrEqual(3);
    }
    const all = new Set(tables.flatMap((table) => secondLook(table).map(({ code }) => code)));
    expect(all.size).toBeGreaterThanOrEqual(7);
  });

  it('judges marks: right, another reason, nothing, and what was missed', () => {
    const table = tables[0]!;
    const [first, ...rest] = secondLook(table);
    const other = lookRules.find(
      ({ code }) => !secondLook(table).some((finding) => finding.code === code),
    )!.code;
    expect(judgeMarks(table, [{ place: first!.place, code: first!.code }])).toMatchObject({
      verdicts: [{ is: 'right' }],
      missed: rest.map(({ code }) => ({ code })),
    });
    expect(judgeMarks(table, [{ place: first!.place, code: other }]).verdicts).toMatchObject([
      { is: 'another reason' },
    ]);
    expect(judgeMarks(table, [{ place: { trial: 99, column: 'x' }, code: other }]).verdicts).toMatchObject([
      { is: 'nothing' },
    ]);
  });
});

describe('the second look', () => {
  const clean: AuditTable = {
    title: 'By hand',
    columns: [
      {
        key: 'a',
        heading: 'Before',
        unit: 'mL',
        read: {
          by: 'C-100',
          unit: 'mL',
          step: '0.1',
          estimated: true,
          glass: true,
          lowest: '10',
          highest: '100',
        },
        difference: null,
        carried: false,
        planned: '50.0',
      },
      {
        key: 'b',
        heading: 'After',
        unit: 'mL',
        read: {
          by: 'C-100',
          unit: 'mL',
          step: '0.1',
          estimated: true,
          glass: true,
          lowest: '10',
          highest: '100',
        },
        difference: null,
        carried: false,
        planned: null,
      },
      {
        key: 'v',
        heading: 'Rise',
        unit: 'mL',
        read: null,
        difference: { from: 'a', to: 'b', clock: false },
        carried: false,
        planned: null,
      },
    ],
    rows: [
      { trial: 1, excluded: null, cells: { a: '50.2', b: '60.4', v: '10.2' } },
      { trial: 2, excluded: 'drops lost', cells: { a: '49.8', b: '63.8', v: '14.0' } },
      { trial: 3, excluded: null, cells: { a: '50.1', b: '60.4', v: '10.3' } },
    ],
    mean: { column: 'v', text: '10.25' },
  };
  const with_ = (trial: number, key: string, text: string): AuditTable => ({
    ...clean,
    rows: clean.rows.map((row) =>
      row.trial === trial ? { ...row, cells: { ...row.cells, [key]: text } } : row,
    ),
  });

  it('finds nothing in an honest table', () => expect(secondLook(clean)).toEqual([]));

  it.each([
    [
      'a heading without unit',
      {
        ...clean,
        columns: clean.columns.map((column) => ({
          ...column,
          unit: column.key === 'b' ? null : column.unit,
        })),
      },
      'heading-without-unit',
    ],
    ['a figure too fine', with_(1, 'b', '60.40'), 'finer-than-instrument'],
    ['uneven decimals', with_(2, 'b', '64'), 'uneven-decimals'],
    ['past the scale', with_(2, 'b', '163.8'), 'off-the-scale'],
    ['a refuted difference', with_(2, 'v', '13.0'), 'difference-contradicted'],
    ['a reversed difference', with_(2, 'v', '-14.0'), 'wrong-direction'],
    ['the mean of all', { ...clean, mean: { column: 'v', text: '11.5' } }, 'mean-holds-excluded'],
    ['another mean', { ...clean, mean: { column: 'v', text: '10.9' } }, 'mean-contradicted'],
  ])('%s', (_, table, code) => {
    expect(secondLook(table as AuditTable).map((finding) => finding.code)).toContain(code);
  });

  it('finds the planned amount only where it repeats', () => {
    const planned = {
      ...clean,
      rows: clean.rows.map((row) => ({ ...row, cells: { ...row.cells, a: '50.0' } })),
    };
    expect(secondLook(planned).filter(({ code }) => code === 'planned-amount')).toHaveLength(3);
    expect(secondLook(with_(2, 'a', '50.0')).map(({ code }) => code)).not.toContain('planned-amount');
  });
});
