import { decimalOf } from '../figures';
import { errorCauses, type ErrorCause } from './errorCauses';
import type { Conventions } from '../conventions';
import type { PercentError } from '../density/percentError';
import { agreement } from '../statistics';
import { effectiveDegrees } from '../uncertainty';
import { asStandard } from './modelInputs';
import type { Outcome } from './outcome';
import type { Result } from './result';

/** Which way the main result lies from the accepted value; null where it agrees with it, or where there is none. */
export function leanOf(
  { results }: Pick<Outcome, 'results'>,
  conventions: Conventions,
): 'up' | 'down' | null {
  const [first] = results;
  const result = first?.state === 'reckoned' ? first.result : null;
  const error = result?.percentError;
  if (!result || !error || error.percent.isZero()) return null;
  if (result.uncertainty !== null && againstAccepted(result, error, conventions).verdict === 'agree')
    return null;
  return error.percent.gt(0) ? 'up' : 'down';
}

/** How a result that has an uncertainty agrees with its accepted value, whose own tolerance belongs to the comparison. */
export function againstAccepted(
  { uncertainty, contributions, plan }: Pick<Result, 'uncertainty' | 'contributions' | 'plan'>,
  { error }: PercentError,
  conventions: Conventions,
): ReturnType<typeof agreement> {
  const own = asStandard(decimalOf(plan.accepted?.tolerance ?? '0').toNumber(), conventions);
  const degrees = effectiveDegrees([...contributions, { contribution: own }]);
  return agreement(error.value.toNumber(), Math.hypot(uncertainty ?? NaN, own), degrees);
}

/** The causes of an investigation; those that a finding or the direction of its error speaks for come first. */
export function likelyCauses(
  codes: readonly string[],
  found: ReadonlySet<string>,
  leans: 'up' | 'down' | null,
): { readonly cause: ErrorCause; readonly why: string | null }[] {
  return errorCauses
    .filter(({ code }) => codes.includes(code))
    .map((cause) => {
      const finding = cause.findings.some((code) => found.has(code));
      const fits = leans !== null && cause.pushes === leans;
      const why = finding
        ? 'The second look found something that fits.'
        : fits
          ? `It would push the result ${leans}, the way yours lies.`
          : null;
      return { cause, why, rank: finding ? 0 : fits ? 1 : 2 };
    })
    .sort((a, b) => a.rank - b.rank)
    .map(({ cause, why }) => ({ cause, why }));
}
