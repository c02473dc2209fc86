import { sampleOf, scatters, type Test } from './sample';
import { studentTails } from './tails';

/**
 * Whether two means differ, whatever their variances: t = (x̄ − ȳ)/√(s_x²/n_x + s_y²/n_y), ν by Welch and Satterthwaite, two-sided
 * (B. L. Welch, Biometrika 34, 1947). @throws RangeError
 */
export function welchT(first: readonly string[], second: readonly string[]): Test {
  const [a, b] = [sampleOf(first), sampleOf(second)];
  return welchOf(a.mean.minus(b.mean).toNumber(), [
    { of: a.variance.div(a.n).toNumber(), df: a.n - 1 },
    { of: b.variance.div(b.n).toNumber(), df: b.n - 1 },
  ]);
}

/** A variance of a mean, with its degrees of freedom; infinitely many for what is not estimated from the sample. */
export interface VariancePart {
  readonly of: number;
  readonly df: number;
}

/** Welch’s t of a difference or a sum whose variance has some parts. @throws RangeError where nothing scatters */
export function welchOf(size: number, parts: readonly VariancePart[]): Test {
  const variance = scatters(parts.reduce((sum, { of }) => sum + of, 0));
  const df = variance ** 2 / parts.reduce((sum, part) => sum + part.of ** 2 / part.df, 0);
  const statistic = size / Math.sqrt(variance);
  return { statistic, df, p: studentTails(statistic, df) };
}
