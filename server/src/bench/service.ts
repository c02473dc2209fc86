import type {
  AttemptAnswer,
  BenchAnswer,
  NewAttempt,
  NewSetting,
  SchoolsAnswer,
  SettingAnswer,
  WhichAnswer,
  WhichInstrument,
  WordsAnswer,
} from '@green-beam/contract';
import {
  chooseInstrument,
  describeScale,
  instrumentOf,
  makeSetting,
  modelOf,
  NotReady,
  presetComparison,
  parseNumber,
  plainestEnough,
  seeded,
} from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import type { AttemptRow, PracticeSettingRow } from '../database/models';
import { Problem } from '../http/problem';
import { stationOf, type Station } from '../kept/station';
import type { Services } from '../services';
import type { Caller } from '../access/caller';
import {
  answerTo,
  closed,
  handled,
  judge,
  measuredBy,
  rejectRangeErrors,
  partsOf,
  triesAllowed,
} from './judging';
import { benchOf } from './tries';

export { rejectRangeErrors as orNotValid } from './judging';

export async function benchFor({ kept }: Services, who: Caller): Promise<BenchAnswer> {
  return benchOf(await kept.practices.ofOne(who.id));
}

/** Puts a new setting on the bench. A repeated request with the same id gives the same setting. @throws Problem */
export async function layOut(
  services: Services,
  who: Caller,
  { id, kind, mode, model }: NewSetting,
): Promise<SettingAnswer> {
  const { database, kept, seed } = services;
  const instrument = rejectRangeErrors(() => instrumentOf(kind));
  const drawn = seed();
  const chosen = rejectRangeErrors(() =>
    model ? modelOf(instrument, model) : seeded(drawn).pick(instrument.models),
  );
  const conventions = await kept.conventions(who.conventionsId);
  const first =
    instrument.first !== undefined &&
    (await database.models.practiceSettings.count({ where: { personId: who.id, model: chosen.id } })) === 0;
  return layOutSetting(services, who, id, {
    kind: instrument.kind,
    model: chosen.id,
    mode,
    seed: drawn,
    setting: makeSetting(instrument, chosen, conventions, mode, drawn, first),
  });
}

type Laid = Pick<PracticeSettingRow, 'kind' | 'model' | 'mode' | 'seed' | 'setting' | 'showId'>;

/** Keeps a setting for a reader; one that has this id already stays as it is. @throws Problem */
export async function layOutSetting(
  services: Services,
  who: Caller,
  id: string,
  laid: Laid,
): Promise<SettingAnswer> {
  const row = { id, personId: who.id, conventionsId: who.conventionsId, ...laid };
  const added = await services.database.sequelize.query(
    `insert into practice_settings (id, person_id, conventions_id, kind, model, mode, seed, setting, show_id, created_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10) on conflict (id) do nothing returning id`,
    {
      type: QueryTypes.SELECT,
      bind: [
        id,
        row.personId,
        row.conventionsId,
        row.kind,
        row.model,
        row.mode,
        row.seed,
        JSON.stringify(row.setting),
        row.showId ?? null,
        services.now(),
      ],
    },
  );
  if (added.length === 0) return settingAnswer(services, who, await ownStation(services, who, id));
  const station = await stationOf(services.kept, row);
  services.kept.settings.set(id, station);
  return answerWith(who, station, []);
}

/** A setting as it may be shown to the one who reads it. */
export const settingAnswer = async (
  services: Services,
  who: Caller,
  station: Station,
): Promise<SettingAnswer> => answerWith(who, station, await attemptsAt(services, station.row.id));

function answerWith({ spoken }: Caller, station: Station, attempts: readonly AttemptRow[]): SettingAnswer {
  const { row, instrument, setting } = station;
  const answers = attempts.map((attempt) => answerTo(station, attempt, attempts));
  return {
    id: row.id,
    kind: instrument.kind,
    instrumentName: instrument.name,
    question: instrument.ask(setting),
    mode: row.mode,
    modelName: modelOf(instrument, row.model).name,
    unitChoices: instrument.unitChoices,
    picture: instrument.picture(setting),
    parts: partsOf(station).map(({ key, heading, unit }) => ({ key, heading, unit })),
    mayHear: spoken,
    shown: typeof row.showId === 'string',
    attempts: answers,
    triesLeft: answers.at(-1)?.triesLeft ?? triesAllowed,
  };
}

/**
 * Checks one try. What cannot be read as a number, or an apparatus that is not ready, costs no try and is not kept. A
 * repeated request with the same id gets the same answer. @throws Problem
 */
