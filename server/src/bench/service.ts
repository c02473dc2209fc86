import type {
  AttemptAnswer,
  BenchAnswer,
  NewAttempt,
  NewSetting,
  PresetsAnswer,
  SettingAnswer,
  WhichAnswer,
  WhichInstrument,
  WordsAnswer,
} from '@green-beam/contract';
import {
  chooseInstrument,
  describeScale,
  exerciseFormat,
  instrumentOf,
  isEstimated,
  isStationPicture,
  judgeExercise,
  makeSetting,
  modelOf,
  NotReady,
  presetComparison,
  parseNumber,
  plainestEnough,
  readingOf,
  seeded,
  seedFrom,
  settingAt,
  type ExerciseNamed,
} from '@green-beam/core';
import type { Caller } from '../access/caller';
import { layOut, ownExercise, standingAt } from '../exercises/exercises';
import { isHeldBack } from '../exercises/heldBack';
import { closed, leftOf, takeTry, triesAt, type Try } from '../exercises/tries';
import { paces } from '../http/pace';
import { Problem, rejectRangeErrors } from '../http/problem';
import type { Occasion } from '../kept/laid';
import { aimFor } from '../kept/practice';
import { stationOf, type Station } from '../kept/station';
import type { Services } from '../services';
import { rulesFor } from '../tasks/rules';
import { answerTo, handled, partsOf } from './judging';
import { benchOf } from './shelf';

export async function benchFor({ kept }: Services, who: Caller): Promise<BenchAnswer> {
  return benchOf(await kept.practices.ofOne(who.id));
}

/**
 * Puts a new setting on the bench; where its reader misread when the class was asked, one at which that shows.
 * A repeated request with the same id gives the same setting. @throws Problem
 */
export async function newSetting(
  services: Services,
  who: Caller,
  { id, kind, mode: wantedMode, model, task }: NewSetting,
): Promise<SettingAnswer> {
  const { database, kept, now, seed } = services;
  services.paces.count('exercise', who.id, now().getTime(), paces.exercises);
  const instrument = rejectRangeErrors(() => instrumentOf(kind));
  const drawn = seed();
  const { occasion, makes, open } = await rulesFor(services, who, instrument.kind, task);
  if (open !== null) return settingAnswer(services, who, await ownStation(services, who, open));
  // What counts is read as it stands: nothing that a page says of its hands is taken for it.
  const mode = occasion.place === null ? wantedMode : 'read';
  const among =
    makes.length > 0 ? instrument.models.filter(({ id: own }) => makes.includes(own)) : instrument.models;
  const chosen = rejectRangeErrors(() => (model ? modelOf(instrument, model) : seeded(drawn).pick(among)));
  const conventions = await kept.conventions(who.conventionsId);
  const anyMake = !model && makes.length === 0;
  const aim =
    mode === 'read' && anyMake ? aimFor(await kept.practices.ofOne(who.id), instrument.kind, now()) : null;
  if (aim !== null) {
    const { setting, shows } = settingAt(instrument, aim, conventions, drawn);
    return putOnBench(services, who, id, { mode, setting, seed: drawn, ...(shows ? { aim } : {}) }, occasion);
  }
  const first =
    instrument.first !== undefined &&
    (await database.models.exercises.count({
      where: { personId: who.id, kind: instrument.kind, item: { setting: { model: chosen.id } } },
    })) === 0;
  const setting = makeSetting(instrument, chosen, conventions, mode, drawn, first);
  return putOnBench(services, who, id, { mode, setting, seed: drawn }, occasion);
}

/** Keeps a setting for a reader; one that has this id already stays as it is. @throws Problem */
export async function putOnBench(
  services: Services,
  who: Caller,
  id: string,
  {
    seed,
    ...what
  }: Pick<ExerciseNamed<'setting'>, 'mode' | 'setting' | 'aim'> & { readonly seed: number | null },
  occasion: Occasion,
): Promise<SettingAnswer> {
  const exercise = { format: exerciseFormat, of: 'setting', ...what } as const;
  const laid = { ...occasion, id, personId: who.id, conventionsId: who.conventionsId, seed, exercise };
  if (!(await layOut(services, laid)))
    return settingAnswer(services, who, await ownStation(services, who, await standingAt(services, laid)));
  const station = await stationOf(services.kept, laid);
  services.kept.settings.set(id, station);
  return answerWith(services, who, station, [], await isHeldBack(services, laid));
}

