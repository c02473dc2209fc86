import { Decimal } from '../decimal/decimal';
import { parseNumber } from '../figures';
import { summarize, type Summary } from './summary';

/** What a test of one statistic gives: how far it went, with how many degrees of freedom, and how rare that is by chance. */
export interface Test {
  readonly statistic: number;
  readonly df: number;
  readonly p: number;
}
/** The same with two counts of degrees of freedom, of what is between and of what is within. */
export interface FisherTest {
  readonly statistic: number;
  readonly df1: number;
  readonly df2: number;
  readonly p: number;
}

/** Decimal texts as exact numbers. @throws RangeError for what cannot be read */
export const decimalsOf = (texts: readonly string[]): Decimal[] =>
  texts.map((text) => {
    const parsed = parseNumber(text);
    if (!parsed.ok) throw new RangeError(`“${text}” is no number: ${parsed.problem.message}`);
    return parsed.number.value;
  });

/** A sample of two or more values, with its variance. @throws RangeError in words */
export function sampleOf(texts: readonly string[]): Summary & { readonly variance: Decimal } {
  if (texts.length < 2) throw new RangeError('One value has no spread: at least two are needed.');
  const summary = summarize(decimalsOf(texts));
  const s = summary.standardDeviation ?? new Decimal(0);
  return { ...summary, variance: s.times(s) };
}

/** @throws RangeError where nothing scatters, so that nothing can be tested */
export function scatters(variance: number): number {
  if (!(variance > 0)) throw new RangeError('All values are equal: there is no scatter to test against.');
  return variance;
}
