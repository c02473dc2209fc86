import {
  type InstrumentKind,
  checkReading,
  Decimal,
  instrumentOf,
  makeSetting,
  predictAlone,
  readingOf,
  written,
  type Conventions,
  type Instrument,
  type Random,
  type Reading,
  type Setting,
  type Verdict,
} from '@green-beam/core';
import type { Reader } from './scenario';

export interface SimulatedTry {
  readonly text: string;
  readonly unit: string;
  readonly verdict: Verdict;
  readonly divisionsOff: number;
}

export interface SimulatedReading {
  readonly kind: InstrumentKind;
  readonly model: string;
  readonly seed: number;
  readonly setting: Setting;
  readonly tries: readonly SimulatedTry[];
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
  const attempt = (text: string): SimulatedTry => ({
    text,
    unit: reading.unit,
    verdict: checkReading(instrument, setting, conventions, text, reading.unit),
    divisionsOff: divisionsOff(instrument, setting, text, model.division),
  });
  const tries =
    slip === null ? [attempt(honest(reading, random))] : [attempt(slip), attempt(honest(reading, random))];
  return { kind: instrument.kind, model: model.id, seed, setting, tries };
}

/** What a reader with an honest eye writes: off by a small part of a division. */
function honest(reading: Reading, random: Random): string {
  const truth = reading.instrument.indication(reading.setting);
  const off = random.normal() * 0.05 * reading.judging.d;
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

const divisionsOff = (instrument: Instrument, setting: Setting, text: string, division: string): number =>
  Number(new Decimal(text).minus(instrument.indication(setting)).div(division).toFixed(3));
