import { judgeWriting, type AnswerRule, type Cause, type IntendedRange } from '../answer';
import { stepFor, type Conventions, type Step } from '../conventions';
import type { NumberProblem } from '../figures';
import { modelOf, type Instrument, type Setting } from '../instruments/instrument';
import { acceptsSome, type Acceptance } from './acceptance';
import { deviationOf, type Deviation } from './deviation';
import { Diagnosis, trulyAccepted, written, type Prediction, type Reading } from './predictions';

/** One way in which the number may have come about: one fault, or two at once. */
export type Explanation = readonly Cause[];

/** What there is to say about a written reading. It never holds the answer. */
export type Verdict =
  | { readonly outcome: 'right'; readonly deviation: Deviation; readonly remarks: readonly string[] }
  | {
      readonly outcome: 'wrong';
      readonly deviation: Deviation;
      /** Every explanation that fits; none when the number fits no known fault. */
      readonly explanations: readonly Explanation[];
      readonly lookFirst: string;
      readonly remarks: readonly string[];
    }
  | { readonly outcome: 'unreadable'; readonly problem: NumberProblem }
  /** The apparatus has to be handled further first. */
  | { readonly outcome: 'not ready'; readonly message: string };

/** A verdict on a reading that was taken: it counts as a try. */
export type Judgement = Extract<Verdict, { outcome: 'right' | 'wrong' }>;

/** What a reading of this setting has to look like: the engine's own answer. */
export interface Expected {
  readonly indication: number;
  readonly step: Step;
  /** The right reading as this class writes it, without unit. */
  readonly text: string;
  readonly unit: string;
  readonly accepted: Acceptance;
}

/** @throws RangeError for a setting of a model that the instrument does not have. */
export function expectReading(
  instrument: Instrument,
  setting: Setting,
  conventions: Conventions,
  tag?: string,
): Expected {
  const reading = readingOf(instrument, setting, conventions, tag);
  const indication = instrument.indication(reading.setting);
  return {
    indication,
    step: reading.step,
    text: written(reading, indication),
    unit: reading.unit,
    accepted: trulyAccepted(reading),
  };
}

/** A setting as a class takes it, with the scale, step and strictness that govern it. */
export function readingOf(
  instrument: Instrument,
  found: Setting,
  conventions: Conventions,
  tag?: string,
): Reading {
  const setting = instrument.withConventions?.(found, conventions) ?? found;
  const { division, reads, unit, fractions } = {
    ...modelOf(instrument, setting.model),
    ...instrument.scale?.(setting),
  };
  const step = stepFor(conventions, { kind: instrument.kind, model: setting.model, division, reads, tag });
  const rule = {
    d: Number(division),
    step: step.size.toNumber(),
    judged: step.judged,
    strictness: conventions.strictness,
    estimates: instrument.estimates?.(setting) ?? 1,
  };
  return { instrument, setting, conventions, unit, step, rule, fractions: fractions === true };
}

/** True where a reader of this class judges by eye between two lines; not where a line, a screw or a display gives the last digit. */
export const isEstimated = ({ rule }: Pick<Reading, 'rule'>): boolean =>
  rule.judged === 'estimate' && rule.step < rule.d * (1 - 1e-9);

/**
 * Checks a reading: text in, verdict out. A correct reading is never called wrong.
 * @param unitText the unit that was chosen beside the number; '' when none was. A unit in the text goes before it.
 */
export const checkReading = (
  instrument: Instrument,
  setting: Setting,
  conventions: Conventions,
  text: string,
  unitText: string,
  tag?: string,
): Verdict => checkAgainst(new Diagnosis(readingOf(instrument, setting, conventions, tag)), text, unitText);

/** So many times what an instrument shows at most is no slip of a unit or a digit: it was not meant as a reading. */
const impossible = 10_000;

