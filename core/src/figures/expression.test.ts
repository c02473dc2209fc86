import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  clockMinutes,
  convert,
  evaluate,
  Decimal,
  ExpressionProblem,
  expressionTex,
  parseExpression,
  parseNumber,
  roundToPlace,
  writeQuantity,
  type RoundingPolicy,
} from '.';
import { parseProduct, writeProduct } from '../units';

const end: RoundingPolicy = { rounding: 'half-away', roundWhen: 'end' };
const reckon = (text: string, policy = end) => writeQuantity(evaluate(text, policy).result, policy.rounding);
const to = (text: string, unit: string, rounding: RoundingPolicy['rounding'] = 'half-away') =>
  writeQuantity(convert(evaluate(text, end).result, unit), rounding);

/** Worked by hand, each with its reason. */
const cases: readonly (readonly [expression: string, written: string, because: string])[] = [
  ['12.11 + 18.0 + 1.013', '31.1', 'tenths are the coarsest place'],
  ['105.8 − 0.45', '105.4', '105.35 ties, away from zero'],
  ['46 − 41.18', '5', 'units govern; one figure is left'],
  ['0.1 + 0.2', '0.3', 'no binary noise'],
  ['1.005 × 1!', '1.005', 'exact one changes nothing'],
  ['2.675 + 0.000', '2.675', 'thousandths in both'],
  ['150.0 − 149.8', '0.2', 'tenths; one figure is left'],
  ['1.50e3 + 25', '1.53×10³', 'the tens of 1.50e3 govern'],
  ['1200 + 34', '1.2×10³', 'hundreds are the last place of 1200'],
  ['1200. + 34', '1234', 'with its point 1200. goes to the units'],
  ['5.00 − 5.00', '0.00', 'a zero keeps its place'],
  ['−3.2 + 1.15', '−2.1', '−2.05 ties, away from zero'],
  ['4.56 × 1.4', '6.4', '6.384 to two figures'],
  ['2.00 × 3.0', '6.0', 'two figures'],
  ['8.315 ÷ 298', '0.0279', '0.027903 to three'],
  ['9.996 × 1.00', '10.0', 'the carry moves the first figure'],
  ['0.0050 × 2.0', '0.010', 'two figures each'],
  ['2 × 3.14', '6', 'a bare 2 has one figure'],
  ['2! × 3.14', '6.28', 'an exact 2 does not limit'],
  ['10.0 / 4', '3', '2.5 ties at one figure, away from zero'],
  ['10.0 / 4!', '2.50', 'an exact 4 does not limit'],
  ['400 × 2.0', '8×10²', '400 without a point has one figure'],
  ['400. × 2.0', '8.0×10²', 'two figures of 2.0 govern'],
  ['1.20e-4 × 3.0e2', '0.036', '0.0360 to two figures'],
  ['6.022e23 × 2.0', '1.2×10²⁴', 'two figures'],
  ['1.0 / 3.0', '0.33', 'two figures'],
  ['100.0 / 7.00', '14.3', 'three figures'],
  ['0.00 × 4.5', '0.00', 'a measured zero has a place, no figures'],
  ['(12.5 − 12.1) × 3.00', '1', 'the difference has one figure: 1.2 → 1'],
  ['(25.3 + 4.7) / 2.00', '15.0', '30.0 has three figures'],
  ['25.3 + 4.7 / 2.00', '27.7', '2.35 counts to tenths (two figures give 2.4 place): 27.65 ties up'],
  ['(3.44 + 2.1) × 1.000', '5.5', '5.54 known to tenths: two figures'],
  ['2.5^2', '6.3', '6.25 ties at two figures, away from zero'],
  ['1.10^3', '1.33', '1.331 to three figures'],
  ['4.00^0.5!', '2.00', 'an exact power keeps the figures of its base'],
  ['2.50^(2)', '6.25', 'a whole power in parentheses is exact too'],
  ['5.690^(-2)', '0.03089', 'four figures of 5.690'],
  ['8.00^(1/3)', '2.00', 'a third is a count of roots, not a reading'],
  ['10^-3 * 4.52', '0.00452', 'a power of ten places the point and limits nothing'],
  ['4.52 × 10.0^2', '452', 'a 10.0 that was read has its three figures'],
  ['−2.0^2', '−4.0', 'the power binds before the sign'],
  ['(−2.0)^2', '4.0', 'the group is squared'],
  ['2.0^−1', '0.50', 'two figures'],
  ['2.0^3!^2', '5.1×10²', 'powers stack from the right: 2^9 = 512'],
  ['sqrt(2.00)', '1.41', 'figures of the base'],
  ['sqrt(144.)', '12.0', 'three figures'],
  ['sqrt(0.0900)', '0.300', 'three figures'],
  ['log(1000.)', '3.0000', 'four figures give four decimals'],
  ['log(2.5e-5)', '−4.60', 'two figures give two decimals: −4.602'],
  ['ln(2.00)', '0.693', 'three figures give three decimals'],
  ['ln(10.0)', '2.303', 'three figures give three decimals'],
  ['exp(0.693)', '2.00', 'three decimals give three figures: 1.99970'],
  ['10!^(0.30)', '2.0', 'two decimals give two figures: 1.995'],
  ['10!^(−4.60)', '0.000025', 'two decimals give two figures'],
  ['sin(30.0°)', '0.500', 'cos 30°·0.1° in radians is 0.0015: thousandths'],
  ['abs(−3.20)', '3.20', 'the size keeps its digits'],
  ['mean(2.31, 2.35, 2.34)', '2.33', 'a mean keeps the place: 2.3333'],
  ['mean(10.1, 10.2)', '10.2', '10.15 ties, away from zero'],
  ['mean(5.0, 5.0, 5.3)', '5.1', '5.1 exactly'],
  ['23.45 g / 8.62 mL', '2.72 g/mL', 'three figures; units divide'],
  ['23.45 g / 8.62 cm³', '2.72 g/cm³', 'the same with cm³'],
  ['2.5 cm × 3.1 cm × 4.25 cm', '33 cm³', '32.9375 to two figures'],
  ['2.70 g/cm³ × 10.0 cm³', '27.0 g', 'cm³ cancels'],
  ['2.70 g/cm³ × 10.0 mL', '27.0 g', 'mL is cm³'],
  ['27.0 g ÷ 2.70 g/mL', '10.0 mL', 'g cancels, mL comes up'],
  ['1.00 kg + 5 g', '1.01 kg', '1.005 ties at hundredths of a kg'],
  ['5 g + 1.00 kg', '1.01×10³ g', 'in g the kg is known to tens'],
  ['12.0 cm − 5.0 mm', '11.5 cm', '5.0 mm is 0.50 cm'],
  ['1.0 in + 1.00 cm', '1.4 in', '1.00 cm is 0.394 in; tenths govern'],
  ['3.0 m / 1.5 s', '2.0 m/s', 'two figures'],
  ['60 s + 1 min', '1.2×10² s', '60 has one figure, its place is tens; 1 min is 60 s known to tens'],
  ['50.0 mL − 49.2 mL', '0.8 mL', 'one figure is left'],
  ['(84.00 g − 62.15 g) / 25.0 mL', '0.874 g/mL', '21.85/25.0, three figures'],
  ['4.2 g × 3!', '13 g', 'two figures of 4.2: 12.6 → 13'],
  ['120! × 0.85 g', '1.0×10² g', 'a count is exact: 102 to two figures'],
  ['17.3 °C − 12.1 °C', '5.2 °C', 'a difference of two points'],
  ['20.0 °C + (17.3 °C − 12.1 °C)', '25.2 °C', 'a point and a difference'],
  ['π × (1.27 cm)^2', '5.07 cm²', 'pi is exact; 5.0671'],
  ['π/4! × (2.54 cm)^2 × 10.0 cm', '50.7 cm³', '50.6707'],
  ['sqrt(16.0 cm²)', '4.00 cm', 'the root of a square unit'],
  ['(2.0 cm)^3', '8.0 cm³', 'the unit is cubed'],
  ['1.0 g / 2.0 g', '0.50', 'a ratio has no unit'],
  ['2,50 g + 1,5 g', '4.0 g', 'decimal commas'],
  ['1 234.5 + 0.55', '1235.1', 'a space between thousands; 1235.05 ties up'],
  ['1.20 × 10^3 + 5', '1.21×10³', '1205 known to tens: ties up to 1210'],
  ['3.0 × 2.00 × 1.000', '6.0', 'two figures of 3.0 govern'],
  ['7.00 ÷ 2.0', '3.5', 'two figures of 2.0 govern'],
  ['1.000 ÷ 8.00', '0.125', 'three figures of 8.00 govern'],
  ['0.75 ÷ 0.250', '3.0', 'two figures of 0.75 govern'],
  ['99.5 + 0.5', '100.0', 'tenths in both'],
  ['1000. − 0.4', '1000.', 'units govern: 999.6 goes up to 1000'],
  ['0.0123 + 0.01', '0.02', 'hundredths govern'],
  ['5.55 − 5.5', '0.1', '0.05 ties at tenths, away from zero'],
  ['12! × 1.25 g', '15.0 g', 'a dozen is exact'],
  ['4.00 cm × 2.00 cm', '8.00 cm²', 'areas from lengths'],
  ['8.00 cm² ÷ 2.00 cm', '4.00 cm', 'a length cancels'],
  ['10.0 g + 0.25 kg', '2.6×10² g', '0.25 kg is known to tens of grams: 260'],
  ['1.50 L − 250. mL', '1.25 L', '250. mL is 0.250 L; hundredths govern'],
  ['(10.0 mL + 0.5 mL) × 0.998 g/mL', '10.5 g', '10.5 mL has three figures: 10.479'],
  ['2.0 cm × 3.0 mm', '6.0 cm·mm', 'different units of one quantity stay beside each other'],
  ['(6.0 cm)^2 × 10.0 cm', '3.6×10² cm³', 'two figures'],
  ['mean(10.0 g, 20.0 g) / 2.0 cm³', '7.5 g/cm³', 'two figures of 2.0'],
  ['log(2.0)', '0.30', 'two figures give two decimals'],
  ['log(2.000e-3)', '−2.6990', 'four figures give four decimals'],
  ['sqrt(2)', '1', 'one figure'],
  ['sqrt(4.0 cm² + 5.00 cm²)', '3.0 cm', '9.0 has two figures'],
  ['abs(2.0 g − 5.25 g)', '3.3 g', '3.25 counts to tenths and ties up'],
  ['1e3 + 1e3', '2×10³', 'thousands'],
  ['450 mL + 5 mL', '4.6×10² mL', 'tens govern: 455 ties up'],
];

