import type { Test } from './sample';
import { chiSquareTail } from './tails';

/**
 * Whether counts are those of one and the same chance: χ² = Σ (o − e)²/e, ν = their number less one.
 * @param expected of each, where they are not alike. @throws RangeError
 */
export function chiSquareUniform(counts: readonly (number | string)[], expected?: readonly number[]): Test {
  const seen = counts.map(Number);
  if (seen.length < 2) throw new RangeError('At least two counts are needed to be compared.');
  if (!seen.every((count) => Number.isInteger(count) && count >= 0))
    throw new RangeError('A count is a whole number, from 0.');
  const all = seen.reduce((sum, count) => sum + count, 0);
  if (all === 0) throw new RangeError('Nothing was counted.');
  const share = expected ?? seen.map(() => all / seen.length);
  if (share.length !== seen.length || !share.every((count) => count > 0))
    throw new RangeError('What is expected of each count is more than nothing.');
  const statistic = seen.reduce((sum, count, at) => {
    const own = share[at] ?? 1;
    return sum + (count - own) ** 2 / own;
  }, 0);
  const df = seen.length - 1;
  return { statistic, df, p: chiSquareTail(statistic, df) };
}
