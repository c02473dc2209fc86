import jstat from 'jstat';

/** Where Student's distribution with ν degrees of freedom has left a share p behind; the normal one for ν = Infinity. */
export function studentQuantile(p: number, degrees: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError('A quantile is asked of a share between 0 and 1.');
  if (!(degrees > 0)) throw new RangeError('A t-factor needs at least one degree of freedom.');
  // Beyond a million degrees of freedom jstat loses digits; the two distributions are then alike to six.
  return degrees > 1e6 ? jstat.jStat.normal.inv(p, 0, 1) : jstat.jStat.studentt.inv(p, degrees);
}

/** The factor that makes a two-sided interval, which holds a share of all, of a standard uncertainty with ν degrees of freedom. */
export const coverageFactorFor = (share: number, degrees: number): number =>
  studentQuantile((1 + share) / 2, degrees);

/** The same for 95 of 100. */
export const coverageFactor = (degrees: number): number => coverageFactorFor(0.95, degrees);
