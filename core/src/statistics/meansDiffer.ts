import type { Random } from '../chance/random';

/** A mean with the variance of one of its trials and how many there were. */
export interface GroupMean {
  readonly mean: number;
  readonly variance: number;
  readonly n: number;
}

/**
 * How often groups of one mean would differ as much as these, their variances being what they are: a parametric bootstrap, which
 * keeps its promise at five trials a group, where the classical tests do not (K. Krishnamoorthy, F. Lu and T. Mathew, Comput. Stat.
 * Data Anal. 51, 2007). Every group has two trials or more and scatters.
 */
export function meansDifferP(groups: readonly GroupMean[], random: Random, draws = 4000): number {
  const seen = spreadOfMeans(groups);
  const enough = Math.max(10, 0.06 * draws);
  let beyond = 0;
  for (let draw = 0; draw < draws; draw += 1) {
    const drawn = groups.map(({ variance, n }) => ({
      mean: random.normal() * Math.sqrt(variance / n),
      variance: (variance * chiSquareDraw(random, n - 1)) / (n - 1),
      n,
    }));
    if (spreadOfMeans(drawn) >= seen) beyond += 1;
    // So often already that it cannot be rare (J. Besag and P. Clifford, Biometrika 78, 1991).
    if (beyond >= enough) return beyond / (draw + 1);
  }
  return (beyond + 1) / (draws + 1);
}

/** Σ w (x̄ − x̄_w)², w = n/s². */
function spreadOfMeans(groups: readonly GroupMean[]): number {
  let [whole, sum] = [0, 0];
  for (const { mean, variance, n } of groups) {
    whole += n / variance;
    sum += (n / variance) * mean;
  }
  const middle = sum / whole;
  return groups.reduce((all, { mean, variance, n }) => all + (n / variance) * (mean - middle) ** 2, 0);
}

/** The sum of ν squared normal draws, two at a time as −2 ln u. */
function chiSquareDraw(random: Random, degrees: number): number {
  let sum = degrees % 2 === 1 ? random.normal() ** 2 : 0;
  for (let pair = 0; pair < degrees >> 1; pair += 1) sum -= 2 * Math.log(1 - random.next());
  return sum;
}
