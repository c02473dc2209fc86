import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Decimal } from '../figures';
import { constant, minus, over, plus, power, times } from './dual';
import { propagate, quadrature, worstCase, type Input } from './propagate';
import { uncertaintyPlace, writePlusMinus } from './report';

const input = (name: string, value: number, ...components: Input['components'][number][]): Input => ({
  name,
  value,
  components,
});
const reading = (source: string, u: number) => ({ source, kind: 'reading', u }) as const;
const offset = (source: string, u: number) => ({ source, kind: 'offset', u }) as const;

describe('propagate', () => {
  it('carries a quotient: relative uncertainties in quadrature', () => {
    // 84.0 ± 0.3 over 10.0 ± 0.4: √(0.03² + 0.336²)
    const result = propagate(
      (x) => over(x('m'), x('V')),
      [input('m', 84, reading('a', 0.3)), input('V', 10, reading('b', 0.4))],
    );
    expect(result.value).toBeCloseTo(8.4, 12);
    expect(quadrature(result.contributions)).toBeCloseTo(Math.sqrt(0.113796), 12);
    expect(worstCase(result.contributions)).toBeCloseTo(0.03 + 0.336, 12);
  });

  it('lets a shared offset vanish from a difference, and its sum double', () => {
    const inputs = [input('a', 12, offset('zero error', 0.02)), input('b', 5, offset('zero error', 0.02))];
    expect(quadrature(propagate((x) => minus(x('a'), x('b')), inputs).contributions)).toBe(0);
    expect(quadrature(propagate((x) => plus(x('a'), x('b')), inputs).contributions)).toBeCloseTo(0.04, 12);
  });

  it('keeps a tolerance of a difference, once', () => {
    const inputs = [
      input('a', 12, offset('zero error', 0.02)),
      input('b', 5, offset('zero error', 0.02)),
      input('between marks', 0, { source: 'glass', kind: 'tolerance', u: 0.5 }),
    ];
    const result = propagate((x) => plus(minus(x('a'), x('b')), x('between marks')), inputs);
    expect(quadrature(result.contributions)).toBeCloseTo(0.5, 12);
  });

  it('agrees with central differences for a mixed expression', () => {
    const f = (a: number, b: number, c: number) => (a ** 3 * b) / (c - 2) + b * b;
    const positive = fc.double({ min: 0.5, max: 9, noNaN: true });
    fc.assert(
      fc.property(positive, positive, fc.double({ min: 3, max: 9, noNaN: true }), (a, b, c) => {
        const { sensitivities } = propagate(
          (x) =>
            plus(
              over(times(power(x('a'), constant(3)), x('b')), minus(x('c'), constant(2))),
              times(x('b'), x('b')),
            ),
          [input('a', a), input('b', b), input('c', c)],
        );
        const h = 1e-5;
        const slopes = {
          a: (f(a + h, b, c) - f(a - h, b, c)) / (2 * h),
          b: (f(a, b + h, c) - f(a, b - h, c)) / (2 * h),
          c: (f(a, b, c + h) - f(a, b, c - h)) / (2 * h),
        };
        for (const [name, slope] of Object.entries(slopes)) {
          expect(Math.abs((sensitivities.get(name) ?? 0) - slope)).toBeLessThan(1e-4 * (1 + Math.abs(slope)));
        }
      }),
    );
  });

  it('refuses unknown names, double names and division by zero', () => {
    expect(() => propagate((x) => x('b'), [input('a', 1)])).toThrow(/“b”/);
    expect(() => propagate((x) => x('a'), [input('a', 1), input('a', 2)])).toThrow(RangeError);
    expect(() => propagate((x) => over(constant(1), x('a')), [input('a', 0)])).toThrow(RangeError);
  });
});

describe('writePlusMinus', () => {
  it.each([
    ['8.4136', '0.0571', 'one-or-two', '(8.41 ± 0.06) g'],
    ['8.4136', '0.0962', 'one-or-two', '(8.41 ± 0.10) g'],
    ['8.4136', '0.17', 'one-or-two', '(8.41 ± 0.17) g'],
    ['8.4136', '0.196', 'one-or-two', '(8.4 ± 0.2) g'],
    ['8.4136', '0.0571', 'two', '(8.414 ± 0.057) g'],
    ['8.4136', '0.17', 'one', '(8.4 ± 0.2) g'],
    ['8.4136', '0.96', 'one', '(8 ± 1) g'],
    ['1234', '56', 'one', '(1230 ± 60) g'],
    ['9.996', '0.04', 'one', '(10.00 ± 0.04) g'],
  ] as const)('%s and %s with %s: %s', (value, uncertainty, digits, text) => {
    expect(writePlusMinus(new Decimal(value), new Decimal(uncertainty), 'g', digits).text).toBe(text);
  });

  it('has no uncertainty of zero and no relative one of a zero', () => {
    expect(() => uncertaintyPlace(new Decimal(0), 'one')).toThrow(RangeError);
    expect(writePlusMinus(new Decimal(0), new Decimal('0.1'), 'g', 'one').relativePercent).toBeNull();
  });
});