/** A setting as it may be shown to the one who reads it. */
export const settingAnswer = async (
  services: Services,
  who: Caller,
  station: Station,
): Promise<SettingAnswer> =>
  answerWith(
    services,
    who,
    station,
    await triesAt(services, 'setting', station.laid.id),
    await isHeldBack(services, station.laid),
  );

/** True while marks hang on it: then its picture is lines and areas, and states nothing. */
const isSealed = ({ laid }: Station, tries: readonly Try<'setting'>[], held: boolean): boolean =>
  held || (laid.place !== null && !closed(tries, laid));

/** The picture of a setting, as its reader may have it. */
async function pictureFor(
  { kept, workers }: Services,
  { laid, instrument, setting }: Station,
  sealed: boolean,
): Promise<SettingAnswer['picture']> {
  const picture = instrument.picture(setting);
  if (!sealed || isStationPicture(picture)) return picture;
  const before = kept.drawn.get(laid.id);
  if (before) return before;
  // Asked for by several requests at once, it is drawn once.
  const drawn = workers.run(
    'draw',
    { kind: instrument.kind, picture, label: instrument.name, seed: seedFrom(laid.id) },
    laid.id,
  );
  kept.drawn.set(laid.id, drawn);
  drawn.catch(() => kept.drawn.delete(laid.id));
  return drawn;
}

async function answerWith(
  services: Services,
  { spoken }: Caller,
  station: Station,
  tries: readonly Try<'setting'>[],
  held: boolean,
): Promise<SettingAnswer> {
  const { laid, instrument, setting } = station;
  return {
    id: laid.id,
    kind: instrument.kind,
    instrumentName: instrument.name,
    question: instrument.ask(setting),
    mode: laid.exercise.mode,
    modelName: modelOf(instrument, setting.model).name,
    unitChoices: instrument.unitChoices,
    picture: await pictureFor(services, station, isSealed(station, tries, held)),
    parts: partsOf(station).map(({ key, heading, unit }) => ({ key, heading, unit })),
    estimated: isEstimated(readingOf(instrument, setting, station.conventions)),
    mayHear: spoken,
    shown: laid.questionId !== null,
    task: laid.taskId,
    held,
    attempts: tries.map((own) => answerTo(station, { own, all: tries }, held)),
    triesLeft: held && tries.length > 0 ? 0 : leftOf(tries, laid),
  };
}

/** Checks one try. @throws Problem */
export async function takeAttempt(
  services: Services,
  who: Caller,
  station: Station,
  { id, ...answer }: NewAttempt,
): Promise<AttemptAnswer> {
  const { laid, conventions } = station;
  const held = await isHeldBack(services, laid);
  const tried = await takeTry(
    services,
    who,
    laid,
    { id, answer: { ...answer, parts: answer.parts ?? null } },
    () => rejectRangeErrors(() => judgeExercise(laid.exercise, answer, conventions)),
    held,
  );
  if (laid.questionId !== null) for (const { id: classId } of who.classes) services.publish.answers(classId);
  return answerTo(station, tried, held);
}

/** The scale near the pointer in words, as the hands left it, for whom the teacher allows it. @throws Problem */
export function wordsFor({ spoken }: Caller, station: Station, hands: NewAttempt['hands']): WordsAnswer {
  if (!spoken) throw new Problem('not-allowed');
  const left = handled(station, { hands });
  if (left instanceof NotReady) return { words: [left.message] };
  return { words: describeScale(station.instrument, left, station.conventions) };
}

/** What each other school would have accepted, once the setting is finished. @throws Problem */
export async function presetsFor(services: Services, station: Station): Promise<PresetsAnswer> {
  const tries = await triesAt(services, 'setting', station.laid.id);
  const last = tries.at(-1);
  if (!last || !closed(tries, station.laid) || (await isHeldBack(services, station.laid)))
    throw new Problem('setting-open');
  const left = handled(station, last.answer);
  if (left instanceof NotReady) throw new Problem('setting-open');
  return { presets: presetComparison(station.instrument, left) };
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
export async function ownStation(services: Services, who: Caller, id: string): Promise<Station> {
  const known = services.kept.settings.get(id);
  if (known && known.laid.personId !== who.id) throw new Problem('not-allowed');
  const station = known ?? (await stationOf(services.kept, await ownExercise(services, who, 'setting', id)));
  services.kept.settings.set(id, station);
  return station;
}
