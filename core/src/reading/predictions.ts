import type { Conventions, Step } from '../conventions';
import { Decimal } from '../figures';
import { stages, type Instrument, type Misreading, type Setting } from '../instruments/instrument';
import { slack } from '../instruments/scale';
import {
  acceptanceAt,
  accepts,
  both,
  overlap,
  toStep,
  type Acceptance,
  type ReadingRule,
} from './acceptance';

/** One wrong number that one fault, or two together, would lead to. */
export interface Prediction {
  readonly faults: readonly Misreading[];
  readonly value: number;
  /** Answers that match it. */
  readonly acceptance: Acceptance;
}

/** A setting as a class reads it: scale, step and strictness. */
export interface Reading {
  readonly instrument: Instrument;
  readonly setting: Setting;
  readonly conventions: Conventions;
  readonly unit: string;
  readonly step: Step;
  readonly rule: ReadingRule;
  /** True where a reading may be written as a fraction of an inch. */
  readonly fractions: boolean;
}

export const acceptanceFor = ({ rule }: Reading, value: number): Acceptance => acceptanceAt(value, rule);

/** What can be said of a setting before anything is written: reckoned once, however many answers are checked. */
export class Diagnosis {
  readonly accepted: Acceptance;
  single: Prediction[] | undefined;
  #pairs: Prediction[] | undefined;

  constructor(readonly reading: Reading) {
    this.accepted = trulyAccepted(reading);
  }

  /** What each misreading alone would write. */
  get alone(): readonly Prediction[] {
    return (this.single ??= predictAlone(this.reading));
  }

  /** What each pair of them would write. */
  get pairs(): readonly Prediction[] {
    return (this.#pairs ??= predictPairs(this.reading, this.alone));
  }
}

/** What is right for the setting itself: either of two values where a display hops, all within a tolerance that was set. */
export function trulyAccepted(reading: Reading): Acceptance {
  const { instrument, setting } = reading;
  const truth = instrument.indication(setting);
  const reach = instrument.tolerance?.(setting);
  // A tolerance that somebody set is that: neither wider nor narrower by what the class would allow.
  if (reach !== undefined)
    return {
      low: truth - reach - Math.abs(truth) * 1e-12 - reach * slack,
      high: truth + reach + Math.abs(truth) * 1e-12 + reach * slack,
    };
  const accepted = acceptanceFor(reading, truth);
  const hop = instrument.flicker?.(setting) ?? null;
  return hop === null ? accepted : both(accepted, acceptanceFor(reading, hop));
}

/**
 * What each misreading alone would write. A misreading applies only if its number, rounded as the class rounds,
 * lies outside the acceptance of the true one: a harmless habit is no fault.
 */
export function predictAlone(reading: Reading): Prediction[] {
  const accepted = trulyAccepted(reading);
  return reading.instrument.misreadings.flatMap((fault) => applying(reading, accepted, [fault]));
}

/**
 * What each pair of misreadings would write; two ways of counting, or of correcting, exclude each other. A pair applies
 * only if both of its faults show: where one of them alone leads to the same number, the other is harmless.
 */
export function predictPairs(
  reading: Reading,
  alone: readonly Prediction[] = predictAlone(reading),
): Prediction[] {
  const accepted = trulyAccepted(reading);
  const { misreadings } = reading.instrument;
  const byOne = misreadings.map((fault) => alone.filter(({ faults }) => faults[0] === fault));
  return misreadings.flatMap((first, at) =>
    misreadings.slice(at + 1).flatMap((second, later) => {
      if (first.stage === second.stage && first.stage !== 'place') return [];
      const either = [...(byOne[at] ?? []), ...(byOne[at + 1 + later] ?? [])];
      return applying(reading, accepted, [first, second]).filter(
        ({ value }) => !acceptsWritten(reading, either, value),
      );
    }),
  );
}

/** The numbers that a reader with these faults reaches, stage by stage. */
function reached({ instrument, setting }: Reading, faults: readonly Misreading[]): readonly number[] {
  let seen: readonly number[] = [instrument.observed(setting)];
  let corrected = false;
  for (const stage of stages)
    for (const fault of faults) {
      if (fault.stage !== stage) continue;
      seen = seen.flatMap((number) => fault.predict(setting, number));
      corrected ||= stage === 'correction';
    }
  return corrected ? seen : seen.map((number) => instrument.correct(setting, number));
}

function applying(reading: Reading, accepted: Acceptance, faults: readonly Misreading[]): Prediction[] {
  return reached(reading, faults)
    .filter((value) => !acceptsWritten(reading, [{ acceptance: accepted }], value))
    .map((value) => ({ faults, value, acceptance: acceptanceFor(reading, value) }));
}

/** True when a value, as it is or as it would be written down, is accepted by one of several. */
function acceptsWritten(
  reading: Reading,
  by: readonly Pick<Prediction, 'acceptance'>[],
  value: number,
): boolean {
  if (by.some(({ acceptance }) => accepts(acceptance, value))) return true;
  const asWritten = writtenNumber(reading, value);
  return by.some(({ acceptance }) => accepts(acceptance, asWritten));
}

/** A value as a reader of this class would write it, as a number. */
function writtenNumber({ rule: { step, judged } }: Reading, value: number): number {
  return judged === 'line below' ? Math.floor(value / step + slack) * step : toStep(value, step);
}

/** A value as a reader of this class would write it, without its unit. */
export function written({ step, rule }: Reading, value: number): string {
  const steps =
    rule.judged === 'line below'
      ? Math.floor(value / rule.step + slack)
      : Math.sign(value) * Math.floor(Math.abs(value) / rule.step + 0.5 + slack);
  return new Decimal(steps).times(step.size).toFixed(step.decimals);
}

/** True when two faults that are named could not be told apart by the number they lead to. */
export function ambiguous(predictions: readonly Prediction[]): boolean {
  return predictions.some((one, at) =>
    predictions
      .slice(at + 1)
      .some(
        (other) => one.faults[0]?.code !== other.faults[0]?.code && overlap(one.acceptance, other.acceptance),
      ),
  );
}
