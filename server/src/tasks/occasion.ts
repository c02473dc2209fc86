import { readStored, storedSetWork } from '@green-beam/contract';
import type { Caller } from '../access/caller';
import { ofOnesOwn, type Occasion } from '../kept/laid';
import type { Services } from '../services';

/** By which rules something of a kind is taken for work that is set; by one’s own where that is over, or asks no such thing. */
export async function occasionOf(
  { database }: Services,
  { classes }: Caller,
  kind: string,
  taskId: string | undefined,
): Promise<Occasion> {
  const row = taskId === undefined ? null : await database.models.tasks.findByPk(taskId);
  if (!row || row.withdrawn || !classes.some(({ id }) => id === row.classId)) return ofOnesOwn;
  const { kinds, tries, answers } = readStored(storedSetWork, row.body, 'task');
  if (!kinds.includes(kind)) return ofOnesOwn;
  return {
    questionId: null,
    taskId: row.id,
    heldBy: answers === 'held' ? row.id : null,
    triesAllowed: tries,
  };
}