/** Between units, with exact and with rounded factors. */
const conversions: readonly (readonly [quantity: string, unit: string, written: string, because: string])[] =
  [
    ['2.54 cm', 'in', '1.00 in', 'exact definition, three figures'],
    ['12.7 cm', 'in', '5.00 in', 'three figures'],
    ['5.00 in', 'cm', '12.7 cm', 'three figures'],
    ['1.0 in^2', 'cm^2', '6.5 cm²', '6.4516 to two figures'],
    ['1.00 in^3', 'cm^3', '16.4 cm³', '16.387'],
    ['100. cm²', 'in²', '15.5 in²', '15.500'],
    ['250 mm³', 'cm³', '0.25 cm³', 'a power of ten shifts the place'],
    ['2.50 L', 'mL', '2.50×10³ mL', 'the place moves by three'],
    ['37.2 mL', 'cm³', '37.2 cm³', 'one mL is one cm³'],
    ['2.70 g/cm³', 'kg/m³', '2.70×10³ kg/m³', 'times 1000'],
    ['998 kg/m³', 'g/cm³', '0.998 g/cm³', 'over 1000'],
    ['8.41 g/mL', 'g/cm³', '8.41 g/cm³', 'the same'],
    ['17.3 °C', 'K', '290.5 K', '290.45 ties, away from zero'],
    ['17.35 °C', 'K', '290.50 K', 'hundredths stay'],
    ['0.0 °C', 'K', '273.2 K', '273.15 ties, away from zero'],
    ['68.0 °F', '°C', '20.0 °C', 'exact'],
    ['100.0 °C', '°F', '212.0 °F', 'exact'],
    ['1.500 lb', 'g', '680.4 g', '0.4536 kg has four figures'],
    ['1.50000 lb', 'g', '680.4 g', 'the rounded factor limits to four'],
    ['2.0 mi', 'm', '3.2×10³ m', 'two figures govern'],
    ['90 s', 'min', '2 min', '90 has one figure: 1.5 ties to 2'],
    ['90. s', 'min', '1.5 min', 'two figures'],
    ['1.25 h', 'min', '75.0 min', 'exact factor 60'],
  ];