export async function takeAttempt(
  services: Services,
  who: Caller,
  station: Station,
  attempt: NewAttempt,
): Promise<AttemptAnswer> {
  const { models } = services.database;
  const settingId = station.row.id;
  const before = await attemptsAt(services, settingId);
  const repeated = before.find(({ id }) => id === attempt.id);
  if (repeated) return answerTo(station, repeated, before);

  if (closed(before)) throw new Problem('setting-closed');
  const verdict = judge(station, attempt);
  if (verdict.outcome === 'unreadable' || verdict.outcome === 'not ready') {
    const { id, text, unit } = attempt;
    return { id, text, unit, verdict, parts: [], triesLeft: triesAllowed - before.length, solution: null };
  }
  const kept: AttemptRow = {
    id: attempt.id,
    settingId,
    personId: who.id,
    ordinal: before.length + 1,
    text: attempt.text,
    unit: attempt.unit,
    hands: attempt.hands,
    verdict,
    parts: attempt.parts ?? null,
    ...measuredBy(station, attempt),
  };
  if (!(await add(services, kept))) {
    const again = await attemptsAt(services, settingId);
    const twin = again.find(({ id }) => id === attempt.id);
    if (twin) return answerTo(station, twin, again);
    // Another id at this ordinal: two tries crossed. Or the id belongs to another setting.
    if (await models.attempts.findByPk(attempt.id)) throw new Problem('already-used');
    return takeAttempt(services, who, station, attempt);
  }
  for (const { id: classId } of who.classes) {
    services.publish.board(classId, [who.id]);
    if (station.row.showId) services.publish.answers(classId);
  }
  return answerTo(station, kept, [...before, kept]);
}

/** Keeps a try; false where its id or its place is taken. */
async function add({ database, now }: Services, row: AttemptRow): Promise<boolean> {
  const added = await database.sequelize.query(
    `insert into attempts (id, setting_id, person_id, ordinal, text, unit, hands, verdict, parts, value, divisions_off, created_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12) on conflict do nothing returning id`,
    {
      type: QueryTypes.SELECT,
      bind: [
        row.id,
        row.settingId,
        row.personId,
        row.ordinal,
        row.text,
        row.unit,
        row.hands && JSON.stringify(row.hands),
        JSON.stringify(row.verdict),
        row.parts && JSON.stringify(row.parts),
        row.value,
        row.divisionsOff,
        now(),
      ],
    },
  );
  return added.length === 1;
}

/** The scale near the pointer in words, as the hands left it, for whom the teacher allows it. @throws Problem */
export function wordsFor({ spoken }: Caller, station: Station, hands: NewAttempt['hands']): WordsAnswer {
  if (!spoken) throw new Problem('not-allowed');
  try {
    return { words: describeScale(station.instrument, handled(station, { hands }), station.conventions) };
  } catch (error) {
    if (error instanceof NotReady) return { words: [error.message] };
    throw error;
  }
}

/** What each other school would have accepted, once the setting is finished. @throws Problem */
export async function schoolsFor(services: Services, station: Station): Promise<SchoolsAnswer> {
  const attempts = await attemptsAt(services, station.row.id);
  const last = attempts.at(-1);
  if (!last || !closed(attempts)) throw new Problem('setting-open');
  return { schools: presetComparison(station.instrument, handled(station, last)) };
}

/** What each instrument would give for a thing of about a known size. @throws Problem */
export async function whichFor(
  { kept }: Services,
  who: Caller,
  { size, unit, percent }: WhichInstrument,
): Promise<WhichAnswer> {
  const conventions = await kept.conventions(who.conventionsId);
  const number = (text: string): number => {
    const parsed = parseNumber(text);
    if (!parsed.ok) throw new Problem('not-valid', parsed.problem.message);
    return parsed.number.value.toNumber();
  };
  const choices = rejectRangeErrors(() => chooseInstrument(number(size), unit, number(percent), conventions));
  return { choices, plainest: plainestEnough(choices)?.model ?? null };
}

/** A setting that the caller reads. @throws Problem for anybody else's */
export async function ownStation({ database, kept }: Services, who: Caller, id: string): Promise<Station> {
  const known = kept.settings.get(id);
  const row = known?.row ?? (await database.models.practiceSettings.findByPk(id));
  if (!row) throw new Problem('not-found');
  if (row.personId !== who.id) throw new Problem('not-allowed');
  const station = known ?? (await stationOf(kept, row));
  kept.settings.set(id, station);
  return station;
}

const attemptsAt = ({ database }: Services, settingId: string): Promise<AttemptRow[]> =>
  database.models.attempts.findAll({ where: { settingId }, order: [['ordinal', 'asc']], raw: true });
