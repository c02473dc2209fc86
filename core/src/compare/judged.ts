import type { Conventions } from '../conventions';
import { biases, differ, moreAccurate, morePrecise } from './claims';
import type { Comparison } from './observation';
import { summed } from './sample';
import { closestOf, nearestOf, shownOf, type Shown } from './shown';
import type { ComparisonVerdict } from './verdict';

/** Everything that a comparison says: what is there, and what it carries. */
export interface Compared {
  readonly shown: readonly Shown[];
  readonly nearest: Shown | null;
  readonly closest: Shown | null;
  readonly biases: readonly ComparisonVerdict[];
  readonly moreAccurate: readonly ComparisonVerdict[];
  readonly morePrecise: readonly ComparisonVerdict[];
  readonly differ: readonly ComparisonVerdict[];
}

/** Looks at a comparison whole. Never throws on what is measured; groups of which nothing counts are not there. */
export function compared(comparison: Comparison): Compared {
  const whole = comparison.groups.flatMap((group) => {
    const own = summed(group);
    return own ? [{ group, own }] : [];
  });
  const samples = whole.map(({ own }) => own.sample);
  const shown = whole.flatMap(({ group, own }) => shownOf(group, own) ?? []);
  // Dear, and each asked for by some alone.
  const [leaning, nearer, closer, differing] = [biases, moreAccurate, morePrecise, differ].map((judge) => {
    let verdicts: readonly ComparisonVerdict[] | null = null;
    return () => (verdicts ??= judge(samples));
  });
  return {
    shown,
    nearest: nearestOf(shown),
    closest: closestOf(shown),
    get biases() {
      return leaning?.() ?? [];
    },
    get moreAccurate() {
      return nearer?.() ?? [];
    },
    get morePrecise() {
      return closer?.() ?? [];
    },
    get differ() {
      return differing?.() ?? [];
    },
  };
}

export const questionsOfClaims = ['more accurate', 'more precise'] as const;
/** What a student claims: of which group, against all others; or that it cannot be told. */
export interface ComparisonClaim {
  readonly question: (typeof questionsOfClaims)[number];
  /** The key of a group; null for *cannot tell*. */
  readonly of: string | null;
}

export type ClaimVerdict =
  | 'right'
  /** Another group shows it. */
  | 'other group'
  /** The numbers as they stand show it, and these trials do not carry it. */
  | 'beyond the data'
  /** It can be told. */
  | 'too careful';

/** A claim held against the data, by the rule of the class. */
export function judgeClaim(
  claim: ComparisonClaim,
  all: Compared,
  rule: Conventions['howCompare'],
): ClaimVerdict {
  const best = claim.question === 'more accurate' ? all.nearest : all.closest;
  const carried = best !== null && holds(best, claim.question, all, rule);
  if (claim.of === null) return carried ? 'too careful' : 'right';
  if (claim.of !== best?.key) return 'other group';
  return carried ? 'right' : 'beyond the data';
}

/** Whether the best group is better than each other one, by the rule of the class. A spread has no interval here: it is tested. */
function holds(
  best: Shown,
  question: ComparisonClaim['question'],
  { shown, moreAccurate: nearer, morePrecise: closer }: Compared,
  rule: Conventions['howCompare'],
): boolean {
  const others = shown.filter(({ key }) => key !== best.key);
  if (rule === 'as-they-stand') return true;
  if (rule === 'overlap' && question === 'more accurate')
    return others.every(
      ({ error, interval }) =>
        best.error !== null &&
        best.interval !== null &&
        error !== null &&
        interval !== null &&
        Math.abs(best.error) + best.interval < Math.abs(error) - interval,
    );
  const verdicts = question === 'more accurate' ? nearer : closer;
  return others.every(({ key }) =>
    verdicts.some(({ of: [first, second], carried }) => carried && first === best.key && second === key),
  );
}