describe('expressions worked by hand', () => {
  it.each(cases)('%s = %s: %s', (text, written) => {
    expect(reckon(text)).toBe(written);
  });

  it.each(conversions)('%s in %s is %s: %s', (text, unit, written) => {
    expect(to(text, unit)).toBe(written);
  });

  it('rounds ties to even, and each step, where the class does', () => {
    expect(to('17.3 °C', 'K', 'half-even')).toBe('290.4 K');
    expect(reckon('105.8 − 0.45', { rounding: 'half-even', roundWhen: 'end' })).toBe('105.4');
    // 1.5 × 1.5 = 2.25: rounded at once to 2.3, then × 1.5 = 3.45 → 3.5; at the end 3.375 → 3.4.
    expect(reckon('1.5 × 1.5 × 1.5')).toBe('3.4');
    expect(reckon('1.5 × 1.5 × 1.5', { rounding: 'half-away', roundWhen: 'each-step' })).toBe('3.5');
  });

  it('says which operand limits, and how many figures were lost', () => {
    const { steps } = evaluate('(46 g − 41.18 g) / 2.50 mL', end);
    expect(steps).toMatchObject([
      { operation: '−', rule: 'coarsest last place', limitedBy: [0], figuresLost: 1 },
      { operation: '÷', rule: 'fewest figures', limitedBy: [0], figuresLost: 0 },
    ]);
  });

  it('is set as stacked fractions with cancelling units and doubtful digits', () => {
    const { expression } = evaluate('84.0 g / 10.00 g', end);
    expect(expressionTex(expression)).toBe(
      '\\frac{84.\\underline{0}\\,\\cancel{\\mathrm{g}}}{10.0\\underline{0}\\,\\cancel{\\mathrm{g}}}',
    );
  });
});

