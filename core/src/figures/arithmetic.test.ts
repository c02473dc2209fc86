import fc from 'fast-check';
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
  type Tracked,
} from './arithmetic';
import { Decimal } from '../decimal/decimal';
import { roundToPlace, writeAtPlace, writeToFigures } from './rounding';
import { parseNumber } from './writtenNumber';

const m = (text: string): Tracked => {
  const parsed = parseNumber(text);
  if (!parsed.ok) throw new Error(parsed.problem.message);
  return measured(parsed.number);
};

describe('arithmetic with figures', () => {
  // Worked by hand: the rule says where the last digit stands.
  it.each([
    ['63.4 − 55.0', subtract(m('63.4'), m('55.0')), '8.4', 1],
    ['46 − 41.18 keeps the units and loses a figure', subtract(m('46'), m('41.18')), '5', 1],
    ['12.11 + 18.0 + …', add(m('12.11'), m('18.0')), '30.1', 0],
    ['0.1 + 0.2', add(m('0.1'), m('0.2')), '0.3', 0],
    ['1200 + 3 keeps the hundreds', add(m('1200'), m('3')), '1.2×10³', 0],
    ['73.2 ÷ 8.4', divide(m('73.2'), m('8.4')), '8.7', 0],
    ['2.50 × 3', multiply(m('2.50'), m('3')), '8', 0],
    ['2.50 × exactly 3', multiply(m('2.50'), exactly(3)), '7.50', 0],
    ['9.98 × 1.002 carries into a new place', multiply(m('9.98'), m('1.002')), '10.0', 0],
    ['0.00 × 5.0 keeps a place', multiply(m('0.00'), m('5.0')), '0.00', 0],
  ])('%s', (_, step, text, lost) => {
    expect(writeTracked(step.result)).toBe(text);
    expect(step.figuresLost).toBe(lost);
  });

  it('says which operand limits, and by which rule', () => {
    expect(divide(m('73.2'), m('8.4'))).toMatchObject({ rule: 'fewest figures', limitedBy: [1] });
    expect(subtract(m('46'), m('41.18'))).toMatchObject({ rule: 'coarsest last place', limitedBy: [0] });
    expect(add(exactly(2), exactly(3))).toMatchObject({ rule: 'all exact', limitedBy: [] });
  });

  it('keeps guard digits until the end', () => {
    const third = divide(m('1.00'), m('3.00')).result;
    expect(multiply(third, exactly(3)).result.value.toFixed(20)).toBe('1.00000000000000000000');
  });

  it('refuses to divide by zero', () => {
    expect(() => divide(m('1.0'), m('0.0'))).toThrow(RangeError);
  });

  it('tracks the fewest figures of any product', () => {
    const number = fc.tuple(fc.integer({ min: 1, max: 99999 }), fc.integer({ min: 0, max: 4 }));
    fc.assert(
      fc.property(number, number, ([a, i], [b, j]) => {
        const [x, y] = [`${a}.${'1'.repeat(i + 1)}`, `${b}.${'1'.repeat(j + 1)}`].map(m) as [
          Tracked,
          Tracked,
        ];
        expect(figuresOf(multiply(x, y).result)).toBe(Math.min(figuresOf(x), figuresOf(y)));
      }),
    );
  });
});

describe('rounding', () => {
  it.each([
    ['1.005', -2, '1.01', '1.00'],
    ['2.675', -2, '2.68', '2.68'],
    ['0.5', 0, '1', '0'],
    ['1.5', 0, '2', '2'],
    ['2.5', 0, '3', '2'],
    ['-2.5', 0, '−3', '−2'],
    ['290.45', -1, '290.5', '290.4'],
    ['12.0', -1, '12.0', '12.0'],
    ['1250', 2, '1.3×10³', '1.2×10³'],
    ['9.996', -2, '10.00', '10.00'],
  ])('%s at 10^%i: %s away from zero, %s to even', (value, place, away, even) => {
    expect(writeAtPlace(new Decimal(value), place, 'half-away')).toBe(away);
    expect(writeAtPlace(new Decimal(value), place, 'half-even')).toBe(even);
  });

  it('writes a count of figures', () => {
    expect(writeToFigures(new Decimal('9.996'), 3)).toBe('10.0');
    expect(writeToFigures(new Decimal('0.012345'), 2)).toBe('0.012');
  });

  it('agrees with whole-number rounding of random decimals', () => {
    fc.assert(
      fc.property(fc.bigInt({ min: 0n, max: 10n ** 15n }), fc.integer({ min: 1, max: 8 }), (digits, cut) => {
        const [power, value] = [10n ** BigInt(cut), new Decimal(digits.toString())];
        const [whole, rest] = [digits / power, digits % power];
        const away = rest * 2n >= power ? whole + 1n : whole;
        const even = rest * 2n > power || (rest * 2n === power && whole % 2n === 1n) ? whole + 1n : whole;
        expect(roundToPlace(value, cut, 'half-away').toFixed(0)).toBe((away * power).toString());
        expect(roundToPlace(value, cut, 'half-even').toFixed(0)).toBe((even * power).toString());
      }),
    );
  });
});
