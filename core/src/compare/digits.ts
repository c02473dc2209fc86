import { chiSquareTail } from '../statistics/tails';
import type { Test } from '../statistics';
import type { ReadOnce } from './readers';

/** How often a last digit was written, and how often it was the true one. */
export interface DigitCount {
  readonly digit: number;
  readonly written: number;
  readonly true: number;
}

export interface DigitHabit {
  readonly n: number;
  /** The digits that the scale’s step allows. */
  readonly counts: readonly DigitCount[];
  readonly test: Test;
  /** True where chance would bring it about in less than 1 of 100 readers. */
  readonly carried: boolean;
  /** The digits that are written too often, the worst first; those that stand out by more than one and a half standard deviations. */
  readonly favoured: readonly number[];
}

/** Fewer readings say nothing of a habit. */
export const leastForDigits = 50;

/**
 * Whether a reader’s last digits are those of the settings: χ² = Σ (w − t)²/(w + t), of two rows of counts as long as each other,
 * ν = digits that occur − 1. The true digits are counted too and not taken as sure, so that the test is never too sharp: exact where
 * the written ones are independent of them, milder where they are mostly right. Readings of other steps than most are left out.
 * @returns null below 50 readings, or where the step allows one digit alone.
 */
export function digitHabit(readings: readonly ReadOnce[]): DigitHabit | null {
  const step = commonest(readings.map((own) => own.step));
  const own = readings.filter((reading) => reading.step === step);
  if (step === null || own.length < leastForDigits) return null;
  const place = 10 ** Math.floor(Math.log10(step * (1 + 1e-9)));
  const each = Math.max(1, Math.round(step / place));
  if (10 % each !== 0) return null;
  const digitOf = (value: number) => ((Math.round(Math.round(value / step) * each) % 10) + 10) % 10;
  const counts = Array.from({ length: 10 / each }, (_, at): DigitCount => {
    const digit = at * each;
    const of = (part: 'value' | 'truth') =>
      own.filter((reading) => digitOf(Math.abs(reading[part])) === digit).length;
    return { digit, written: of('value'), true: of('truth') };
  });
  const seen = counts.filter((count) => count.written + count.true > 0);
  if (seen.length < 2) return null;
  const far = ({ written, true: there }: DigitCount) => (written - there) / Math.sqrt(written + there);
  const statistic = seen.reduce((sum, count) => sum + far(count) ** 2, 0);
  const df = seen.length - 1;
  const p = chiSquareTail(statistic, df);
  return {
    n: own.length,
    counts,
    test: { statistic, df, p },
    carried: p < habitLevel,
    favoured: seen
      .filter((count) => far(count) > 1.5)
      .sort((a, b) => far(b) - far(a))
      .map(({ digit }) => digit),
  };
}

/** A class has thirty readers: one of them a year by chance is enough. */
const habitLevel = 0.01;

function commonest(values: readonly number[]): number | null {
  const counts = new Map<number, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}