describe('what cannot be reckoned', () => {
  it.each([
    ['', 'empty', 0],
    ['5.0 g + 3 mL', 'unit-clash', 8],
    ['17 °C + 20 °C', 'unit-clash', 8],
    ['2 × 17 °C', 'unit-clash', 4],
    ['1/0', 'division-by-zero', 2],
    ['3 g / (2 − 2!)', 'division-by-zero', 6],
    ['0^-1', 'division-by-zero', 2],
    ['(1 + 2', 'not-understood', 6],
    ['1 + 2)', 'not-understood', 5],
    ['5 g/x', 'unknown-name', 4],
    ['tan(3)', 'unknown-name', 0],
    ['3 xyz', 'unit', 2],
    ['log(−1)', 'out-of-range', 4],
    ['log(3 g)', 'not-pure', 4],
    ['2^(3 g)', 'not-pure', 2],
    ['sqrt(2.0 cm)', 'unit-clash', 5],
    ['9^9^9', 'out-of-range', 2],
    ['1e4000 × 1e4000', 'out-of-range', 0],
    ['1,234 + 1', 'number', 1],
    ['12 34', 'not-understood', 3],
    ['5 “', 'not-understood', 2],
  ])('%j: %s at %i', (text, code, at) => {
    try {
      reckon(text);
      expect.unreachable();
    } catch (error) {
      expect(error).toBeInstanceOf(ExpressionProblem);
      expect([(error as ExpressionProblem).code, (error as ExpressionProblem).at]).toEqual([code, at]);
    }
  });

  it('holds for a thousand terms, deep nesting and ten thousand characters of anything', () => {
    expect(reckon(Array.from({ length: 1000 }, (_, at) => `${at}.5 g`).join(' + '))).toBe('500000.0 g');
    const terms = Array.from({ length: 3000 }, () => '1.0');
    expect(reckon(terms.join(' + '))).toBe('3000.0');
    expect(reckon(terms.join(' × '))).toBe('1.0');
    expect(expressionTex(parseExpression(terms.join(' / '))).length).toBeGreaterThan(9000);
    expect(reckon(`${'-'.repeat(2900)}3.0`)).toBe('3.0');
    expect(reckon(`1.0 ${'- '.repeat(2901)}3.0`)).toBe('−2.0');
    for (const text of [
      '('.repeat(5000),
      `${'('.repeat(200)}1${')'.repeat(200)}`,
      '-'.repeat(10_000),
      '9^'.repeat(3000),
      '+'.repeat(9000),
      'sqrt('.repeat(2000),
    ])
      expect(() => reckon(text)).toThrow(ExpressionProblem);
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom(...'0123456789.,eE+-×÷*/^() gmLc°K!xπ'), maxLength: 400 }),
        (text) => {
          try {
            reckon(text);
          } catch (error) {
            expect(error).toBeInstanceOf(ExpressionProblem);
            expect((error as ExpressionProblem).at).toBeGreaterThanOrEqual(0);
          }
        },
      ),
      { numRuns: 2000 },
    );
  });
});

