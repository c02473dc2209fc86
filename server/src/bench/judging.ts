import type { AttemptAnswer, NewAttempt, Solution } from '@green-beam/contract';
import {
  asLeft,
  checkParts,
  divisionOf,
  expectReading,
  NotReady,
  partsAsked,
  type Setting,
} from '@green-beam/core';
import { leftAfter, type Tried } from '../exercises/tries';
import { rejectRangeErrors } from '../http/problem';
import type { Station } from '../kept/station';

/** The apparatus as the hands left it, or what has to be done to it first. @throws Problem for hands that cannot be. */
export const handled = (
  { instrument, laid, setting }: Station,
  { hands }: Pick<NewAttempt, 'hands'>,
): Setting | NotReady => rejectRangeErrors(() => asLeft(instrument, laid.exercise, setting, hands));

/** What is told of one try, given all of them. @param held true while nothing is told but that it was read at all. */
export function answerTo(station: Station, tried: Tried<'setting'>, held: boolean): AttemptAnswer {
  const { id, answer, verdict, late } = tried.own;
  const { text, unit, parts } = answer;
  if (held && (verdict.outcome === 'right' || verdict.outcome === 'wrong'))
    return { id, text, unit, verdict: { outcome: 'held' }, parts: [], triesLeft: 0, solution: null };
  const triesLeft = leftAfter(tried, station.laid);
  return {
    id,
    text,
    unit,
    verdict,
    ...(late ? { late } : {}),
    parts: parts ? checkParts(partsOf(station), parts) : [],
    triesLeft,
    solution: triesLeft === 0 ? solution(station, tried.own) : null,
  };
}

export const partsOf = ({ instrument, setting, conventions }: Station) =>
  partsAsked(instrument, setting, conventions);

function solution(station: Station, { answer, divisionsOff }: Tried<'setting'>['own']): Solution | null {
  const { instrument, conventions } = station;
  const setting = handled(station, answer);
  if (setting instanceof NotReady) return null;
  const { text, unit, accepted } = expectReading(instrument, setting, conventions);
  return {
    text,
    unit,
    buildUp: instrument.buildUp(setting, text),
    divisionsOff,
    acceptedDivisions: (accepted.high - accepted.low) / 2 / divisionOf(instrument, setting),
  };
}
