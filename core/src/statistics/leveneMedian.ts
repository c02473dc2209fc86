import type { Decimal } from '../decimal/decimal';
import { anovaOf } from './anova';
import { decimalsOf, type FisherTest } from './sample';
import { summarize } from './summary';

/**
 * Whether the spreads of some groups differ: analysis of variance of the distances from each group’s median (M. B. Brown and
 * A. B. Forsythe, J. Am. Stat. Assoc. 69, 1974). @throws RangeError
 */
export const leveneMedian = (groups: readonly (readonly string[])[]): FisherTest =>
  anovaOf(groups.map((texts) => distances(decimalsOf(texts))));

/**
 * The same without what small samples have by construction: a distance of zero where their count is odd, two that are equal where
 * it is even. The zero is left out; of the two equal smallest, turned by 45°, one is zero and left out, and √2 of them stays
 * (W. G. S. Hines and R. J. O’Hara Hines, Biometrics 56, 2000). @throws RangeError
 */
export const leveneMedianModified = (groups: readonly (readonly string[])[]): FisherTest =>
  anovaOf(groups.map((texts) => withoutStructure(distances(decimalsOf(texts)))));

/** How far each value lies from the median of all. @throws RangeError for fewer than two */
export function distances(values: readonly Decimal[], median?: Decimal): number[] {
  if (values.length < 2) throw new RangeError('One value has no spread: at least two are needed.');
  const middle = median ?? summarize(values).median;
  return values.map((value) => value.minus(middle).abs().toNumber());
}

/** Distances without the zero, or the twin, that they have by construction. */
export function withoutStructure(all: readonly number[]): number[] {
  const [smallest = 0, ...others] = [...all].sort((a, b) => a - b);
  return all.length % 2 === 1 ? others : [smallest * Math.SQRT2, ...others.slice(1)];
}
