import { coverageFactor } from '../statistics/student';
import type { Contribution } from './propagate';

/**
 * Covariance of two results of the same inputs: Σᵢⱼ aᵢ bⱼ cov(xᵢ, xⱼ); with itself, the variance (JCGM 100:2008, eq. 13
 * and H.9). Sensitivities and covariances are in the units of the inputs, in one order.
 */
export function covarianceOf(
  a: readonly number[],
  b: readonly number[],
  covariances: readonly (readonly number[])[],
): number {
  return a.reduce(
    (sum, ai, i) => sum + b.reduce((inner, bj, j) => inner + ai * bj * (covariances[i]?.[j] ?? 0), 0),
    0,
  );
}

/** Covariance matrix of the means of columns that were read together, n rows each (JCGM 100:2008, eq. 17). @throws RangeError */
export function covariancesOfMeans(columns: readonly (readonly number[])[]): number[][] {
  const n = columns[0]?.length ?? 0;
  if (n < 2 || columns.some(({ length }) => length !== n))
    throw new RangeError('A covariance needs at least two rows, all of them complete.');
  const deviations = columns.map((column) => {
    // Taken from the first value, so that a tiny spread on a large mean survives.
    const first = column[0] ?? NaN;
    const shift = column.reduce((sum, value) => sum + (value - first), 0) / n;
    return column.map((value) => value - first - shift);
  });
  return deviations.map((a) =>
    deviations.map((b) => a.reduce((sum, ai, at) => sum + ai * (b[at] ?? 0), 0) / (n * (n - 1))),
  );
}

/**
 * Effective degrees of freedom, ν = u⁴ / Σ(uᵢ⁴/νᵢ) (Welch–Satterthwaite; JCGM 100:2008, G.2b), cut down to a whole number;
 * Infinity where no part was found by repeating.
 */
export function effectiveDegrees(
  contributions: readonly Pick<Contribution, 'contribution' | 'degrees'>[],
): number {
  const variance = contributions.reduce((sum, { contribution }) => sum + contribution ** 2, 0);
  const weight = contributions.reduce(
    (sum, { contribution, degrees = Infinity }) => sum + contribution ** 4 / degrees,
    0,
  );
  return weight === 0 ? Infinity : Math.max(1, Math.floor(variance ** 2 / weight + 1e-9));
}

export interface Expanded {
  readonly degrees: number;
  /** Coverage factor for 95 %. */
  readonly k: number;
  /** U = k·u. */
  readonly size: number;
}

/** Expanded uncertainty for 95 % from standard uncertainties. */
export function expanded(contributions: readonly Pick<Contribution, 'contribution' | 'degrees'>[]): Expanded {
  const degrees = effectiveDegrees(contributions);
  const k = coverageFactor(degrees);
  return { degrees, k, size: k * Math.hypot(...contributions.map(({ contribution }) => contribution)) };
}
