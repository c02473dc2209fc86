import { Decimal } from '../decimal/decimal';

interface Found {
  /** How far the correction itself may be off. */
  readonly plusMinus: string;
  /** The day on which it was found, as `2026-11-03`, and by whom. */
  readonly on: string;
  readonly by: string;
}
/**
 * What is to be done to what a piece shows: its zero error is taken away; or what was found at one reading or more is added, by a
 * straight line between them and as at the nearest beyond. Decimal texts, in the unit of its make.
 */
export type Correction = Found &
  (
    | { readonly kind: 'zero'; readonly error: string }
    | { readonly kind: 'points'; readonly points: readonly CorrectionPoint[] }
  );

/** At a reading of `at`, `add` is added. */
export interface CorrectionPoint {
  readonly at: string;
  readonly add: string;
}

/** What is to be added to a reading, in the unit of the piece. */
export function correctionAt(correction: Correction, reading: Decimal): Decimal {
  if (correction.kind === 'zero') return new Decimal(correction.error).neg();
  const points = correction.points
    .map(({ at, add }) => ({ at: new Decimal(at), add: new Decimal(add) }))
    .sort((a, b) => a.at.cmp(b.at));
  const above = points.find(({ at }) => at.gte(reading));
  const below = points.findLast(({ at }) => at.lte(reading));
  const end = above ?? below;
  if (!above || !below || above.at.eq(below.at)) return end?.add ?? new Decimal(0);
  const share = reading.minus(below.at).div(above.at.minus(below.at));
  return below.add.plus(above.add.minus(below.add).times(share));
}

/** How far a piece may be off where its correction is known and not taken: the largest of it, and how far that may be off. */
export const uncorrectedOffset = (correction: Correction): Decimal =>
  Decimal.max(
    ...(correction.kind === 'zero' ? [correction.error] : correction.points.map(({ add }) => add)).map(
      (text) => new Decimal(text).abs(),
    ),
  ).plus(correction.plusMinus);

/** True where it was found over a stretch of the scale, so that it says more than the maker's tolerance does. */
export const isCalibration = (correction: Correction): boolean =>
  correction.kind === 'points' && correction.points.length > 1;

/** `+0.4 at 0, −0.4 at 99.6`, or `zero error +0.03`. */
export function correctionWords(correction: Correction, unit: string): string {
  const signed = (text: string) => {
    const value = new Decimal(text);
    const digits = text.trim().replace(/^[+−-]/, '');
    return value.isZero() ? digits : `${value.isNeg() ? '−' : '+'}${digits}`;
  };
  if (correction.kind === 'zero')
    return `zero error ${signed(correction.error)} ${unit}, taken away from every reading`;
  const [only, ...others] = correction.points;
  if (only && others.length === 0) return `${signed(only.add)} ${unit} to every reading`;
  return `${correction.points.map(({ at, add }) => `${signed(add)} at ${at.replace('-', '−')}`).join(', ')} ${unit}, by a straight line between`;
}
