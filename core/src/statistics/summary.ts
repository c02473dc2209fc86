import { Decimal } from '../decimal/decimal';
import { coverageFactor } from './student';

/** What repeated measurements of one thing say, in their own unit. */
export interface Summary {
  readonly n: number;
  readonly mean: Decimal;
  readonly median: Decimal;
  readonly smallest: Decimal;
  readonly largest: Decimal;
  /** Sample standard deviation (n − 1); null for fewer than two values. */
  readonly standardDeviation: Decimal | null;
  /** s/√n; null for fewer than two values. */
  readonly sdOfMean: Decimal | null;
  readonly meanAbsoluteDeviation: Decimal;
  readonly halfRange: Decimal;
}

/**
 * Deviations are taken in exact decimals first, so that a tiny spread on a large mean survives.
 * @throws RangeError for no values.
 */
export function summarize(values: readonly Decimal[]): Summary {
  const sorted = [...values].sort((a, b) => a.cmp(b));
  const [smallest, largest] = [sorted[0], sorted.at(-1)];
  if (!smallest || !largest) throw new RangeError('There is nothing to average.');
  const n = values.length;
  // The sum of equal values, shared out again, would leave the noise of the last digit behind.
  const mean = smallest.eq(largest) ? smallest : total(values).div(n);
  const deviations = values.map((value) => value.minus(mean));
  const variance = n < 2 ? null : total(deviations.map((deviation) => deviation.times(deviation))).div(n - 1);
  const [below = smallest, above = smallest] = [sorted[(n - 1) >> 1], sorted[n >> 1]];
  return {
    n,
    mean,
    median: below.plus(above).div(2),
    smallest,
    largest,
    standardDeviation: variance && variance.sqrt(),
    sdOfMean: variance && variance.div(n).sqrt(),
    meanAbsoluteDeviation: total(deviations.map((deviation) => deviation.abs())).div(n),
    halfRange: largest.minus(smallest).div(2),
  };
}

/** Half the width of the 95 % t-interval of the mean; null for fewer than two values. */
export const meanInterval = ({ n, sdOfMean }: Summary): number | null =>
  sdOfMean && coverageFactor(n - 1) * sdOfMean.toNumber();

export const total = (values: readonly Decimal[]): Decimal =>
  values.reduce((sum, value) => sum.plus(value), new Decimal(0));
