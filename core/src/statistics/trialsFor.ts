import { studentQuantile } from './student';

/** How many trials are looked at before it is called never. */
export const mostTrialsFor = 10_000;

/**
 * How many trials in each group would show a difference of this size in 80 of 100 cases: the smallest n for which size over
 * √(variance/n + floor) reaches t(1 − α/2, ν) + t(0.8, ν). To one trial of the exact power of the t test, from n = 5 on.
 * @param variance of one trial: s², or the sum of both groups’ for a difference. @param floor what repeating does not make smaller.
 * @param groups 1 for a mean against a reference, 2 for a difference of means. @returns null where that is never.
 */
export function trialsFor(
  size: number,
  variance: number,
  floor: number,
  level = 0.05,
  groups: 1 | 2 = 1,
): number | null {
  const off = Math.abs(size);
  const reaches = (n: number): boolean => {
    const df = groups * (n - 1);
    return (
      off >= (studentQuantile(1 - level / 2, df) + studentQuantile(0.8, df)) * Math.sqrt(variance / n + floor)
    );
  };
  if (!(off > 0) || !reaches(mostTrialsFor)) return null;
  let [low, high] = [1, mostTrialsFor];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (reaches(middle)) high = middle;
    else low = middle;
  }
  return high;
}
