import { describe, expect, it } from 'vitest';
import { presetNamed, revise } from '../conventions';
import { Decimal, exactly, measured, parseNumber, type WrittenNumber } from '../figures';
import { percentError } from './percentError';

const bench = presetNamed('Chemistry bench');
const n = (text: string): WrittenNumber => {
  const parsed = parseNumber(text);
  if (!parsed.ok) throw new Error(parsed.problem.message);
  return parsed.number;
};
describe('percentError', () => {
  const of = (result: string, accepted: string, sign: 'absolute' | 'signed') =>
    percentError(measured(n(result)), n(accepted), revise(bench, { percentError: sign }));

  it.each([
    ['8.41', '8.80', 'signed', '−4.4 %', 'good'],
    ['8.41', '8.80', 'absolute', '4.4 %', 'good'],
    ['9.50', '8.80', 'signed', '+8.0 %', 'acceptable'],
    ['12.0', '8.8', 'signed', '+36 %', null],
    ['8.80', '8.80', 'signed', '0 %', 'good'],
    // One in the last digit of 0.80 is 1.25 %.
    ['0.799', '0.80', 'signed', 'under 1 %', 'good'],
  ] as const)('%s against %s, %s: %s', (result, accepted, sign, text, word) => {
    expect(of(result, accepted, sign)).toMatchObject({ text, word });
  });

  it('lets the lost figures govern', () => {
    // 8.7 − 8.8 leaves one figure: −1.136… % is written −1 %.
    expect(of('8.7', '8.8', 'signed')).toMatchObject({ text: '−1 %', figuresLost: 1 });
  });

  it('has nothing to divide by when the accepted value is 0', () => {
    expect(() => percentError(exactly(new Decimal(1)), n('0.0'), bench)).toThrow(RangeError);
  });
});
