import type {
  ClassQuestionAnswer,
  QuestionLine,
  SettingAnswer,
  StaffQuestionAnswer,
} from '@green-beam/contract';
import {
  apparatusOf,
  divisionOf,
  expectReading,
  instrumentOf,
  isStation,
  modelOf,
  presetComparison,
} from '@green-beam/core';
import { putOnBench } from '../bench/service';
import { isHeldBack, reveal } from '../exercises/heldBack';
import type { ClassQuestionRow } from '../database/models';
import { asTry } from '../exercises/tries';
import { Problem } from '../http/problem';
import { ofOnesOwn } from '../kept/laid';
import type { Services } from '../services';
import type { Caller } from '../access/caller';
import { currentQuestion, endOf, settingOf } from './current';

/** Ends what is shown. Ending it twice is harmless. */
export async function endQuestion(services: Services, classId: string): Promise<void> {
  const current = await currentQuestion(services, classId);
  if (current) await endOf(services, current.id);
  services.publish.question(classId);
}

/** Tells the class what was right: from now on every answer is judged in sight. Telling it twice is harmless. */
export async function revealQuestion(services: Services, classId: string): Promise<StaffQuestionAnswer> {
  const current = await currentQuestion(services, classId);
  if (!current) throw new Problem('not-found', 'Nothing is shown to the class.');
  await reveal(services, current.id);
  services.publish.question(classId);
  return staffQuestionFor(services, classId);
}

/** What is shown to a student's class, if anything is. */
export async function questionFor(
  services: Services,
  { classes: [first] }: Caller,
): Promise<ClassQuestionAnswer> {
  const row = first ? await currentQuestion(services, first.id) : null;
  return { question: row && lineOf(row) };
}

/** What a class is shown, with its key and the class's answers: for the staff alone. @throws Problem */
export async function staffQuestionFor(services: Services, classId: string): Promise<StaffQuestionAnswer> {
  const row = await currentQuestion(services, classId);
  if (!row) return { question: null };
  const revealed = !(await isHeldBack(services, { heldBy: row.id }));
  const { body: conventions } = await services.kept.conventionsInForce(classId);
  const stored = settingOf(row);
  const { instrument, setting } = apparatusOf({ setting: stored }, conventions);
  const { text, unit, accepted } = expectReading(instrument, setting, conventions);
  return {
    question: {
      ...lineOf(row),
      question: instrument.ask(setting),
      picture: instrument.picture(setting),
      text,
      unit,
      accepted: [accepted.low, accepted.high],
      division: divisionOf(instrument, setting),
      buildUp: instrument.buildUp(setting, text),
      presets: presetComparison(instrument, stored),
      revealed,
      answers: await answersTo(services, row.id),
    },
  };
}

/** Everybody's first answer to a question, in the order in which they came. */
async function answersTo({ database }: Services, questionId: string) {
  const { models } = database;
  const goes = await models.exercises.findAll({ attributes: ['id'], where: { questionId: questionId } });
  const attempts = await models.tries.findAll({
    where: { exerciseId: goes.map(({ id }) => id), ordinal: 1, late: false },
    order: [['createdAt', 'asc']],
  });
  const people = await models.people.findAll({ where: { id: attempts.map(({ personId }) => personId) } });
  const names = new Map(people.map(({ id, name }) => [id, name]));
  return attempts.map((row) => {
    const { answer, verdict, value } = asTry('setting', row);
    return {
      name: names.get(row.personId) ?? '',
      text: answer.text,
      unit: answer.unit,
      value,
      right: verdict.outcome === 'right',
      causes:
        verdict.outcome === 'wrong'
          ? verdict.explanations.map((faults) => faults.map(({ title }) => title).join(' '))
          : [],
    };
  });
}

/** Gives a student their own go at what their class is shown; asked again, the same one. @throws Problem */
export async function takeQuestion(
  services: Services,
  who: Caller,
  row: ClassQuestionRow,
  id: string,
): Promise<SettingAnswer> {
  const { models } = services.database;
  const known = await models.exercises.findOne({
    attributes: ['id'],
    where: { questionId: row.id, personId: who.id },
  });
  return putOnBench(
    services,
    who,
    known?.id ?? id,
    {
      mode: 'read',
      seed: null,
      setting: settingOf(row),
    },
    { ...ofOnesOwn, questionId: row.id, heldBy: row.id },
  );
}

/** A question belongs to a class; its students and staff may take it. @throws Problem */
export async function ofQuestionsClass(
  { database }: Services,
  { classes }: Caller,
  questionId: string,
): Promise<ClassQuestionRow> {
  const row = await database.models.classQuestions.findByPk(questionId);
  if (!row) throw new Problem('not-found');
  if (!classes.some(({ id }) => id === row.classId)) throw new Problem('not-allowed');
  return row;
}

const lineOf = (row: ClassQuestionRow): QuestionLine => {
  const { id, kind, model } = row;
  const instrument = instrumentOf(kind);
  const setting = settingOf(row);
  return {
    id,
    kind,
    instrumentName: instrument.name,
    modelName: modelOf(instrument, model).name,
    tag: isStation(setting) ? setting.tag : null,
  };
};
