import { describe, expect, it } from 'vitest';
import { about } from '../../test/aCase';
import { entry } from '../../test/entry';
import { presetNamed } from '../conventions';
import type { AuditColumn, AuditTable } from './auditTable';
import type { Column, DerivedColumn } from './investigation';
import { secondLookAt } from './look';
import { outcomeOf } from './outcome';
import { measured } from './readyMade/plain';
import { secondLook } from './secondLook';
import { tableOf } from './table';

// Each difference here was worked by hand.

const bench = presetNamed('Chemistry bench');
const clocks = ['a', 'b'].map((key): Column => ({ key, heading: key, symbol: key, kind: 'clock' }));
const worked = (unit: string): DerivedColumn => ({
  key: 'v',
  heading: 'v',
  symbol: 'v',
  kind: 'derived',
  unit,
  formula: 'b - a',
  by: 'student',
});

/** What a second look finds in a logbook of one trial. */
function inLogbook(columns: readonly Column[], unit: string, a: string, b: string, v: string): string[] {
  const what = about([...columns, worked(unit)], null);
  const tagOf = (key: string) => {
    const column = columns.find((own) => own.key === key);
    return column?.kind === 'measured' ? column.tag : '';
  };
  const cells = tableOf(
    Object.entries({ a, b, v }).map(([key, text]) => entry(1, key, text, { tag: tagOf(key) })),
  );
  return secondLookAt(what, cells, outcomeOf(what, cells, bench), bench).map(
    ({ sentence, sure }) => `${sure}: ${sentence}`,
  );
}

/** What a second look finds in a table that was made up, as they are hunted for faults. */
function inTable(clock: boolean, unit: string, a: string, b: string, v: string): string[] {
  const column = (key: string, own: string, difference: AuditColumn['difference']): AuditColumn => ({
    key,
    heading: key,
    unit: own,
    read: null,
    difference,
    carried: false,
    planned: null,
  });
  const table: AuditTable = {
    title: 'Differences',
    columns: [
      column('a', clock ? '' : unit, null),
      column('b', clock ? '' : unit, null),
      column('v', unit, { from: 'a', to: 'b', clock }),
    ],
    rows: [{ trial: 1, excluded: null, cells: { a, b, v } }],
    mean: null,
  };
  return secondLook(table).map(({ sentence, sure }) => `${sure}: ${sentence}`);
}

describe.each([
  ['a logbook', (unit: string, a: string, b: string, v: string) => inLogbook(clocks, unit, a, b, v)],
  ['a table to hunt in', (unit: string, a: string, b: string, v: string) => inTable(true, unit, a, b, v)],
])('clock times in %s', (_, found) => {
  it.each([
    ['14:27:40', '15:09:15', '41.58', 'min'],
    // One place less than the clock shows is enough.
    ['14:27:40', '15:09:15', '41.6', 'min'],
    ['14:27', '15:09', '42', 'min'],
    ['23:50', '0:21', '31', 'min'],
    ['9:50', '9:50', '0', 'min'],
  ])('%s to %s is %s %s', (a, b, v, unit) => expect(found(unit, a, b, v)).toEqual([]));

  const decimals = 'The times were subtracted like decimals. An hour has 60 minutes.';
  it.each([
    [
      '14:27:40',
      '15:09:15',
      '41.35',
      'min',
      'The seconds were written as hundredths of a minute. A minute has 60 seconds.',
    ],
    ['14:27:40', '15:09:15', '81.75', 'min', decimals],
    ['14:27', '15:09', '82', 'min', decimals],
    ['9:50', '10:20', '0.70', 'h', decimals],
  ])('%s to %s is not %s %s: %s', (a, b, v, unit, why) =>
    expect(found(unit, a, b, v)).toEqual([`certain: ${why}`]),
  );

  it('that give another time get one finding', () => {
    expect(found('min', '14:27', '15:09', '37')).toHaveLength(1);
  });
});

describe('clock times in a logbook', () => {
  it('on a clock of twelve hours are asked about, not called wrong', () => {
    expect(inLogbook(clocks, 'min', '12:40:10', '1:11:02', '30.87')).toEqual([
      'worth a look: Was 1:11:02 in the afternoon? Then write 13:11:02.',
    ]);
  });
});

describe('a difference of readings', () => {
  const inCylinder = ['a', 'b'].map((key) => measured(key, key, key, 'mL', 'C-01'));
  const ofVolumes = (v: string, a = '50.2', b = '70.1') => inLogbook(inCylinder, 'mL', a, b, v);

  it('has one finding for each slip in a logbook', () => {
    expect(ofVolumes('19.9')).toEqual([]);
    expect(ofVolumes('19.4')).toHaveLength(1);
    expect(ofVolumes('-19.9')).toEqual([
      'certain: The difference is the other way round. The heading says which is taken from which.',
    ]);
    for (const zero of ['0.0', '-0.0']) expect(ofVolumes(zero, '50.2', '50.2')).toEqual([]);
  });

  it('in a table to hunt in says what the readings give, with their zeros, or which way it goes', () => {
    expect(inTable(false, 'g', '-0.006', '0.744', '0.738')).toEqual([
      'certain: The readings give 0.750, not 0.738.',
    ]);
    expect(inTable(false, 'mL', '50.2', '70.1', '-19.9')).toEqual([
      'certain: -19.9 is first minus last. The heading asks for last minus first.',
    ]);
    expect(inTable(false, 'mL', '50.2', '50.2', '-0.0')).toEqual([]);
  });
});
