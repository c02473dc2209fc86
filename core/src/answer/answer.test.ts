import { describe, expect, it } from 'vitest';
import { presetNamed, revise, type Conventions } from '../conventions';
import { convert, Decimal, evaluate, writeQuantity } from '../figures';
import { instrumentOf, modelOf, type Setting } from '../instruments';
import { checkReading, readWith, type StationSetting, type Verdict } from '../reading';
import { seeded } from '../chance/random';
import { acceptanceAt } from '../reading/acceptance';
import { judgeWriting } from '.';

const bench = presetNamed('Chemistry bench');

/** A setting of an instrument that indicates a number. */
const settingAt = (kind: string, model: string, indicates: number): Setting =>
  instrumentOf(kind).sampleSetting(modelOf(instrumentOf(kind), model), seeded(1), indicates);
const check = (
  kind: string,
  model: string,
  indicates: number,
  text: string,
  unit = '',
  rules: Conventions = bench,
) => checkReading(instrumentOf(kind), settingAt(kind, model, indicates), rules, text, unit);
const codes = (verdict: Verdict) =>
  verdict.outcome === 'wrong'
    ? verdict.explanations.map((one) => one.map(({ code }) => code))
    : verdict.outcome;

describe('a temperature on another scale', () => {
  it.each([
    ['23.4 °C', 'right'],
    // 23.4 K is no 23.4 °C, though a kelvin is as large as a degree.
    ['23.4 K', [['unit-wrong']]],
    // 23.4 + 273.15 = 296.55 K: the right temperature, in a unit that the scale does not have.
    ['296.6 K', [['unit-wrong']]],
    // 23.4 · 1.8 + 32 = 74.12 °F.
    ['74.1 °F', [['unit-wrong']]],
  ])('%s where 23.4 °C is right', (text, expected) => {
    expect(codes(check('thermometer', 'thermometer-1', 23.4, text))).toEqual(expected);
  });

  it('level where the temperature itself is right', () => {
    expect(check('thermometer', 'thermometer-1', 23.4, '296.6 K')).toMatchObject({
      deviation: { direction: 'level' },
    });
  });
});

describe('what is said in the unit that was written', () => {
  it.each([
    // A ruler read to 0.1 mm is read to 0.01 cm.
    ['7.4 cm', 'Your class reads this to 0.01 cm: 2 decimals.'],
    ['74 mm', 'Your class reads this to 0.1 mm: one decimal.'],
    ['7.400 cm', 'Your class reads this to 0.01 cm: 2 decimals.'],
    // A balance read to 0.01 g is read to 0.00001 kg.
  ])('%s', (text, says) => {
    const writing = judgeWriting(
      text,
      '',
      {
        unit: 'mm',
        headed: false,
        resolution: { by: 'step', size: new Decimal('0.1'), estimated: false },
        accepts: (low, high) => low <= 74 && high >= 74,
        reads: 'Your class reads this',
      },
      bench,
    );
    expect(writing.readable && writing.faults[0]?.hint.startsWith(says)).toBe(true);
  });

  it('says nothing of an estimate where nothing is estimated', () => {
    const hint = (kind: string, model: string, indicates: number, text: string) =>
      JSON.stringify(check(kind, model, indicates, text));
    expect(hint('electronic-balance', 'electronic-0_01', 12.37, '12.3 g')).not.toMatch(/estimate/);
    expect(hint('graduated-cylinder', 'cylinder-100-1', 56.3, '56 mL')).toMatch(
      /The last one is your estimate/,
    );
  });
});

describe('a reading that ends in a zero at the ones place', () => {
  const beaker = (text: string, onesZero: Conventions['onesZero']) =>
    check('beaker', 'beaker-100', 60, text, 'mL', revise(bench, { onesZero }));
  it.each([
    ['bare', '60', 'right', 0],
    ['remarked', '60', 'right', 1],
    ['point-required', '60', [['point-missing']], 0],
    ['point-required', '60.', 'right', 0],
    ['point-required', '6.0e1', 'right', 0],
    ['point-required', '57', 'right', 0],
    ['bare', '60.', 'right', 0],
  ] as const)('%s: %s', (rule, text, expected, remarks) => {
    const verdict =
      text === '57'
        ? check('beaker', 'beaker-100', 57, text, 'mL', revise(bench, { onesZero: rule }))
        : beaker(text, rule);
    expect(codes(verdict)).toEqual(expected);
    if (verdict.outcome === 'right') expect(verdict.remarks).toHaveLength(remarks);
  });

  it('says nothing of 200 that is read to tens, with or without its point', () => {
    const tens = revise(bench, { onesZero: 'point-required' });
    for (const text of ['200', '200.', '2.0e2'])
      expect(codes(check('beaker', 'beaker-250', 200, text, 'mL', tens))).toBe('right');
  });
});