describe('units', () => {
  it.each([
    ['g/cm^3', 'g/cm³'],
    ['cm·cm·cm', 'cm³'],
    ['kg m^-3', 'kg/m³'],
    ['g/cm³', 'g/cm³'],
    ['m/s', 'm/s'],
    ['1/s', '1/s'],
    ['gm/cc', 'g/cm³'],
  ])('%s is %s', (text, written) => expect(writeProduct(parseProduct(text))).toBe(written));

  it('refuses what is none', () => expect(() => parseProduct('ell')).toThrow(/not a unit/));
});

it.each([
  ['9:05', '9:50', '45'],
  ['11:58:30', '12:02:00', '3.5'],
  ['23:50', '0:20', '30'],
])('from %s to %s are %s minutes', (from, until, minutes) => {
  expect(clockMinutes(from, until).toString()).toBe(minutes);
});

it('keeps the text of every number that it accepts', () => {
  const digits = fc.stringMatching(/^\d{1,6}$/);
  const text = fc
    .tuple(
      fc.constantFrom('', '-', '−', '+'),
      digits,
      fc.option(fc.tuple(fc.constantFrom('.', ','), digits)),
      fc.constantFrom('', 'e3', '×10^-2', ' g'),
    )
    .map(([sign, whole, fraction, rest]) => `${sign}${whole}${fraction ? fraction.join('') : ''}${rest}`);
  fc.assert(
    fc.property(text, (written) => {
      const parsed = parseNumber(written);
      if (parsed.ok) expect(parsed.number.text).toBe(written);
      else expect(parsed.problem.code).toBe('ambiguous-comma');
    }),
  );
});

it('rounds a million random decimals both ways as whole numbers do', () => {
  let state = 12345n;
  const next = (below: bigint): bigint => {
    state = (state * 6364136223846793005n + 1442695040888963407n) % 2n ** 64n;
    return (state >> 20n) % below;
  };
  const half = (value: bigint, unit: bigint, even: boolean): bigint => {
    const [size, sign] = value < 0n ? [-value, -1n] : [value, 1n];
    const [whole, rest] = [size / unit, size % unit];
    const up = rest * 2n > unit || (rest * 2n === unit && (!even || whole % 2n === 1n));
    return sign * (whole + (up ? 1n : 0n)) * unit;
  };
  let wrong = 0;
  for (let time = 0; time < 250_000; time += 1) {
    const digits = next(10n ** 9n) * (next(2n) === 0n ? 1n : -1n);
    // Ties often: every other number ends in fives and zeros.
    const value = time % 2 === 0 ? digits : (digits / 1000n) * 1000n + 500n;
    const exact = new Decimal(value.toString()).div(1_000_000);
    const place = Number(next(5n)) - 5;
    const unit = 10n ** BigInt(place + 6);
    for (const even of [false, true]) {
      const rounded = roundToPlace(exact, place, even ? 'half-even' : 'half-away');
      if (rounded.times(1_000_000).toFixed(0) !== half(value, unit, even).toString()) wrong += 1;
      const negative = roundToPlace(exact.neg(), place, even ? 'half-even' : 'half-away');
      if (!negative.eq(rounded.neg())) wrong += 1;
    }
  }
  expect(wrong).toBe(0);
}, 120_000);
