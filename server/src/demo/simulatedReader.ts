import {
  Decimal,
  exerciseFormat,
  instrumentOf,
  judgeExercise,
  makeSetting,
  predictAlone,
  readingOf,
  written,
  type Answers,
  type Conventions,
  type Random,
  type Reading,
  type Setting,
  type Verdict,
} from '@green-beam/core';
import type { Reader } from './scenario';

export interface SimulatedTry {
  readonly answer: Answers['setting'];
  readonly verdict: Verdict;
  readonly value: number | null;
  readonly divisionsOff: number | null;
}

export interface SimulatedReading {
  readonly seed: number;
  readonly setting: Setting;
  readonly tried: readonly SimulatedTry[];
}

/** How often a slip that is none of one's own happens all the same. */
const strayFault = 0.35;

/** A made-up student reads one seeded setting: now and then with one of their faults, then once more. */
export function readOnce(who: Reader, conventions: Conventions, random: Random): SimulatedReading {
  const instrument = instrumentOf(random.chance(0.55) ? 'graduated-cylinder' : 'three-beam-balance');
  const model = random.pick(instrument.models);
  const seed = random.whole(1, 2 ** 30);
  const setting = makeSetting(instrument, model, conventions, 'read', seed);
  const reading = readingOf(instrument, setting, conventions);
  const slip = random.chance(who.slips) ? slipOf(who, reading, random) : null;
  const texts = slip === null ? [honest(reading, random)] : [slip, honest(reading, random)];
  return { seed, setting, tried: texts.map((text) => tried(text, reading, conventions)) };
}

/** What is said of what somebody wrote. */
function tried(text: string, { setting, unit }: Reading, conventions: Conventions): SimulatedTry {
  const exercise = { format: exerciseFormat, of: 'setting', mode: 'read', setting } as const;
  const answer = { text, unit, hands: null, parts: null };
  return { answer, ...judgeExercise<'setting'>(exercise, answer, conventions) };
}

/** One setting, read with an honest eye. */
export function honestTry(setting: Setting, conventions: Conventions, random: Random): SimulatedTry {
  const reading = readingOf(instrumentOf(setting.kind), setting, conventions);
  return tried(honest(reading, random), reading, conventions);
}

/** One setting, misread in one way; null where that cannot happen here. */
export function slippedTry(code: string, setting: Setting, conventions: Conventions): SimulatedTry | null {
  const reading = readingOf(instrumentOf(setting.kind), setting, conventions);
  const slip = predictAlone(reading).find(({ faults }) => faults.some((own) => own.code === code));
  return slip ? tried(written(reading, slip.value), reading, conventions) : null;
}

/** What a reader with an honest eye writes: off by a small part of a division. */
function honest(reading: Reading, random: Random): string {
  const truth = reading.instrument.indication(reading.setting);
  const off = random.normal() * 0.05 * reading.rule.d;
  return written(reading, truth + off);
}

/** Null where none of their own faults can happen here, and no other happened either. */
function slipOf({ habits }: Reader, reading: Reading, random: Random): string | null {
  const predictions = predictAlone(reading);
  const habitual = predictions.filter(({ faults }) => faults.some(({ code }) => habits.includes(code)));
  const right = new Decimal(written(reading, reading.instrument.indication(reading.setting)));
  const { decimals } = reading.step;
  if (habitual.length > 0) return written(reading, random.pick(habitual).value);
  if (decimals > 0 && habits.some((habit) => habit.startsWith('dropped')))
    return right.toFixed(decimals - 1, Decimal.ROUND_DOWN);
  if (habits.includes('extra-digit')) return `${right.toFixed(decimals)}${random.whole(1, 9)}`;
  return predictions.length > 0 && random.chance(strayFault)
    ? written(reading, random.pick(predictions).value)
    : null;
}
