import {
  exerciseFormat,
  instrumentOf,
  seeded,
  seedFrom,
  settingAt,
  type Conventions,
  type Setting,
} from '@green-beam/core';
import type { ExerciseRow, Models, TryRow } from '../database/models';
import { classId, conventionsId, idFor, lessonTime, studentId, type Within } from './ids';
import { readers, type Reader } from './scenario';
import { honestTry, slippedTry, type SimulatedTry } from './simulatedReader';

/** What the class misread most, asked of all of them at the end of a lesson. */
const [kind, code] = ['graduated-cylinder', 'top-of-meniscus'] as const;
const [askedDaysAgo, askedAt, toldAt] = [3, 44 * 60, 49 * 60] as const;
/** In the next lesson those who misread read it rightly, most of them. */
const [againDaysAgo, againAt, stillSlips] = [1, 30 * 60, 0.2] as const;

interface Read {
  readonly reader: Reader;
  readonly what: string;
  readonly setting: Setting;
  readonly tried: SimulatedTry;
  readonly at: Date;
  readonly rest: { readonly questionId?: string; readonly heldBy?: string; readonly aim?: string };
}

/** A question that the class was asked some days ago, and what those who misread it read since. */
export async function makeAsked(
  models: Models,
  conventions: Conventions,
  now: Date,
  within: Within,
): Promise<void> {
  const questionId = idFor('question');
  const instrument = instrumentOf(kind);
  const { model, setting } = settingAt(instrument, code, conventions, seedFrom('question'));
  const told = { createdAt: lessonTime(now, askedDaysAgo, toldAt) };
  await models.classQuestions.create(
    {
      ...{ id: questionId, classId, personId: idFor('teacher'), kind, model: model.id, setting },
      createdAt: lessonTime(now, askedDaysAgo, askedAt),
    },
    within,
  );
  await models.reveals.create({ ofId: questionId, ...told }, within);
  await models.classQuestionEnds.create({ questionId, ...told }, within);

  const reads = readers.flatMap((reader, nth): Read[] => {
    const random = seeded(seedFrom(`asked ${reader.name}`));
    if (random.chance(0.08)) return [];
    const misreads = reader.habits.includes(code);
    const read = (at: Setting, slips: boolean): SimulatedTry =>
      (slips ? slippedTry(code, at, conventions) : null) ?? honestTry(at, conventions, random);
    const first: Read = {
      ...{ reader, what: 'asked', setting, tried: read(setting, misreads) },
      at: lessonTime(now, askedDaysAgo, askedAt + 40 + 4 * nth),
      rest: { questionId, heldBy: questionId },
    };
    if (!misreads || random.chance(0.15)) return [first];
    const aimed = settingAt(instrument, code, conventions, random.whole(1, 2 ** 30)).setting;
    const again: Read = {
      ...{ reader, what: 'aimed', setting: aimed, tried: read(aimed, random.chance(stillSlips)) },
      at: lessonTime(now, againDaysAgo, againAt + 7 * nth),
      rest: { aim: code },
    };
    return [first, again];
  });
  const exercises = reads.map(({ reader, what, setting: own, at, rest: { aim, ...rest } }): ExerciseRow => ({
    ...{ id: idFor(`${what} ${reader.name}`), personId: studentId(reader), conventionsId, kind, seed: null },
    item: { format: exerciseFormat, of: 'setting', mode: 'read', setting: own, ...(aim ? { aim } : {}) },
    createdAt: at,
    ...rest,
  }));
  const tries = reads.map(({ reader, what, tried, at }): TryRow => ({
    ...{ id: idFor(`${what} answer ${reader.name}`), exerciseId: idFor(`${what} ${reader.name}`) },
    ...{ personId: studentId(reader), ordinal: 1, createdAt: at, ...tried },
  }));
  await models.exercises.bulkCreate(exercises, within);
  await models.tries.bulkCreate(tries, within);
}
