import type { Laid } from '../kept/laid';
import type { Services } from '../services';

/** Whether nothing is told yet of answers to an exercise: what holds them back was not revealed. */
export const isHeldBack = async (
  { database }: Services,
  { heldBy }: Pick<Laid, 'heldBy'>,
): Promise<boolean> => heldBy !== null && (await database.models.reveals.findByPk(heldBy)) === null;

/** Has answers that a question or a task held back told of from now on; twice is harmless. */
export const reveal = async ({ database }: Services, ofId: string): Promise<void> =>
  void (await database.models.reveals.bulkCreate([{ ofId }], { ignoreDuplicates: true }));
