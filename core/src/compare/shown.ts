import type { Group } from './observation';
import { intervalOf, summed } from './sample';

/** Whether an error lies within what its maker promises, by its 95 % interval. */
export type AgainstTolerance = 'inside' | 'outside' | 'cannot tell';

/** What the trials of a group show as they stand. Numbers in the unit of the comparison. */
export interface Shown {
  readonly key: string;
  readonly name: string;
  readonly n: number;
  readonly excluded: number;
  readonly mean: number;
  /** To what its values are rounded; 0 where nothing is known of it. */
  readonly step: number;
  readonly error: number | null;
  /** Of the reference; null without one, or where it is nothing. */
  readonly percentError: number | null;
  /** Null for one trial. */
  readonly sd: number | null;
  readonly sdOfMean: number | null;
  readonly meanAbsoluteDeviation: number;
  /** Half the 95 % interval of the mean; null for one trial. */
  readonly interval: number | null;
  readonly tolerance: number | null;
  readonly againstTolerance: AgainstTolerance | null;
}

/** What a group shows; null where none of its trials count. */
export function shownOf(group: Group, own = summed(group)): Shown | null {
  if (!own) return null;
  const { sample, summary } = own;
  const { key, name, observations, reference } = group;
  const { n, mean, error } = sample;
  const interval = intervalOf(sample);
  const accepted = reference ? Number(reference.value) : null;
  const tolerance = reference?.tolerance === undefined ? null : Number(reference.tolerance);
  return {
    key,
    name,
    n,
    excluded: observations.length - n,
    mean,
    step: group.step,
    error,
    percentError: error === null || !accepted ? null : (100 * error) / Math.abs(accepted),
    sd: summary.standardDeviation?.toNumber() ?? null,
    sdOfMean: summary.sdOfMean?.toNumber() ?? null,
    meanAbsoluteDeviation: summary.meanAbsoluteDeviation.toNumber(),
    interval,
    tolerance,
    againstTolerance: error === null || tolerance === null ? null : against(error, interval, tolerance),
  };
}

function against(error: number, interval: number | null, tolerance: number): AgainstTolerance {
  if (interval === null) return 'cannot tell';
  const off = Math.abs(error);
  return off + interval <= tolerance ? 'inside' : off - interval > tolerance ? 'outside' : 'cannot tell';
}

/** The group whose mean lies nearest to what it should be, in percent where all references are more than nothing; null where several tie or none has one. */
export const nearestOf = (shown: readonly Shown[]): Shown | null => {
  const percent = shown.every(({ percentError }) => percentError !== null);
  return leastOf(shown, ({ percentError, error }) =>
    percent ? Math.abs(percentError ?? 0) : error === null ? null : Math.abs(error),
  );
};

/** The group whose trials lie nearest together; null where several tie or fewer than two have a spread. */
export const closestOf = (shown: readonly Shown[]): Shown | null =>
  shown.filter(({ sd }) => sd !== null).length < 2 ? null : leastOf(shown, ({ sd }) => sd);

function leastOf(shown: readonly Shown[], by: (one: Shown) => number | null): Shown | null {
  const sized = shown.flatMap((one) => {
    const size = by(one);
    return size === null ? [] : [{ one, size }];
  });
  if (sized.length < 2) return null;
  const least = Math.min(...sized.map(({ size }) => size));
  // The same to a billionth: a difference of decimals.
  const tied = sized.filter(({ size }) => size <= least * (1 + 1e-9) + Number.MIN_VALUE);
  return tied.length === 1 ? (tied[0]?.one ?? null) : null;
}
