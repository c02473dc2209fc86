import { readStored, storedSetting } from '@green-beam/contract';
import type { Setting } from '@green-beam/core';
import type { ClassQuestionRow } from '../database/models';
import { reveal } from '../exercises/heldBack';
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

/** However many end it at once, it ends once. Whoever answered is told then. */
export async function endOf(services: Services, questionId: string): Promise<void> {
  await reveal(services, questionId);
  await services.database.models.classQuestionEnds.bulkCreate([{ questionId }], { ignoreDuplicates: true });
}

export const settingOf = ({ setting }: ClassQuestionRow): Setting =>
  readStored(storedSetting, setting, 'setting');
