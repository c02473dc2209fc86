import type {
  AttemptAnswer,
  BenchAnswer,
  NewAttempt,
  NewSetting,
  SettingAnswer,
  Solution,
  Who,
} from '@green-beam/contract';
import {
  checkReading,
  Exact,
  expectReading,
  instrumentOf,
  makeSetting,
  modelOf,
  NotReady,
  parseNumber,
  presetNamed,
  seeded,
  type Conventions,
  type Instrument,
  type Setting,
  type Verdict,
} from '@green-beam/core';
import { UniqueConstraintError } from 'sequelize';
import { conventionsFor } from '../classroom/membership';
import type { AttemptRow, PracticeSettingRow } from '../database/models';
import { Problem } from '../http/problem';
import type { Services } from '../services';
import { benchOf, firstTriesOf } from './tries';

/** Tries at one setting before the answer is told. */
export const triesAllowed = 3;

export async function benchFor({ database }: Services, who: Who): Promise<BenchAnswer> {
  return benchOf(await firstTriesOf(database, [who.id]));
}

/** Puts a new setting on the bench. A repeated request with the same id gives the same setting. @throws Problem */
export async function layOut(
  services: Services,
  who: Who,
  { id, kind, mode, model }: NewSetting,
): Promise<SettingAnswer> {
  const { database, seed } = services;
  const known = await database.models.practiceSettings.findByPk(id);
  if (known) return settingFor(services, who, id);
  const instrument = orNotValid(() => instrumentOf(kind));
  const drawn = seed();
  const chosen = orNotValid(() =>
    model ? modelOf(instrument, model) : seeded(drawn).pick(instrument.models),
  );
  const conventions = await conventionsFor(database, who);
  const setting = makeSetting(instrument, chosen, conventions.body, mode, drawn);
  try {
    await database.models.practiceSettings.create({
      id,
      personId: who.id,
      conventionsId: conventions.id,
      kind: instrument.kind,
      model: chosen.id,
      mode,
      seed: drawn,
      setting,
    });
  } catch (error) {
    // Two requests with one id at once: the other one won.
    if (!(error instanceof UniqueConstraintError)) throw error;
  }
  return settingFor(services, who, id);
}

/** A setting as it may be shown to the one who reads it. @throws Problem */
export async function settingFor(services: Services, who: Who, id: string): Promise<SettingAnswer> {
  const row = await ownSetting(services, who, id);
  const { instrument, conventions } = await judging(services, row);
  const attempts = await attemptsAt(services, id);
  const answers = attempts.map((attempt) => answerTo(instrument, row, conventions, attempt, attempts));
  return {
    id,
    kind: instrument.kind,
    instrumentName: instrument.name,
    question: instrument.ask(row.setting),
    mode: row.mode,
    modelName: modelOf(instrument, row.model).name,
    unitChoices: instrument.unitChoices,
    picture: instrument.picture(row.setting),
    attempts: answers,
    triesLeft: answers.at(-1)?.triesLeft ?? triesAllowed,
  };
}

/**
 * Checks one try. What cannot be read as a number, or an apparatus that is not ready, costs no try and is not kept. A repeated request with the same
 * id gets the same answer. @throws Problem
 */
export async function takeAttempt(
  services: Services,
  who: Who,
  settingId: string,
  attempt: NewAttempt,
): Promise<AttemptAnswer> {
  const { database, live } = services;
  const row = await ownSetting(services, who, settingId);
  const { instrument, conventions } = await judging(services, row);
  const before = await attemptsAt(services, settingId);
  const repeated = before.find(({ id }) => id === attempt.id);
  if (repeated) return answerTo(instrument, row, conventions, repeated, before);

  if (closed(before)) throw new Problem('setting-closed');
  const verdict = judge(instrument, row, conventions, attempt);
  if (verdict.outcome === 'unreadable' || verdict.outcome === 'not ready') {
    return {
      id: attempt.id,
      text: attempt.text,
      unit: attempt.unit,
      verdict,
      triesLeft: triesAllowed - before.length,
      solution: null,
    };
  }
  let kept: AttemptRow;
  try {
    kept = await database.models.attempts.create({
      id: attempt.id,
      settingId,
      personId: who.id,
      ordinal: before.length + 1,
      text: attempt.text,
      unit: attempt.unit,
      hands: attempt.hands,
      verdict,
      divisionsOff: divisionsOff(instrument, handled(instrument, row, attempt), attempt.text),
    });
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    const again = await attemptsAt(services, settingId);
    const twin = again.find(({ id }) => id === attempt.id);
    if (twin) return answerTo(instrument, row, conventions, twin, again);
    // Another id at this ordinal: two tries crossed. Or the id belongs to another setting.
    if (await database.models.attempts.findByPk(attempt.id)) throw new Problem('already-used');
    return takeAttempt(services, who, settingId, attempt);
  }
  for (const { id: classId } of who.classes) live.tell({ changed: 'board', classId, readers: [] });
  return answerTo(instrument, row, conventions, kept, [...before, kept]);
}

