import {
  readStored,
  storedSetting,
  type NewClassQuestion,
  type NewStationQuestion,
  type SettingAnswer,
  type ClassQuestionAnswer,
  type QuestionLine,
  type StaffQuestionAnswer,
} from '@green-beam/contract';
import {
  apparatusOf,
  Decimal,
  divisionOf,
  expectReading,
  instrumentOf,
  isStation,
  modelOf,
  presetComparison,
  parseReading,
  roundToStep,
  sampleQuestion,
  seeded,
  settingAt,
  withOptions,
  type Setting,
} from '@green-beam/core';
import { UniqueConstraintError } from 'sequelize';
import { isHeldBack, putOnBench } from '../bench/service';
import type { ClassQuestionRow } from '../database/models';
import { asTry } from '../exercises/tries';
import { Problem, rejectRangeErrors } from '../http/problem';
import type { Services } from '../services';
import type { Caller } from '../access/caller';

/** Shows a drawn setting to a class, in place of what was shown before. @throws Problem */
export function askDrawn(
  services: Services,
  who: Caller,
  classId: string,
  wanted: NewClassQuestion,
): Promise<StaffQuestionAnswer> {
  const instrument = rejectRangeErrors(() => instrumentOf(wanted.kind));
  const [aim, make] = [wanted.aim ?? null, wanted.model ?? null];
  if (aim !== null)
    return ask(services, who, classId, wanted.id, async () => {
      const { body } = await services.kept.conventionsInForce(classId);
      return settingAt(instrument, aim, body, services.seed()).setting;
    });
  const model = rejectRangeErrors(() =>
    make === null ? seeded(services.seed()).pick(instrument.models) : modelOf(instrument, make),
  );
  const text = wanted.indicates ?? null;
  const indicates = text === null ? undefined : rejectRangeErrors(() => onScale(text, model));
  return ask(services, who, classId, wanted.id, async () => {
    const { body } = await services.kept.conventionsInForce(classId);
    const drawn = sampleQuestion(instrument, model, body, services.seed(), indicates);
    return rejectRangeErrors(() => withOptions(instrument, drawn, wanted.options));
  });
}

/** Has a class read a real set-up in the room. @throws Problem */
export function askStation(
  services: Services,
  who: Caller,
  classId: string,
  { id, kind, model, tag, reading, tolerance }: NewStationQuestion,
): Promise<StaffQuestionAnswer> {
  const instrument = rejectRangeErrors(() => instrumentOf(kind));
  const make = rejectRangeErrors(() => modelOf(instrument, model));
  const number = (text: string, name: string): string => {
    const parsed = parseReading(text);
    if (!parsed.ok) throw new Problem('not-valid', `The ${name} cannot be read: ${parsed.problem.message}`);
    return parsed.number.value.toString();
  };
  const off = number(tolerance, 'tolerance');
  if (new Decimal(off).isNegative())
    throw new Problem('not-valid', 'The tolerance is written without a sign.');
  const setting = {
    kind: instrument.kind,
    model: make.id,
    tag,
    reading: number(reading, 'reading'),
    tolerance: off,
  };
  return ask(services, who, classId, id, () => Promise.resolve(setting));
}

async function ask(
  services: Services,
  who: Caller,
  classId: string,
  id: string,
  make: () => Promise<Setting>,
): Promise<StaffQuestionAnswer> {
  const { models } = services.database;
  const known = await models.classQuestions.findByPk(id);
  if (known && known.classId !== classId) throw new Problem('already-used');
  if (!known) {
    const setting = await make();
    const before = await currentQuestion(services, classId);
    try {
      await models.classQuestions.create({
        id,
        classId,
        personId: who.id,
        kind: setting.kind,
        model: setting.model,
        setting,
      });
    } catch (error) {
      if (!(error instanceof UniqueConstraintError)) throw error;
    }
    if (before) await end(services, before.id);
  }
  services.publish.question(classId);
  return staffQuestionFor(services, classId);
}

/** Ends what is shown. Ending it twice is harmless. */
export async function endQuestion(services: Services, classId: string): Promise<void> {
  const current = await currentQuestion(services, classId);
  if (current) await end(services, current.id);
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

const reveal = async ({ database }: Services, questionId: string): Promise<void> =>
  void (await database.models.classQuestionReveals.bulkCreate([{ questionId }], { ignoreDuplicates: true }));

/** However many end it at once, it ends once. Whoever answered is told then. */
async function end(services: Services, questionId: string): Promise<void> {
  await reveal(services, questionId);
  await services.database.models.classQuestionEnds.bulkCreate([{ questionId }], { ignoreDuplicates: true });
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
  const revealed = !(await isHeldBack(services, row.id));
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
    where: { exerciseId: goes.map(({ id }) => id), ordinal: 1 },
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
  return putOnBench(services, who, known?.id ?? id, {
    mode: 'read',
    seed: null,
    setting: settingOf(row),
    questionId: row.id,
  });
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

async function currentQuestion({ database }: Services, classId: string): Promise<ClassQuestionRow | null> {
  const row = await database.models.classQuestions.findOne({
    where: { classId },
    order: [['createdAt', 'desc']],
  });
  const ended = row && (await database.models.classQuestionEnds.findByPk(row.id));
  return ended ? null : row;
}

const settingOf = ({ setting }: ClassQuestionRow): Setting => readStored(storedSetting, setting, 'setting');

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

/** A number that a teacher wants an instrument to indicate. @throws RangeError off its scale. */
function onScale(text: string, { lowest, highest, unit }: ReturnType<typeof modelOf>): number {
  const parsed = parseReading(text);
  if (!parsed.ok) throw new RangeError(parsed.problem.message);
  const { value } = parsed.number;
  if (value.lt(lowest) || value.gt(highest))
    throw new RangeError(`${text.trim()} is off the scale: it goes from ${lowest} to ${highest} ${unit}.`);
  return roundToStep(value, new Decimal('1e-9')).toNumber();
}
