import { agreement } from '../statistics';
import type { Result } from './result';

/** Two results that ought to be the same, and how far they are. */
export interface RouteAgreement {
  readonly first: Result;
  readonly other: Result;
  /** Their difference over its uncertainty. */
  readonly times: number;
  readonly verdict: ReturnType<typeof agreement>['verdict'];
  readonly surer: Result;
}

/**
 * The first result held against every other one in its unit that has an uncertainty: |Δ| over the root of the sum of squares. It
 * takes the two for independent; readings that they share make it a little too kind or too strict.
 */
export function agreementOfRoutes(results: readonly Result[]): RouteAgreement[] {
  const [first, ...others] = results;
  const own = first?.uncertainty ?? null;
  if (!first || own === null) return [];
  return others.flatMap((other): RouteAgreement[] => {
    if (other.plan.unit !== first.plan.unit || other.uncertainty === null) return [];
    const { times, verdict } = agreement(
      other.value.value.minus(first.value.value).toNumber(),
      Math.hypot(own, other.uncertainty),
    );
    return [{ first, other, times, verdict, surer: own <= other.uncertainty ? first : other }];
  });
}