async function ownSetting({ database }: Services, who: Who, id: string): Promise<PracticeSettingRow> {
  const row = await database.models.practiceSettings.findByPk(id);
  if (!row) throw new Problem('not-found');
  if (row.personId !== who.id) throw new Problem('not-allowed');
  return row;
}

const attemptsAt = ({ database }: Services, settingId: string): Promise<AttemptRow[]> =>
  database.models.attempts.findAll({ where: { settingId }, order: [['ordinal', 'asc']] });

/** The instrument, and the version of the conventions that the setting was given under. */
async function judging(
  { database }: Services,
  row: PracticeSettingRow,
): Promise<{ instrument: Instrument; conventions: Conventions }> {
  const kept =
    row.conventionsId === null ? null : await database.models.classConventions.findByPk(row.conventionsId);
  return { instrument: instrumentOf(row.kind), conventions: kept?.body ?? presetNamed('Chemistry bench') };
}

function judge(
  instrument: Instrument,
  row: PracticeSettingRow,
  conventions: Conventions,
  attempt: NewAttempt,
): Verdict {
  try {
    return checkReading(
      instrument,
      handled(instrument, row, attempt),
      conventions,
      attempt.text,
      attempt.unit,
    );
  } catch (error) {
    if (error instanceof NotReady) return { outcome: 'not ready', message: error.message };
    throw error;
  }
}

function handled(
  instrument: Instrument,
  row: PracticeSettingRow,
  { hands }: Pick<NewAttempt, 'hands'>,
): Setting {
  if (row.mode === 'read') return row.setting;
  return orNotValid(() => instrument.handle(row.setting, hands));
}

const closed = (attempts: readonly AttemptRow[]): boolean =>
  attempts.length >= triesAllowed || attempts.some(({ verdict }) => verdict.outcome === 'right');

function answerTo(
  instrument: Instrument,
  row: PracticeSettingRow,
  conventions: Conventions,
  attempt: AttemptRow,
  attempts: readonly AttemptRow[],
): AttemptAnswer {
  const { id, text, unit, verdict, ordinal } = attempt;
  const soFar = attempts.filter((other) => other.ordinal <= ordinal);
  const ended = closed(soFar);
  return {
    id,
    text,
    unit,
    verdict,
    triesLeft: ended ? 0 : triesAllowed - ordinal,
    solution: ended ? solution(instrument, row, conventions, attempt) : null,
  };
}

function solution(
  instrument: Instrument,
  row: PracticeSettingRow,
  conventions: Conventions,
  attempt: AttemptRow,
): Solution {
  const setting = handled(instrument, row, attempt);
  const expected = expectReading(instrument, setting, conventions);
  return {
    text: expected.text,
    unit: expected.unit,
    buildUp: instrument.buildUp(setting, expected.text),
    divisionsOff: attempt.divisionsOff,
    acceptedDivisions: (expected.accepted.high - expected.accepted.low) / 2 / divisionOf(instrument, setting),
  };
}

/** Signed error in divisions: kept for the reader's mark, never told before the end. */
function divisionsOff(instrument: Instrument, setting: Setting, text: string): number | null {
  const parsed = parseNumber(text);
  if (!parsed.ok) return null;
  const off = parsed.number.value.minus(new Exact(instrument.indication(setting))).toNumber();
  return Number((off / divisionOf(instrument, setting)).toFixed(3));
}

const divisionOf = (instrument: Instrument, setting: Setting): number =>
  Number(instrument.scale?.(setting).division ?? modelOf(instrument, setting.model).division);

/** What core refuses with a RangeError is the request's fault. */
function orNotValid<T>(act: () => T): T {
  try {
    return act();
  } catch (error) {
    if (error instanceof NotReady) throw error;
    if (error instanceof RangeError) throw new Problem('not-valid', error.message);
    throw error;
  }
}
