import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseNumber, type ParsedNumber } from './writtenNumber';

const read = (text: string) => {
  const parsed = parseNumber(text);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.problem.message}`);
  return parsed.number;
};
const problem = (parsed: ParsedNumber) => (parsed.ok ? null : parsed.problem);

describe('parseNumber', () => {
  // text, exact value, decimals, last place, figures, doubtful digit at, unit
  it.each([
    ['62.40', '62.4', 2, -2, 4, 4, ''],
    ['62,40', '62.4', 2, -2, 4, 4, ''],
    ['450.', '450', 0, 0, 3, 2, ''],
    ['450', '450', 0, 1, 2, 1, ''],
    ['407', '407', 0, 0, 3, 2, ''],
    ['0.00', '0', 2, -2, 0, 3, ''],
    ['0', '0', 0, 0, 0, 0, ''],
    ['0.0120', '0.012', 4, -4, 3, 5, ''],
    ['1.20e3', '1200', -1, 1, 3, 3, ''],
    ['1.20E-4', '0.00012', 6, -6, 3, 3, ''],
    ['1.20×10³', '1200', -1, 1, 3, 3, ''],
    ['1.20 x 10^-3', '0.0012', 5, -5, 3, 3, ''],
    ['1.20·10⁻³', '0.0012', 5, -5, 3, 3, ''],
    ['12 345.6', '12345.6', 1, -1, 6, 7, ''],
    ['12\u2009345', '12345', 0, 0, 5, 5, ''],
    ['-3.5', '-3.5', 1, -1, 2, 3, ''],
    ['−3.5', '-3.5', 1, -1, 2, 3, ''],
    ['+3.5', '3.5', 1, -1, 2, 3, ''],
    ['.5', '0.5', 1, -1, 1, 1, ''],
    ['37.2 mL', '37.2', 1, -1, 3, 3, 'mL'],
    ['37.2mL', '37.2', 1, -1, 3, 3, 'mL'],
    ['8.41 g/cm³', '8.41', 2, -2, 3, 3, 'g/cm³'],
    ['  5.80  ', '5.8', 2, -2, 3, 5, ''],
    ['0,125', '0.125', 3, -3, 3, 4, ''],
    ['1234,567', '1234.567', 3, -3, 7, 7, ''],
  ])('reads %s', (text, value, decimals, lastPlace, figures, doubtfulAt, unitText) => {
    const number = read(text);
    expect(number.value.toFixed()).toBe(value);
    expect(number).toMatchObject({ text, decimals, lastPlace, figures, doubtfulAt, unitText });
  });

  it.each([
    ['', 'empty', 0],
    ['   ', 'empty', 0],
    ['12..3', 'not-understood', 3],
    ['1.2.3', 'not-understood', 3],
    ['1,234', 'ambiguous-comma', 1],
    ['12,345 mL', 'ambiguous-comma', 2],
    ['３７.2', 'no-digits', 0],
    ['3７', 'not-understood', 1],
    ['abc', 'no-digits', 0],
    ['.', 'no-digits', 0],
    ['37.2 <script>', 'not-understood', 5],
    ['1 2345', 'not-understood', 2],
    ['9'.repeat(61), 'too-long', 60],
  ])('refuses %s and says where', (text, code, at) => {
    const found = problem(parseNumber(text));
    expect(found).toMatchObject({ code, at });
    expect(found?.message).toMatch(/\.$/);
  });

  it('counts the last zeros of a whole number where the class does', () => {
    const parsed = parseNumber('450', 'all-count');
    expect(parsed.ok && parsed.number).toMatchObject({ figures: 3, lastPlace: 0, doubtfulAt: 2 });
  });

  it('never throws, whatever is typed', () => {
    const character = fc.constantFrom(...'0123456789.,eE+-−×x*·^⁻⁰³ \u2009\u00a0aµ°%/<７😀\n');
    fc.assert(
      fc.property(fc.string({ unit: character, maxLength: 80 }), (text) => {
        const parsed = parseNumber(text);
        if (parsed.ok) expect(parsed.number.text).toBe(text);
        else expect(parsed.problem.at).toBeLessThanOrEqual(text.length);
      }),
      { numRuns: 2000 },
    );
  });

  it('keeps every plain decimal exact, whatever its digits', () => {
    fc.assert(
      fc.property(
        fc.bigInt({ min: 0n, max: 10n ** 18n }),
        fc.integer({ min: 0, max: 12 }),
        (digits, decimals) => {
          const padded = digits.toString().padStart(decimals + 1, '0');
          const text = decimals === 0 ? padded : `${padded.slice(0, -decimals)}.${padded.slice(-decimals)}`;
          const number = read(text);
          expect(number.value.times(`1e${decimals}`).toFixed(0)).toBe(digits.toString());
          expect(number.decimals).toBe(decimals);
        },
      ),
    );
  });
});
