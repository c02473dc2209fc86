import { describe, expect, it } from 'vitest';
import { about, mean, metrology, resultOf } from '../../test/aCase';
import { entry, rows } from '../../test/entry';
import { allowanceFrom } from './columnKinds';
import { checkInvestigation } from './checkInvestigation';
import type { Investigation } from './investigation';
import { secondLookAt } from './look';
import { outcomeOf } from './outcome';
import { concordantAmong } from './plans/mean';
import { rivetCrate } from './readyMade';
import { derived, measured } from './readyMade/plain';
import { tableOf, type Entry } from './table';

// Every ± here is worked out by hand, in standard uncertainties: half-widths over √3.
const root3 = Math.sqrt(3);

describe('a mean of concordant values', () => {
  const numbers = (...values: number[]) => values.map((value) => ({ value }));
  it.each([
    ['most within the spread', [24.9, 25.1, 25.15, 25.2], 0.1, [25.1, 25.15, 25.2]],
    ['as far apart as is allowed', [25.0, 25.1], 0.1, [25.0, 25.1]],
    ['of as many, the nearest together', [1, 1.1, 5, 5.02], 0.1, [5, 5.02]],
    ['one alone', [1, 2, 3], 0.1, [1]],
  ])('%s', (_, values, spread, kept) => {
    expect(concordantAmong(numbers(...values), spread).map(({ value }) => value)).toEqual(kept);
  });

  const titre = about(
    [measured('V', 'Delivered', 'V', 'mL', 'U-01')],
    mean('V', 'mL', { concordant: '0.10' }),
  );

  it('averages those that agree, keeps the others and says which they are', () => {
    const result = resultOf(titre, rows(titre, 'V', '25.60', '25.10', '25.20', '25.15'));
    expect(result).toMatchObject({ kind: 'mean', n: 3, apart: [1] });
    expect(result.value.value.toNumber()).toBeCloseTo(25.15, 12);
    // s/√3 of them is 0.05/√3 = 0.0289; a rectangle of 0.10, 0.10/√12/√3 = 0.0167, is less.
    expect(result.typeA).toBeCloseTo(0.05 / root3, 12);
  });

  it('does not take two that happen to be alike for exact', () => {
    const result = resultOf(titre, rows(titre, 'V', '25.60', '25.10', '25.10'));
    expect(result.typeA).toBeCloseTo(0.1 / Math.sqrt(24), 12);
  });

  it('waits until two lie near each other', () => {
    const [state] = outcomeOf(titre, tableOf(rows(titre, 'V', '25.60', '25.10')), metrology).results;
    expect(state).toMatchObject({
      state: 'open',
      why: expect.stringContaining('within 0.10 mL of each other'),
    });
  });

  it('is refused with a spread of nothing', () => {
    expect(checkInvestigation({ ...titre, results: [mean('V', 'mL', { concordant: '0' })] })).toEqual([
      { place: 'results[0].concordant', sentence: expect.stringContaining('more than nothing') },
    ]);
  });
});

describe('an allowance', () => {
  it.each([
    ['-0.3 ± 0.2 a drop lost', { value: '-0.3', plusMinus: '0.2', reason: 'a drop lost' }],
    ['−0,30 ± 0,20, wax on the rim', { value: '−0,30', plusMinus: '0.20', reason: 'wax on the rim' }],
    ['+0.1 +/- 0.1; dust', { value: '+0.1', plusMinus: '0.1', reason: 'dust' }],
    ['-0.3 ± 0.2', null],
    ['-0.3 a drop lost', null],
    ['', null],
  ])('%s', (text, own) => expect(allowanceFrom(text)).toEqual(own));

  it('is a line of the budget by itself, and never inside the reading', () => {
    const wax = about(
      [
        measured('M', 'Mass', 'M', 'g', 'E-01'),
        { kind: 'allowance', key: 'w', heading: 'Wax on the rim', symbol: 'w', unit: 'g' },
        derived('m', 'Mass without wax', 'm', 'g', 'M + w'),
      ],
      mean('m', 'g'),
    );
    expect(checkInvestigation(wax)).toEqual([]);
    const result = resultOf(wax, [
      ...rows(wax, 'M', '20.50', '20.50'),
      ...[1, 2].map((trial) => entry(trial, 'w', '-0.30 ± 0.20 wax that was not scraped off')),
    ]);
    expect(result.value.value.toNumber()).toBeCloseTo(20.2, 12);
    const judged = result.contributions.find(({ source }) => source === 'wax on the rim, by judgement');
    // The same judgement in both rows: it does not become smaller by repeating.
    expect(judged?.contribution).toBeCloseTo(0.2 / root3, 12);
    expect(result.contributions.find(({ source }) => source === 'reading mass')?.contribution).toBeCloseTo(
      0.005 / root3,
      12,
    );
  });
});

describe('a column in another unit of its quantity', () => {
  const cm = about([measured('l', 'Length', 'l', 'cm', 'R-01')], mean('l', 'cm'));

  it('is taken, and read as finely as the instrument', () => {
    expect(checkInvestigation(cm)).toEqual([]);
    const result = resultOf(cm, rows(cm, 'l', '12.34', '12.34'));
    expect(result.value.value.toNumber()).toBeCloseTo(12.34, 12);
    // Millimetres to a tenth, ±0.5 mm of reading by half a division, and the ruler’s ±0.5 mm: in cm.
    const half = result.contributions.find(({ source }) => source === 'reading length');
    expect(half?.contribution).toBeLessThan(0.051);
  });

  it('is refused where it measures something else', () => {
    const wrong = about([measured('l', 'Length', 'l', 'mL', 'R-01')], mean('l', 'mL'));
    expect(checkInvestigation(wrong)[0]).toMatchObject({ place: 'tables[0].columns[0].unit' });
    const kelvin = {
      ...cm,
      kit: [{ tag: 'R-01', kind: 'thermometer', model: 'thermometer-1' }],
    } as Investigation;
    const scale = {
      ...kelvin,
      tables: [{ ...kelvin.tables[0]!, columns: [measured('l', 'T', 'T', 'K', 'R-01')] }],
      results: [],
    };
    expect(checkInvestigation(scale)[0]?.sentence).toMatch(/read in °C, not in K/);
  });
});

describe('the second look', () => {
  const codes = (what: Investigation, entries: readonly Entry[]) => {
    const cells = tableOf(entries);
    return secondLookAt(what, cells, outcomeOf(what, cells, metrology), metrology).map(
      ({ code, sentence, sure }) => [code, sure, sentence] as const,
    );
  };

  it('asks why twice as many do not make twice as much', () => {
    const found = codes(rivetCrate, rows(rivetCrate, 'n tray M', '10 85.2 107.7', '20 85.2 118.0'));
    expect(found).toContainEqual([
      'doubling',
      'likely',
      expect.stringContaining(
        '10 make 22.5 g and 20 make 32.8: twice as many alike should make twice as much',
      ),
    ]);
    expect(
      codes(rivetCrate, rows(rivetCrate, 'n tray M', '10 85.2 107.7', '20 85.2 130.2')).map(([code]) => code),
    ).not.toContain('doubling');
  });

  it('asks about a planned amount even once', () => {
    const filled = about(
      [measured('V', 'Filled to', 'V', 'mL', 'U-01', { planned: '25.00' })],
      mean('V', 'mL'),
    );
    expect(codes(filled, rows(filled, 'V', '25.00', '25.12'))).toContainEqual([
      'planned-amount',
      'worth a look',
      'This is exactly the planned 25.00. Was it read from the scale?',
    ]);
  });
});