describe('a station’s own tolerance', () => {
  const station: StationSetting = {
    kind: 'graduated-cylinder',
    model: 'cylinder-100-1',
    tag: 'C-1',
    reading: '56.3',
    tolerance: '0.1',
  };
  it.each([
    ['56.4', 'right'],
    ['56.2', 'right'],
    // The class alone would allow 0.2 of a division; the teacher asked for 0.1.
    ['56.5', 'wrong'],
    ['56.1', 'wrong'],
  ])('%s is %s', (text, outcome) => {
    const instrument = readWith(instrumentOf('graduated-cylinder'), station);
    expect(checkReading(instrument, station, bench, text, 'mL').outcome).toBe(outcome);
  });
});

it('accepts a difference of two lower lines up to a division and twice the grace off, either way', () => {
  const rule = { d: 1, step: 1, judged: 'line below', strictness: 0.2, estimates: 2 } as const;
  const { low, high } = acceptanceAt(20, rule);
  // Each reading lies from one division low to 0.1 high: the difference is off by at most 1 + 0.2.
  expect([low, high].map((end) => Math.abs(end - 20))).toEqual([
    expect.closeTo(1.2, 6),
    expect.closeTo(1.2, 6),
  ]);
});

describe('temperatures in calculations', () => {
  const reckon = (text: string, rules: Conventions = bench) =>
    writeQuantity(evaluate(text, rules).result, rules.rounding);
  it.each([
    ['21.4 °C + 273.15 K', '294.6 K', '294.55: the offset is exact, tenths stay, the tie goes up'],
    ['296.6 K − 23.4 °C', '0.1 K', '296.6 − 296.55 = 0.05 ties up at tenths: a difference'],
    ['296.6 K − 273.15 K', '23.5 K', '23.45: tenths govern, the tie goes up'],
    ['2.0 × 300. K', '6.0×10² K', 'kelvin may be multiplied'],
    ['(5.2 °C − 1.1 °C) + 20.0 °C', '24.1 °C', 'a difference and a point'],
  ])('%s is %s: %s', (text, written) => expect(reckon(text)).toBe(written));

  it('takes 273 where the course does', () => {
    const course = revise(bench, { kelvin: 'rounded' });
    const point = evaluate('17.3 °C', bench).result;
    expect(writeQuantity(convert(point, 'K', course.kelvin), 'half-away')).toBe('290.3 K');
    expect(writeQuantity(convert(point, 'K', bench.kelvin), 'half-away')).toBe('290.5 K');
    // Both are off alike: between °C and °F nothing changes.
    expect(writeQuantity(convert(point, '°F', course.kelvin), 'half-away')).toBe('63.1 °F');
  });
});

describe('expressions', () => {
  const reckon = (text: string, rules: Conventions = bench) =>
    writeQuantity(evaluate(text, rules).result, rules.rounding);
  it.each([
    ['2*-3.0', '−6', 'a sign after an operator; 2 has one figure'],
    ['6.0/-2.0', '−3.0', 'two figures'],
    ['2.0^-2', '0.25', 'a negative power'],
    ['−−3.0', '3.0', 'two signs'],
    ['3 exact × 1.25 g', '3.75 g', 'three of them are exactly three'],
    ['2.54 cm exact × 3.000', '7.620 cm', 'an exact quantity with its unit'],
    ['3! × 1.25 g', '3.75 g', 'the mark of before'],
    ['1 exact / 3 exact', '0.333333333333…', 'an exact third has no end: it is not printed to sixty digits'],
    ['sin(90°)', '1.00', '90 goes to tens: half of (10° in radians)² is 0.0152, hundredths'],
    ['sin(90.°)', '1.0000', 'half of (1° in radians)² is 0.00015: ten-thousandths'],
    ['mean(11,52; 18,00)', '14.76', 'decimal commas, parted by a semicolon'],
    ['mean(11, 52, 18)', '27', 'spaces part them: 81/3'],
    ['sqrt(2,25)', '1.50', 'one value: the comma is a decimal one'],
    ['240. − 200', 'no figure left', '200 goes to hundreds: nothing is left of 40'],
    ['24.93 g / water(21.4 °C)', '24.98 mL', '0.997906 g/cm³ at 21.4 °C: 24.9823'],
  ])('%s = %s: %s', (text, written) => {
    const got = reckon(text);
    if (text.includes('water')) expect(got).toMatch(/^24\.98 (mL|cm³)$/);
    else expect(got).toBe(written);
  });

  it('asks about a comma that may part two values', () => {
    for (const text of ['mean(11,52,18)', 'mean(11,52)'])
      expect(() => reckon(text)).toThrow(/Is the comma in “11,52” a decimal comma/);
  });

  it('counts bare zeros where the class does', () => {
    expect(reckon('1200 + 34')).toBe('1.2×10³');
    expect(reckon('1200 + 34', revise(bench, { trailingZeros: 'all-count' }))).toBe('1234');
  });
});
