import { readStored, storedSetting } from '@green-beam/contract';
import type { Setting } from '@green-beam/core';
import type { ClassQuestionRow } from '../database/models';
import type { Services } from '../services';

/** What a class is shown now; null for nothing. */
export async function currentQuestion(
  { database }: Services,
  classId: string,
): Promise<ClassQuestionRow | null> {
  const row = await database.models.classQuestions.findOne({
    where: { classId },
    order: [['createdAt', 'desc']],
  });
  const ended = row && (await database.models.classQuestionEnds.findByPk(row.id));
  return ended ? null : row;
}

/** Has answers to a question told of from now on; twice is harmless. */
export const revealOf = async ({ database }: Services, questionId: string): Promise<void> =>
  void (await database.models.classQuestionReveals.bulkCreate([{ questionId }], { ignoreDuplicates: true }));

/** However many end it at once, it ends once. Whoever answered is told then. */
export async function endOf(services: Services, questionId: string): Promise<void> {
  await revealOf(services, questionId);
  await services.database.models.classQuestionEnds.bulkCreate([{ questionId }], { ignoreDuplicates: true });
}

export const settingOf = ({ setting }: ClassQuestionRow): Setting =>
  readStored(storedSetting, setting, 'setting');
