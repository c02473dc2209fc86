import type { Step } from '../conventions';
import { slack } from '../instruments/scale';

/**
 * The interval, ends included, in which a written value is right for a pointer at one place. Its ends are binary numbers
 * with a slack of 1e-9 of a division, so that an exact decimal on an end is inside.
 */
export interface Acceptance {
  readonly low: number;
  readonly high: number;
}

/** How a value is judged, in plain numbers of the instrument's unit. */
export interface ReadingRule {
  /** Smallest division. */
  readonly d: number;
  /** The step that is read to. */
  readonly step: number;
  readonly judged: Step['judged'];
  /** How far an estimate may be off, as a fraction of a division. */
  readonly strictness: number;
  /** How many estimated readings the value is made of: two for a difference. */
  readonly estimates: number;
}

/**
 * |answer − true| ≤ max(strictness·d, step/2 + 0.1 d) for an estimated scale, as often as something was estimated. Where
 * nothing is estimated and the line below is written, the answer lies up to one division under the pointer, with the same
 * 0.1 d of grace. A vernier or a screw is right within one least count of the multiple nearest to the true indication; a
 * display digit for digit.
 * @param indication what the instrument truly indicates, in its unit.
 */
export function acceptanceAt(
  indication: number,
  { d, step, judged, strictness, estimates }: ReadingRule,
): Acceptance {
  const grace = d * (0.1 + slack);
  if (judged === 'line below')
    return {
      // Each of two readings may be up to a division low, so their difference is up to one off either way.
      low: indication - (d + grace * estimates),
      high: indication + (estimates === 1 ? grace : d + grace * estimates),
    };
  if (judged === 'least count') return around(toStep(indication, step), step * (1 + slack));
  if (judged === 'digits') return around(toStep(indication, step), step * slack);
  return around(indication, estimates * Math.max(d * (strictness + slack), step / 2 + grace));
}

/** The multiple of a step nearest to a number, a tie away from zero; binary noise of 1e-9 of a step does not count. */
export function toStep(value: number, step: number): number {
  const steps = Math.floor(Math.abs(value) / step + 0.5 + slack);
  return Math.sign(value) * Number((steps * step).toPrecision(14));
}

const around = (middle: number, reach: number): Acceptance => ({
  low: middle - reach,
  high: middle + reach,
});

/** The smallest interval that holds both. */
export const both = (a: Acceptance, b: Acceptance): Acceptance => ({
  low: Math.min(a.low, b.low),
  high: Math.max(a.high, b.high),
});

export const accepts = ({ low, high }: Acceptance, value: number): boolean => value >= low && value <= high;

/** True when some value of the closed interval is accepted. */
export const acceptsSome = (acceptance: Acceptance, low: number, high: number): boolean =>
  high >= acceptance.low && low <= acceptance.high;

export const overlap = (a: Acceptance, b: Acceptance): boolean => a.high > b.low && b.high > a.low;
