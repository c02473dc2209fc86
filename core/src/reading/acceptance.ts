import type { Step } from '../conventions';
import { Exact, roundToStep } from '../figures';
import { slack } from '../instruments/scale';

/** The interval, ends included, in which a written value is right for a pointer at one place. */
export interface Acceptance {
  readonly low: Exact;
  readonly high: Exact;
}

/**
 * |answer − true| ≤ max(strictness·d, step/2 + 0.1 d) for an estimated scale. Where nothing is estimated and the
 * line below is written, the answer lies up to one division under the pointer, with the same 0.1 d of grace. A vernier
 * or a screw is right within one least count of the multiple nearest to the true indication; a display digit for digit.
 * @param indication what the instrument truly indicates, in its unit.
 */
export function acceptanceAt(
  indication: number,
  division: string,
  step: Step,
  strictness: number,
): Acceptance {
  const d = new Exact(division);
  const at = new Exact(indication);
  const grace = d.times(0.1 + slack);
  if (step.judged === 'line below') return { low: at.minus(d).minus(grace), high: at.plus(grace) };
  if (step.judged === 'least count') return around(roundToStep(at, step.size), step.size.times(1 + slack));
  if (step.judged === 'digits') return around(roundToStep(at, step.size), step.size.times(slack));
  const reach = Exact.max(d.times(strictness + slack), step.size.div(2).plus(grace));
  return around(at, reach);
}

const around = (middle: Exact, reach: Exact): Acceptance => ({
  low: middle.minus(reach),
  high: middle.plus(reach),
});

export const accepts = ({ low, high }: Acceptance, value: Exact): boolean =>
  value.gte(low) && value.lte(high);

/** True when some value of the closed interval is accepted. */
export const acceptsSome = (acceptance: Acceptance, low: Exact, high: Exact): boolean =>
  high.gte(acceptance.low) && low.lte(acceptance.high);

export const overlap = (a: Acceptance, b: Acceptance): boolean => a.high.gt(b.low) && b.high.gt(a.low);
