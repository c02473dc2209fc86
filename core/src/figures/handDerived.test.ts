import { describe, expect, it } from 'vitest';
import {
  add,
  divide,
  exactly,
  figuresOf,
  measured,
  multiply,
  subtract,
  writeTracked,
  type FiguresStep,
  type Tracked,
} from './arithmetic';
import { Decimal } from '../decimal/decimal';
import { writeAtPlace, writeToFigures } from './rounding';
import { parseNumber } from './writtenNumber';

/** Cases worked by hand, each with its reason: the rules as they are taught, not as they are programmed. */
const number = (text: string) => {
  const parsed = parseNumber(text);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.problem.message}`);
  return parsed.number;
};
const m = (text: string): Tracked => measured(number(text));

describe('counting', () => {
  it.each([
    ['7', 1, 0, 'one non-zero digit'],
    ['84', 2, 0, 'two non-zero digits'],
    ['8.4', 2, -1, 'the point does not count'],
    ['804', 3, 0, 'a zero between counts'],
    ['8004', 4, 0, 'zeros between count'],
    ['80.04', 4, -2, 'zeros between count, across the point'],
    ['0.8', 1, -1, 'a leading zero does not count'],
    ['0.084', 2, -3, 'leading zeros do not count'],
    ['0.0840', 3, -4, 'the last zero after a point counts'],
    ['8.40', 3, -2, 'the last zero after a point counts'],
    ['8.400', 4, -3, 'both last zeros after a point count'],
    ['840', 2, 1, 'the last zero of a whole number without a point does not'],
    ['840.', 3, 0, 'with the point it does'],
    ['8400', 2, 2, 'nor do two'],
    ['8400.', 4, 0, 'with the point both do'],
    ['8400.0', 5, -1, 'nor is there a doubt with a decimal'],
    ['10', 1, 1, 'one figure'],
    ['10.', 2, 0, 'two figures'],
    ['10.0', 3, -1, 'three figures'],
    ['100.00', 5, -2, 'five figures'],
    ['1000', 1, 3, 'one figure'],
    ['1.000', 4, -3, 'four figures'],
    ['0.00100', 3, -5, 'leading zeros do not, trailing ones do'],
    ['0.0', 0, -1, 'a zero has a place but no figures'],
    ['0.000', 0, -3, 'a zero has a place but no figures'],
    ['0', 0, 0, 'a bare zero'],
    ['00.50', 2, -2, 'padded zeros do not count'],
    ['1.0e3', 2, 2, 'a power of ten keeps the figures of its number'],
    ['1.00e3', 3, 1, 'and says more than 1000'],
    ['1e3', 1, 3, 'one figure'],
    ['6.02×10²³', 3, 21, 'three figures, far to the left'],
    ['1.6 x 10^-19', 2, -20, 'two figures, far to the right'],
    ['9.80×10⁰', 3, -2, 'a power of 0 changes nothing'],
    ['12 000', 2, 3, 'thousands set apart change nothing'],
    ['12 000.', 5, 0, 'with the point all count'],
    ['−40.0', 3, -1, 'a sign does not count'],
    ['273.15', 5, -2, 'as written'],
    ['62,40', 4, -2, 'a decimal comma is a point'],
  ])('%s has %i figures, the last at 10^%i: %s', (text, figures, lastPlace) => {
    expect(number(text)).toMatchObject({ figures, lastPlace });
    expect(figuresOf(m(text))).toBe(figures);
  });
});

describe('rounding to figures', () => {
  it.each([
    ['8.4136', 3, '8.41'],
    ['8.4156', 3, '8.42'],
    ['8.4150', 3, '8.42'],
    ['0.084136', 2, '0.084'],
    ['99.96', 3, '100.'],
    ['99.96', 4, '99.96'],
    ['0.0996', 2, '0.10'],
    ['1234', 2, '1.2×10³'],
    ['1250', 2, '1.3×10³'],
    ['1.5', 1, '2'],
    ['2.5', 1, '3'],
    ['−2.5', 1, '−3'],
    ['104.9', 3, '105'],
    ['0.99999', 2, '1.0'],
    ['45', 1, '5×10¹'],
  ])('%s to %i is %s', (text, figures, expected) => {
    expect(writeToFigures(number(text).value, figures)).toBe(expected);
  });

  it.each([
    ['17.3', '273.15', '290.5', '290.4'],
    ['20.1', '273.15', '293.3', '293.2'],
    ['0.2', '273.15', '273.4', '273.4'],
  ])('%s °C is a tie in kelvin: %s added makes %s or %s', (celsius, offset, away, even) => {
    const kelvin = new Decimal(celsius).plus(offset);
    expect(writeAtPlace(kelvin, -1, 'half-away')).toBe(away);
    expect(writeAtPlace(kelvin, -1, 'half-even')).toBe(even);
  });
});

describe('reckoning', () => {
  const cases: readonly (readonly [string, FiguresStep, string, string])[] = [
    ['12.1 + 3.45', add(m('12.1'), m('3.45')), '15.6', 'tenths govern; 15.55 is a tie'],
    ['12.10 + 3.45', add(m('12.10'), m('3.45')), '15.55', 'hundredths govern'],
    ['100 + 3', add(m('100'), m('3')), '1×10²', 'hundreds govern'],
    ['100. + 3', add(m('100.'), m('3')), '103', 'units govern'],
    ['5.0 + exactly 2', add(m('5.0'), exactly(2)), '7.0', 'an exact number never limits'],
    ['0.1 + 0.2', add(m('0.1'), m('0.2')), '0.3', 'no binary noise'],
    ['9.9 + 0.1', add(m('9.9'), m('0.1')), '10.0', 'a sum can gain a figure'],
    ['52.40 − 31.25', subtract(m('52.40'), m('31.25')), '21.15', 'hundredths govern'],
    ['52.4 − 31.25', subtract(m('52.4'), m('31.25')), '21.2', 'tenths govern; 21.15 is a tie'],
    ['8.79 − 8.80', subtract(m('8.79'), m('8.80')), '−0.01', 'one figure is left'],
    ['8.80 − 8.80', subtract(m('8.80'), m('8.80')), '0.00', 'none is left, but its place is'],
    ['1.005 − 1', subtract(m('1.005'), exactly(1)), '0.005', 'no binary noise'],
    ['46 − 41.18', subtract(m('46'), m('41.18')), '5', 'units govern'],
    ['2.5 × 3.42', multiply(m('2.5'), m('3.42')), '8.6', 'two figures; 8.55 is a tie'],
    ['2.50 × 3.42', multiply(m('2.50'), m('3.42')), '8.55', 'three figures'],
    ['0.020 × 4.00', multiply(m('0.020'), m('4.00')), '0.080', 'two figures'],
    ['400 × 2.11', multiply(m('400'), m('2.11')), '8×10²', 'one figure'],
    ['400. × 2.11', multiply(m('400.'), m('2.11')), '844', 'three figures'],
    ['3.0 × exactly 12', multiply(m('3.0'), exactly(12)), '36', 'a count never limits'],
    ['1.10 × exactly 2.54', multiply(m('1.10'), exactly('2.54')), '2.79', 'nor does a definition; 2.794'],
    [
      '9.5 × 1.06',
      multiply(m('9.5'), m('1.06')),
      '10.',
      '10.07 to two figures; the point says that the zero counts',
    ],
    ['84.0 ÷ 10.0', divide(m('84.0'), m('10.0')), '8.40', 'three figures'],
    ['84.0 ÷ 9.8', divide(m('84.0'), m('9.8')), '8.6', 'two figures'],
    ['1.00 ÷ 3.00', divide(m('1.00'), m('3.00')), '0.333', 'three figures'],
    ['2.00 ÷ 3.0', divide(m('2.00'), m('3.0')), '0.67', 'two figures'],
    ['10 ÷ 4.00', divide(m('10'), m('4.00')), '3', 'one figure; 2.5 is a tie'],
    ['7.2 ÷ exactly 2', divide(m('7.2'), exactly(2)), '3.6', 'half of a diameter keeps its figures'],
    ['0.0 ÷ 5.0', divide(m('0.0'), m('5.0')), '0.0', 'a measured zero keeps a place'],
    ['214.6 ÷ 24.3', divide(m('214.6'), m('24.3')), '8.83', 'a bolt pin: three figures'],
    ['0.05 ÷ 24.3', divide(m('0.05'), m('24.3')), '0.002', 'one figure'],
  ];
  it.each(cases)('%s', (_, { result }, expected) => {
    expect(writeTracked(result)).toBe(expected);
  });

  it('chains without rounding in between', () => {
    // (63.4 − 55.0) keeps tenths; 73.2 over it keeps two figures; times exactly 2 still two.
    const volume = subtract(m('63.4'), m('55.0')).result;
    const density = divide(m('73.2'), volume).result;
    expect(writeTracked(density)).toBe('8.7');
    expect(writeTracked(multiply(density, exactly(2)).result)).toBe('17');
    expect(density.value.toFixed(6)).toBe('8.714286');
  });

  it('says how many figures a subtraction has lost', () => {
    expect(subtract(m('8.79'), m('8.80')).figuresLost).toBe(2);
    expect(subtract(m('8.80'), m('8.80')).figuresLost).toBe(3);
    expect(subtract(m('84.0'), m('10.0')).figuresLost).toBe(0);
  });
});
