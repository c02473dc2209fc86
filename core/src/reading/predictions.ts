import { stages, type Instrument, type Misreading, type Setting } from '../instruments/instrument';
import { slack } from '../instruments/scale';
import type { Step } from '../conventions';
import { acceptanceAt, accepts, overlap, type Acceptance } from './acceptance';
import { Exact, roundToStep } from '../figures';

/** One wrong number that one fault, or two together, would lead to. */
export interface Prediction {
  readonly faults: readonly Misreading[];
  readonly value: number;
  /** Answers that match it. */
  readonly acceptance: Acceptance;
}

export interface Reading {
  readonly instrument: Instrument;
  readonly setting: Setting;
  readonly division: string;
  readonly unit: string;
  readonly step: Step;
  readonly strictness: number;
}

export const acceptanceFor = ({ division, step, strictness }: Reading, value: number): Acceptance =>
  acceptanceAt(value, division, step, strictness);

/**
 * What each misreading alone would write. A misreading applies only if its number, rounded as the class rounds,
 * lies outside the acceptance of the true one: a harmless habit is no fault.
 */
export const predictAlone = (reading: Reading): Prediction[] =>
  reading.instrument.misreadings.flatMap((fault) => applying(reading, [fault]));

/** What each pair of misreadings would write; two ways of counting, or of correcting, exclude each other. */
export function predictPairs(reading: Reading): Prediction[] {
  const { misreadings } = reading.instrument;
  return misreadings.flatMap((first, at) =>
    misreadings.slice(at + 1).flatMap((second) => {
      if (first.stage === second.stage && first.stage !== 'place') return [];
      return applying(reading, [first, second]);
    }),
  );
}

/** The numbers that a reader with these faults reaches, stage by stage. */
function reached({ instrument, setting }: Reading, faults: readonly Misreading[]): readonly number[] {
  return stages.reduce<readonly number[]>(
    (seen, stage) => {
      const own = faults.filter((fault) => fault.stage === stage);
      if (own.length > 0)
        return own.reduce(
          (numbers, fault) => numbers.flatMap((number) => fault.predict(setting, number)),
          seen,
        );
      return stage === 'correction' ? seen.map((number) => instrument.correct(setting, number)) : seen;
    },
    [instrument.observed(setting)],
  );
}

function applying(reading: Reading, faults: readonly Misreading[]): Prediction[] {
  const truth = acceptanceFor(reading, reading.instrument.indication(reading.setting));
  return reached(reading, faults)
    .filter((value) => !accepts(truth, new Exact(value)) && !accepts(truth, written(reading, value)))
    .map((value) => ({ faults, value, acceptance: acceptanceFor(reading, value) }));
}

/** A value as a reader of this class would write it. */
export function written({ step }: Reading, value: number): Exact {
  const exact = new Exact(value);
  if (step.judged !== 'line below') return roundToStep(exact, step.size);
  return exact.div(step.size).plus(slack).floor().times(step.size);
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
