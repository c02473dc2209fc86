import chiSquare from '@stdlib/stats-base-dists-chisquare-cdf';
import fisher from '@stdlib/stats-base-dists-f-cdf';
import student from '@stdlib/stats-base-dists-t-cdf';

/** The share of Student’s distribution with ν degrees of freedom that lies beyond ±t on both sides. */
export const studentTails = (t: number, degrees: number): number =>
  Number.isFinite(t) ? Math.min(1, 2 * student(-Math.abs(t), degrees)) : 0;

/** The share of the F distribution that lies above f: that of 1/f, turned round, which keeps its digits where it is small. */
export const fisherTail = (f: number, df1: number, df2: number): number =>
  !Number.isFinite(f) ? 0 : f <= 0 ? 1 : fisher(1 / f, df2, df1);

/** The share of the chi-square distribution that lies above x. */
export const chiSquareTail = (x: number, degrees: number): number => (x <= 0 ? 1 : 1 - chiSquare(x, degrees));
