import { coverageFactor } from '../statistics';
import type { Shown } from './shown';

/** What it takes to know a value to within a wanted ± with one group. */
export interface Enough {
  readonly key: string;
  readonly name: string;
  /** Trials whose mean lies within it in 95 of 100, by how they scattered; null where no number of them up to the most would do, or no spread is known. */
  readonly trials: number | null;
  /** What its maker promises by itself, where that is more than what is wanted: then only its own correction would do. */
  readonly promised: number | null;
}

/** More trials than these are not asked of anybody. */
export const mostTrialsAsked = 30;

/**
 * For each group the least n with t₉₅(n₀ − 1)·s/√n ≤ wanted, s and its degrees of freedom those of its n₀ trials; the fewest first.
 * @param wanted more than 0, in the unit of the comparison
 */
export function enoughFor(shown: readonly Shown[], wanted: number): Enough[] {
  return shown
    .map(({ key, name, n, sd, tolerance }): Enough => {
      const least =
        sd === null ? null : Math.max(1, Math.ceil(((coverageFactor(n - 1) * sd) / wanted) ** 2 - 1e-9));
      return {
        key,
        name,
        trials: least !== null && least <= mostTrialsAsked ? least : null,
        promised: tolerance !== null && tolerance > wanted ? tolerance : null,
      };
    })
    .sort(
      (a, b) =>
        Number(a.promised !== null) - Number(b.promised !== null) ||
        (a.trials ?? Infinity) - (b.trials ?? Infinity),
    );
}

/** In a sentence. @param known whether a spread is known of it at all */
export function enoughWords({ name, trials, promised }: Enough, unit: string, known: boolean): string {
  const by =
    trials === null
      ? known
        ? `more than ${mostTrialsAsked} trials: it scatters too much for that`
        : 'one trial shows no spread, so that nobody can tell'
      : trials === 1
        ? 'one trial does'
        : `the mean of ${trials} trials`;
  return `${name}: ${by}${promised === null ? '' : `; and only with its correction, for by itself its maker promises ± ${promised} ${unit}`}.`;
}
