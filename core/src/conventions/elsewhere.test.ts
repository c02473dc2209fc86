import { expect, it } from 'vitest';
import { presetNamed } from '.';
import { writtenElsewhere } from './elsewhere';
import { ExpressionProblem } from '../figures/expressionTree';

const own = { ...presetNamed('Chemistry bench'), rounding: 'half-away', roundWhen: 'end' } as const;

it.each([
  // 1.125 to two decimals: 1.13 away from zero, 1.12 to the even digit.
  ['0.125 g + 1.00 g', { otherTie: '1.12 g', otherTime: null }],
  // 3.375 is 3.4 at the end; by steps 2.25 → 2.3, and 2.3 × 1.5 = 3.45 → 3.5. To the even digit 3.4 as well.
  ['1.5 × 1.5 × 1.5', { otherTie: null, otherTime: '3.5' }],
  ['2.0 g / 1.00 cm^3', { otherTie: null, otherTime: null }],
  // At each step 0.4 becomes 0 by the coarse 10 beside it: nothing to divide by, so nothing to say of that class.
  ['1.0 g / (100.4 − 100)', { otherTie: null, otherTime: null }],
])('how other classes write %s', (text, written) => {
  expect(writtenElsewhere(text, own)).toEqual(written);
});

it('tells it from the other side too', () => {
  const other = { ...own, rounding: 'half-even', roundWhen: 'each-step' } as const;
  expect(writtenElsewhere('0.125 g + 1.00 g', other).otherTie).toBe('1.13 g');
  expect(writtenElsewhere('1.5 × 1.5 × 1.5', { ...other, rounding: 'half-away' }).otherTime).toBe('3.4');
});

it('throws for what is no calculation', () => {
  expect(() => writtenElsewhere('5 g + 3 mL', own)).toThrow(ExpressionProblem);
});