/** The same, for a setting of which several answers are checked. */
export function checkAgainst(diagnosis: Diagnosis, text: string, unitText: string): Verdict {
  const { reading, accepted } = diagnosis;
  const { instrument, setting, conventions, rule } = reading;
  const writing = judgeWriting(text, unitText, answerRuleOf(reading, accepted), conventions);
  if (!writing.readable) return { outcome: 'unreadable', problem: writing.problem };
  const { highest, unit: ownUnit } = modelOf(instrument, setting.model);
  if (writing.written.value.abs().gt(impossible * Math.abs(Number(highest))))
    return {
      outcome: 'unreadable',
      problem: {
        code: 'not-understood',
        at: 0,
        message: `${text.trim()} cannot be a reading: this instrument ends at ${highest} ${ownUnit}.`,
      },
    };
  const { written, digits, unit, intended, remarks } = writing;
  const valueIsRight = writing.valueIsRight === true;
  const deviation = deviationOf(written.value.toNumber(), instrument.indication(setting), accepted, rule.d);

  if (valueIsRight && writing.faults.length === 0) return { outcome: 'right', deviation, remarks };
  // With a number off by the factor of another unit, its digits are where that unit has them.
  const inAnotherUnit =
    !valueIsRight && !unit.factor.eq(1) && writing.number.decimals === reading.step.decimals;
  return {
    outcome: 'wrong',
    deviation: valueIsRight ? { direction: 'level', distance: 'level' } : deviation,
    explanations: explain(diagnosis, intended, inAnotherUnit ? [] : digits.faults, valueIsRight, unit.faults),
    lookFirst: instrument.lookFirst(setting),
    remarks,
  };
}

/** What a reading of this setting is judged by. */
export const answerRuleOf = (
  {
    instrument,
    unit,
    step,
    rule,
    fractions,
    reads,
  }: Pick<Reading, 'instrument' | 'unit' | 'step'> &
    Partial<Pick<Reading, 'rule' | 'fractions'>> & { readonly reads?: string },
  accepted: Acceptance | null,
): AnswerRule => ({
  unit,
  headed: false,
  instrument,
  resolution: {
    by: 'step',
    size: step.size,
    estimated: step.judged === 'estimate',
    ...(fractions && rule && accepted
      ? {
          fractions: {
            division: rule.d,
            readings: rule.estimates,
            reach: (accepted.high - accepted.low) / 2,
          },
        }
      : {}),
  },
  accepts: accepted && ((low, high) => acceptsSome(accepted, low, high)),
  reads: reads ?? 'Your class reads this',
});

/** Every way in which the written number can have come about, simplest first. */
function explain(
  diagnosis: Diagnosis,
  intended: IntendedRange,
  digitFaults: readonly Cause[],
  valueIsRight: boolean,
  unitFaults: readonly Cause[],
): Explanation[] {
  if (valueIsRight) {
    if (digitFaults.length === 0) return [unitFaults];
    return digitFaults.map((fault) => [fault, ...unitFaults]);
  }
  const fits = ({ acceptance }: Prediction) => acceptsSome(acceptance, intended.low, intended.high);
  const alone = diagnosis.alone.filter(fits);
  const matching = alone.length > 0 ? alone : diagnosis.pairs.filter(fits);
  // With the value at fault too, one sentence on its digits is enough.
  const inTheWriting = [...digitFaults.slice(0, 1), ...unitFaults];
  const told = matching.map(({ faults }) => [
    ...faults.map(({ code, skill, title, hint, point }) => ({
      code,
      skill,
      title,
      hint: hint(diagnosis.reading.setting),
      ...(point ? { point } : {}),
    })),
    ...(faults.some(({ rescales }) => rescales) ? unitFaults : inTheWriting),
  ]);
  if (told.length === 0 && inTheWriting.length > 0) return [inTheWriting];
  return distinct(told);
}

function distinct(explanations: readonly Explanation[]): Explanation[] {
  const key = (explanation: Explanation) => explanation.map(({ code }) => code).join('+');
  return explanations.filter((one, at) => explanations.findIndex((other) => key(other) === key(one)) === at);
}
