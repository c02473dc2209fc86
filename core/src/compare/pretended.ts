import { seeded } from '../chance/random';
import type { Comparison, Group } from './observation';

/** What a pretended vessel really does, in millilitres. */
export interface Pretended {
  readonly name: string;
  readonly bias: number;
  readonly scatter: number;
}

/** Marked so many millilitres, and read to a hundredth. */
export const pretendedMark = 20;
/** Trials of a pretended vessel at most. */
export const mostPretended = 30;

/** Trials of vessels whose truth is set: the same first ones, however many are looked at. */
export function pretendedTrials(vessels: readonly Pretended[], n: number, seed: number): Comparison {
  const random = seeded(seed);
  return {
    unit: 'mL',
    groups: vessels.map(({ name, bias, scatter }): Group => {
      const drawn = Array.from(
        { length: mostPretended },
        () => pretendedMark + bias + scatter * random.normal(),
      );
      return {
        key: name,
        name,
        reference: { value: String(pretendedMark), tolerance: '0.2' },
        step: 0.01,
        observations: drawn.slice(0, n).map((value, at) => ({ value: value.toFixed(2), trial: at + 1 })),
      };
    }),
  };
}

/** The same vessels with other truths, drawn by chance. */
export function otherTruths(vessels: readonly Pretended[], seed: number): Pretended[] {
  const random = seeded(seed);
  const hundredths = (low: number, high: number) => Math.round(random.between(low, high) * 100) / 100;
  return vessels.map(({ name }) => ({ name, bias: hundredths(-0.2, 0.2), scatter: hundredths(0.02, 0.2) }));
}

/** The one that is nearer to its mark in truth. */
export const truestOf = (vessels: readonly Pretended[]): Pretended | undefined =>
  [...vessels].sort((a, b) => Math.abs(a.bias) - Math.abs(b.bias))[0];
