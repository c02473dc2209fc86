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
    ['14:27:40', '15:09:15', '41.35', 'min', 'seconds are taken for hundredths of a minute'],
    ['14:27:40', '15:09:15', '81.75', 'min', 'minutes are taken for hundredths'],
    ['14:27', '15:09', '82', 'min', 'minutes are taken for hundredths'],
    ['9:50', '10:20', '0.70', 'h', 'minutes are taken for hundredths'],
  ])('%s to %s is not %s %s: %s', (a, b, v, unit, when) =>
    expect(found(true, unit, a, b, v)).toEqual([
      `clock-as-decimals, certain: ${v} is what the clock times give when ${when}.`,
    ]),
  );

  it('on a clock of twelve hours is asked about, not called wrong', () => {
    expect(found(true, 'min', '12:40:10', '1:11:02', '30.87')).toEqual([
      'clock-afternoon, worth a look: With 30.87 the 1:11:02 is in the afternoon: a clock of 24 hours shows 13:11:02. Is it?',
    ]);
  });

  it('that nothing explains is told', () => {
    expect(found(true, 'min', '14:27', '15:09', '43')).toEqual([
      'difference-contradicted, certain: Its readings give 42, not 43.',
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
  it('is worked in its own unit', () => {
    expect(found(false, 'mL', '50.2', '0.0701 L', '19.9')).toEqual([]);
    expect(found(false, 'cm', '12.5', '81.0', '6.85', 'mm')).toEqual([]);
    expect(found(false, 'mL', '50.2', '0.0701 L', '19.8')).toEqual([
      'difference-contradicted, certain: Its readings give 19.9, not 19.8.',
    ]);
  });

  it('is told with the zeros that its readings have', () => {
    expect(found(false, 'g', '-0.006', '0.744', '0.738')).toEqual([
      'difference-contradicted, certain: Its readings give 0.750, not 0.738.',
    ]);
  });
});
