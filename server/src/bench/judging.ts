import type { AttemptAnswer, NewAttempt, Solution } from '@green-beam/contract';
import {
  checkParts,
  checkReading,
  expectReading,
  modelOf,
  NotReady,
  parseNumber,
  partsAsked,
  unitFactor,
  type Instrument,
  type Setting,
  type Verdict,
} from '@green-beam/core';
import type { AttemptRow } from '../database/models';
import { Problem } from '../http/problem';
import type { Station } from '../kept/station';

/** Tries at one setting before the answer is told. */
export const triesAllowed = 3;

/** What is to be said of a try at it. @throws Problem for hands that cannot be. */
export function judge(station: Station, attempt: NewAttempt): Verdict {
  try {
    return checkReading(
      station.instrument,
      handled(station, attempt),
      station.conventions,
      attempt.text,
      attempt.unit,
    );
  } catch (error) {
    if (error instanceof NotReady) return { outcome: 'not ready', message: error.message };
    throw error;
  }
}

/** The apparatus as the hands left it. @throws Problem for hands that cannot be. */
export function handled(
  { instrument, row, setting }: Station,
  { hands }: Pick<NewAttempt, 'hands'>,
): Setting {
  if (row.mode === 'read') return setting;
  return rejectRangeErrors(() => instrument.handle(setting, hands));
}

export const closed = (attempts: readonly AttemptRow[]): boolean =>
  attempts.length >= triesAllowed || attempts.some(({ verdict }) => verdict.outcome === 'right');

/** What is told of one try, given all of them. */
export function answerTo(
  station: Station,
  attempt: AttemptRow,
  attempts: readonly AttemptRow[],
): AttemptAnswer {
  const { id, text, unit, verdict, ordinal, parts } = attempt;
  const ended = closed(attempts.filter((other) => other.ordinal <= ordinal));
  return {
    id,
    text,
    unit,
    verdict,
    parts: parts ? checkParts(partsOf(station), parts) : [],
    triesLeft: ended ? 0 : triesAllowed - ordinal,
    solution: ended ? solution(station, attempt) : null,
  };
}

export const partsOf = ({ instrument, setting, conventions }: Station) =>
  partsAsked(instrument, setting, conventions);

function solution(station: Station, attempt: AttemptRow): Solution {
  const { instrument, conventions } = station;
  const setting = handled(station, attempt);
  const { text, unit, accepted } = expectReading(instrument, setting, conventions);
  return {
    text,
    unit,
    buildUp: instrument.buildUp(setting, text),
    divisionsOff: attempt.divisionsOff,
    acceptedDivisions: (accepted.high - accepted.low) / 2 / divisionOf(instrument, setting),
  };
}

/** The number that was written, in the instrument's own unit, and how far off it is in divisions, signed. */
export function measuredBy(
  station: Station,
  attempt: NewAttempt,
): { value: number | null; divisionsOff: number | null } {
  const parsed = parseNumber(attempt.text);
  if (!parsed.ok) return { value: null, divisionsOff: null };
  const { instrument } = station;
  const setting = handled(station, attempt);
  const own = instrument.scale?.(setting).unit ?? modelOf(instrument, setting.model).unit;
  const factor = unitFactor(parsed.number.unitText || attempt.unit, own) ?? 1;
  const value = parsed.number.value.times(factor).toNumber();
  const off = (value - instrument.indication(setting)) / divisionOf(instrument, setting);
  return { value, divisionsOff: Number(off.toFixed(3)) };
}

const divisionOf = (instrument: Instrument, setting: Setting): number =>
  Number(instrument.scale?.(setting).division ?? modelOf(instrument, setting.model).division);

/** What core refuses with a RangeError is the request's fault. */
export function rejectRangeErrors<T>(act: () => T): T {
  try {
    return act();
  } catch (error) {
    if (error instanceof NotReady) throw error;
    if (error instanceof RangeError) throw new Problem('not-valid', error.message);
    throw error;
  }
}
