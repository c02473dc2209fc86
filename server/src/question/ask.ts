import type { NewClassQuestion, NewStationQuestion, StaffQuestionAnswer } from '@green-beam/contract';
import {
  Decimal,
  instrumentOf,
  modelOf,
  parseReading,
  roundToStep,
  sampleQuestion,
  seeded,
  settingAt,
  withOptions,
  type Setting,
} from '@green-beam/core';
import { UniqueConstraintError } from 'sequelize';
import type { Caller } from '../access/caller';
import { Problem, rejectRangeErrors } from '../http/problem';
import type { Services } from '../services';
import { currentQuestion, endOf } from './current';
import { staffQuestionFor } from './service';

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
    if (before) await endOf(services, before.id);
  }
  services.publish.question(classId);
  return staffQuestionFor(services, classId);
}

/** A number that a teacher wants an instrument to indicate. @throws RangeError off its scale. */
function onScale(text: string, { lowest, highest, unit }: ReturnType<typeof modelOf>): number {
  const parsed = parseReading(text);
  if (!parsed.ok) throw new RangeError(parsed.problem.message);
  const { value } = parsed.number;
  if (value.lt(lowest) || value.gt(highest))
    throw new RangeError(`${text.trim()} is off the scale: it goes from ${lowest} to ${highest} ${unit}.`);
  return roundToStep(value, new Decimal('1e-9')).toNumber();
}
