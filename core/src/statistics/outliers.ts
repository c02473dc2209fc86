import type { Decimal } from '../decimal/decimal';
import { studentQuantile } from './student';
import { summarize } from './summary';

/** A value that lies apart. It is only ever suggested: a person decides, with a reason, and it stays visible. */
export interface Outlier {
  readonly at: number;
  readonly test: 'Grubbs' | 'Dixon';
  readonly statistic: number;
  readonly critical: number;
}

/** Two-sided 5 % of the largest deviation over s (Grubbs, Technometrics 11, 1969). */
export function grubbsCritical(n: number): number {
  const t = studentQuantile(1 - 0.05 / (2 * n), n - 2);
  return ((n - 1) / Math.sqrt(n)) * Math.sqrt(t ** 2 / (n - 2 + t ** 2));
}

/** Two-sided 5 % of Dixon's r₁₀, for n from 3 (Rorabacher, Analytical Chemistry 63, 1991, table 2). At 3 it is nearly worthless. */
const dixonCritical = [0.97, 0.829, 0.71, 0.625, 0.568, 0.526, 0.493, 0.466] as const;

/** The value that both tests, or the one that fits the count, would call apart; null for none, and for fewer than 4 values. */
export function suspectOutlier(values: readonly Decimal[], summary = summarize(values)): Outlier | null {
  const n = values.length;
  if (n < 4) return null;
  return grubbs(values, summary) ?? (n <= 10 ? dixon(values) : null);
}

export function grubbs(values: readonly Decimal[], summary = summarize(values)): Outlier | null {
  const n = values.length;
  if (n < 3) return null;
  const { mean, standardDeviation } = summary;
  if (!standardDeviation || standardDeviation.isZero()) return null;
  const sd = standardDeviation.toNumber();
  const off = values.map((value) => Math.abs(value.minus(mean).toNumber()) / sd);
  const statistic = Math.max(...off);
  const critical = grubbsCritical(n);
  return statistic > critical ? { at: off.indexOf(statistic), test: 'Grubbs', statistic, critical } : null;
}

/** Gap over range at the end that lies further apart. */
export function dixon(values: readonly Decimal[]): Outlier | null {
  const critical = dixonCritical[values.length - 3];
  const order = values.map((value, at) => ({ value, at })).sort((a, b) => a.value.cmp(b.value));
  const [first, second, beforeLast, last] = [order[0], order[1], order.at(-2), order.at(-1)];
  if (critical === undefined || !first || !second || !beforeLast || !last) return null;
  const range = last.value.minus(first.value);
  if (range.isZero()) return null;
  const low = second.value.minus(first.value).div(range).toNumber();
  const high = last.value.minus(beforeLast.value).div(range).toNumber();
  const statistic = Math.max(low, high);
  const at = low > high ? first.at : last.at;
  return statistic > critical ? { at, test: 'Dixon', statistic, critical } : null;
}
