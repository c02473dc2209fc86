import { Decimal } from '../decimal/decimal';
import { coverageFactor, distances, summarize, withoutStructure, type Summary } from '../statistics';
import type { Group } from './observation';

/** What of a group is compared, in plain numbers: its deviations were taken exactly before. */
export interface Sample {
  readonly key: string;
  readonly n: number;
  readonly mean: number;
  /** Mean less reference; null where there is none. */
  readonly error: number | null;
  /** Of one trial, n − 1 degrees; null for one alone. */
  readonly variance: number | null;
  /** Distances from the median, without what small samples have by construction; empty where nothing is claimed of the spread. */
  readonly distances: readonly number[];
  readonly step: number;
  readonly uRef: number;
  readonly shared: { readonly u: number; readonly df: number } | null;
}

/** The observations of a group that count. */
export const counting = ({ observations }: Group) => observations.filter(({ excluded }) => !excluded);

/** The numbers behind a group; null where none of it counts. */
export const sampleOfGroup = (group: Group): Sample | null => summed(group)?.sample ?? null;

/** The same with the summary that it is of: exact, and dear for many. */
export function summed(group: Group): { readonly sample: Sample; readonly summary: Summary } | null {
  const values = counting(group).map(({ value }) => new Decimal(value));
  if (values.length === 0) return null;
  const summary = summarize(values);
  const { n, mean, median, standardDeviation } = summary;
  const { key, reference, step, shared } = group;
  const sample: Sample = {
    key,
    n,
    mean: mean.toNumber(),
    error: reference ? mean.minus(reference.value).toNumber() : null,
    variance: standardDeviation ? standardDeviation.toNumber() ** 2 : null,
    distances: n < 2 || shared ? [] : withoutStructure(distances(values, median)),
    step,
    uRef: reference?.u ?? 0,
    shared: shared ?? null,
  };
  return { sample, summary };
}

/** Rounded values scatter by their step at least: s² is at least step²/12. */
export const varianceAtLeast = ({ variance, step }: Sample): number =>
  Math.max(variance ?? 0, step ** 2 / 12);

/** The variance of the mean with its degrees of freedom, as it enters a test; null where it is not known. */
export function ofMean(sample: Sample): { readonly of: number; readonly df: number } | null {
  if (sample.shared) return { of: sample.shared.u ** 2, df: sample.shared.df };
  if (sample.variance === null) return null;
  return { of: varianceAtLeast(sample) / sample.n, df: sample.n - 1 };
}

/** Half the width of the 95 % interval of the mean, resolution and reference included; null for one trial. */
export function intervalOf(sample: Sample): number | null {
  const { variance, n, step, uRef, shared } = sample;
  if (shared) return coverageFactor(shared.df) * Math.hypot(shared.u, uRef);
  if (variance === null) return null;
  return coverageFactor(n - 1) * Math.sqrt(variance / n + step ** 2 / 12 + uRef ** 2);
}
