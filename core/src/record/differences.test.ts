import { describe, expect, it } from 'vitest';
import { about } from '../../test/aCase';
import { presetNamed } from '../conventions';
import type { AuditColumn, AuditTable } from './auditTable';
import { auditColumn } from './columnKinds';
import { secondLook } from './secondLook';

// Each difference here was worked by hand.

const column = (key: string, unit: string | null, clock?: boolean): AuditColumn => ({
  key,
  heading: key,
  unit,
  read: null,
  difference: clock === undefined ? null : { from: 'a', to: 'b', clock },
  carried: false,
  planned: null,
});
const found = (clock: boolean, unit: string, a: string, b: string, v: string, read = unit) => {
  const table: AuditTable = {
    title: 'Differences',
    columns: [column('a', clock ? '' : read), column('b', clock ? '' : read), column('v', unit, clock)],
    rows: [{ trial: 1, excluded: null, cells: { a, b, v } }],
    mean: null,
  };
  return secondLook(table).map(({ code, sentence, sure }) => `${code}, ${sure}: ${sentence}`);
};

describe('a difference of clock times', () => {
  it.each([
    ['14:27:40', '15:09:15', '41.58', 'min'],
    ['14:27:40', '15:09:15', '41.6', 'min'],
    ['14:27:40', '15:09:15', '2495', 's'],
    ['14:27', '15:09', '42', 'min'],
    ['9:50', '10:20', '0.50', 'h'],
    ['23:50', '0:20', '30', 'min'],
  ])('%s to %s is %s %s', (a, b, v, unit) => expect(found(true, unit, a, b, v)).toEqual([]));

  it.each([
    [
      '14:27:40',
      '15:09:15',
      '41.35',
      'min',
      'writes 35 seconds as hundredths of a minute. A minute has 60 seconds.',
    ],
    [
      '14:27:40',
      '15:09:15',
      '81.75',
      'min',
      'comes from subtracting the times like decimals. An hour has 60 minutes.',
    ],
    [
      '14:27',
      '15:09',
      '82',
      'min',
      'comes from subtracting the times like decimals. An hour has 60 minutes.',
    ],
    ['9:50', '10:20', '0.70', 'h', 'comes from subtracting the times like decimals. An hour has 60 minutes.'],
  ])('%s to %s is not %s %s: it %s', (a, b, v, unit, why) =>
    expect(found(true, unit, a, b, v)).toEqual([`clock-as-decimals, certain: ${v} ${why}`]),
  );

  it('on a clock of twelve hours is asked about, not called wrong', () => {
    expect(found(true, 'min', '12:40:10', '1:11:02', '30.87')).toEqual([
      'clock-afternoon, worth a look: Was 1:11:02 in the afternoon? Then write 13:11:02.',
    ]);
  });

  it('that nothing explains gets what the readings give', () => {
    expect(found(true, 'min', '14:27', '15:09', '43')).toEqual([
      'difference-contradicted, certain: The readings give 42, not 43.',
    ]);
  });

  it('is one in a logbook too, where both of its columns are clocks', () => {
    const clock = (key: string) => ({ key, heading: key, symbol: key, kind: 'clock' }) as const;
    const worked = { ...clock('v'), kind: 'derived', unit: 'min', formula: 'b - a', by: 'student' } as const;
    const what = about([clock('a'), clock('b'), worked], null);
    expect(auditColumn(worked, what, presetNamed('Chemistry bench')).difference).toEqual({
      from: 'a',
      to: 'b',
      clock: true,
    });
  });
});

describe('a difference of readings', () => {
  it('the wrong way round says so, and nothing else; of equal readings it is 0', () => {
    expect(found(false, 'mL', '50.2', '70.1', '-19.9')).toEqual([
      'wrong-direction, certain: -19.9 is first minus last. The heading asks for last minus first.',
    ]);
    for (const zero of ['0.0', '-0.0']) expect(found(false, 'mL', '50.2', '50.2', zero)).toEqual([]);
    expect(found(true, 'min', '9:50', '9:50', '0')).toEqual([]);
  });

  it('is worked in its own unit', () => {
    expect(found(false, 'mL', '50.2', '0.0701 L', '19.9')).toEqual([]);
    expect(found(false, 'cm', '12.5', '81.0', '6.85', 'mm')).toEqual([]);
    expect(found(false, 'mL', '50.2', '0.0701 L', '19.8')).toEqual([
      'difference-contradicted, certain: The readings give 19.9, not 19.8.',
    ]);
  });

  it('is written with the zeros that its readings have', () => {
    expect(found(false, 'g', '-0.006', '0.744', '0.738')).toEqual([
      'difference-contradicted, certain: The readings give 0.750, not 0.738.',
    ]);
  });
});
