import normal from '@stdlib/stats-base-dists-normal-quantile';
import student from '@stdlib/stats-base-dists-t-quantile';

/** From here on the two are the same to all digits; far beyond, the library gives 0. */
const asNormal = 1e16;

/**
 * Where Student's distribution with ν degrees of freedom has left a share p behind; the normal one for ν = Infinity. To
 * 1e-12 of its value. @throws RangeError
 */
export function studentQuantile(p: number, degrees: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError('A quantile is asked of a share between 0 and 1.');
  if (!(degrees > 0)) throw new RangeError('A t-factor needs at least one degree of freedom.');
  return degrees > asNormal ? normal(p, 0, 1) : student(p, degrees);
}

/** The factor that makes a two-sided interval, which holds a share of all, of a standard uncertainty with ν degrees of freedom. */
export const coverageFactorFor = (share: number, degrees: number): number =>
  studentQuantile((1 + share) / 2, degrees);

/** The same for 95 of 100. */
export const coverageFactor = (degrees: number): number => coverageFactorFor(0.95, degrees);
