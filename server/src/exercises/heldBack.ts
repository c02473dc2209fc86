import type { Services } from '../services';

/** Whether nothing is told yet of answers to a question; what is none is never held back. */
export const isHeldBack = async ({ database }: Services, questionId: string | null): Promise<boolean> =>
  questionId !== null && (await database.models.classQuestionReveals.findByPk(questionId)) === null;
