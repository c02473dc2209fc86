import { describe, expect, it } from 'vitest';
import { about, mean, metrology, resultOf, value } from '../../test/aCase';
import { rows } from '../../test/entry';
import { adviseOn, cellInWriting } from './columnKinds';
import { checkInvestigation } from './checkInvestigation';
import type { KitItem, Manner, MeasuredColumn } from './investigation';
import { secondLookAt } from './look';
import { outcomeOf } from './outcome';
import { measured } from './readyMade/plain';
import { tableOf } from './table';

const kit: readonly KitItem[] = [
  { tag: 'V-01', kind: 'vernier-caliper', model: 'vernier-20-39' },
  { tag: 'M-01', kind: 'micrometer', model: 'micrometer-plain' },
  { tag: 'R-01', kind: 'ruler', model: 'ruler-mm' },
];
const d = (manner: Manner, tag = 'V-01'): MeasuredColumn => ({
  key: 'd',
  heading: 'Diameter',
  symbol: 'd',
  kind: 'measured',
  unit: 'mm',
  tag,
  manner,
});
const pin = (column: MeasuredColumn, result = mean('d', 'mm')) => about([column], result, {}, { kit });
const advice = (text: string, column: MeasuredColumn) => adviseOn(text, column, pin(column), metrology);

describe('a reading in its parts', () => {
  it.each([
    ['14 + 7', 'V-01', '14.35'],
    ['14+0', 'V-01', '14.00'],
    ['-1 + 19', 'V-01', '-1.95'],
    ['5.5 + 23', 'M-01', '5.73'],
    ['5,5 + 23.4', 'M-01', '5.734'],
  ])('%s on %s is %s', (text, tag, reading) => {
    const column = d('parts', tag);
    expect(cellInWriting(text, column, pin(column), metrology)).toBe(reading);
  });

  it('is reckoned with as its sum', () => {
    const what = pin(d('parts'));
    const entries = ['14 + 7', '14 + 9'].flatMap((text, at) =>
      rows(what, 'd', '').map((one) => ({ ...one, text, trial: at + 1, id: String(at) })),
    );
    expect(resultOf(what, entries).value.value.toNumber()).toBeCloseTo((14.35 + 14.45) / 2, 12);
  });

  it.each([
    ['13 + 21', 'V-01', 20],
    ['13 + 20', 'V-01', null],
    ['5.5 + 50', 'M-01', 49],
    ['5.5 + 49', 'M-01', null],
  ])('%s on %s: a line that the scale does not have gets a message, and no value', (text, tag, highest) => {
    const column = d('parts', tag);
    const line = text.slice(text.lastIndexOf(' ') + 1);
    expect(advice(text, column)).toBe(
      highest === null ? null : `Line ${line} does not exist. The lines go from 0 to ${highest}.`,
    );
    const entries = rows(pin(column), 'd', '').map((one) => ({ ...one, text }));
    const { trials } = outcomeOf(pin(column), tableOf(entries), metrology);
    expect(Object.values(trials)[0]?.[0]?.read['d'] !== undefined).toBe(highest === null);
  });

  it('asks for the parts where one number stands, and refuses a column whose instrument has none', () => {
    expect(advice('14.35', d('parts'))).toBe(
      'Write the main scale, + and the line that meets one: 14 + 7 is 14.35.',
    );
    expect(advice('14 + 7', d('parts'))).toBeNull();
    expect(checkInvestigation(pin(d('parts'))).map(({ place }) => place)).toEqual([]);
    expect(checkInvestigation(pin(d('parts', 'R-01')))).toEqual([
      {
        place: 'tables[0].columns[0].manner',
        sentence: expect.stringContaining('R-01 is not read in parts'),
      },
    ]);
  });
});

describe('a thing that is turned between readings of one cell', () => {
  const what = pin(d('turned'));
  const written = (...texts: string[]) =>
    texts
      .flatMap((text) => rows(what, 'd', 'x').map((one) => ({ ...one, text })))
      .map((one, at) => ({ ...one, trial: at + 1 }));

  it('has their mean, to their place, and how far it may be off by where it was turned to', () => {
    expect(cellInWriting('14.05; 14.10; 14.15', d('turned'), what, metrology)).toBe('14.10');
    const result = resultOf(what, written('14.05; 14.10; 14.15', '14.05 14.10 14.15'));
    expect(result.value.value.toNumber()).toBeCloseTo(14.1, 12);
    // s = 0.05 of three, so s/√3, in both trials the same thing: it does not become less by repeating.
    const turned = result.contributions.find(({ source }) => source.includes('as it was turned'));
    expect(turned?.contribution).toBeCloseTo(0.05 / Math.sqrt(3), 12);
    // Read by itself as any other.
    expect(
      result.contributions.find(({ source }) => source === 'reading diameter')?.contribution,
    ).toBeGreaterThan(0);
  });

  it('reckons the same way in a formula over means', () => {
    const area = pin(d('turned'), value('d * d', 'mm^2') as never);
    const found = resultOf(area, written('14.05; 14.15', '14.05; 14.15')).contributions.find(({ source }) =>
      source.includes('as it was turned'),
    );
    // s = 0.1/√2 of two, s/√2 = 0.05; times 2d.
    expect(Math.abs(found?.contribution ?? 0)).toBeCloseTo(2 * 14.1 * 0.05, 9);
  });

  it('asks for a second look where one number stands, and looks at the digits of each', () => {
    expect(advice('14.05', d('turned'))).toContain('Turn it and read it again');
    expect(advice('14.05; 14.1', d('turned'))).toContain('14.1 stops short');
    expect(advice('14.05; 14.10', d('turned'))).toBeNull();
  });

  it('is nothing to be found fault with by a second look', () => {
    const cells = tableOf(written('14.05; 14.10', '14.10; 14.05', '14.10; 14.10'));
    expect(secondLookAt(what, cells, outcomeOf(what, cells, metrology), metrology)).toEqual([]);
  });
});

describe('a zero reading', () => {
  it('may be less than nothing, and is on the scale', () => {
    expect(advice('-0.10', d('zero'))).toBeNull();
    expect(advice('-3.00', d('zero'))).toBeNull();
    expect(advice('-3.00', { ...d('zero'), manner: undefined })).toContain('off the scale');
    expect(advice('-40.00', d('zero'))).toContain('off the scale');
  });

  it('is taken from what is read', () => {
    const what = about(
      [{ ...d('zero'), key: 'z', heading: 'Closed' }, measured('d', 'On the pin', 'd', 'mm', 'V-01')],
      value('d - z', 'mm'),
      {},
      { kit },
    );
    expect(
      resultOf(what, rows(what, 'z d', '-0.10 14.05', '-0.10 14.05')).value.value.toNumber(),
    ).toBeCloseTo(14.15, 12);
  });
});
