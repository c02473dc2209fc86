import { readStored, storedSetWork } from '@green-beam/contract';
import { makesOf } from '@green-beam/core';
import type { Caller } from '../access/caller';
import { ofOnesOwn, type Occasion } from '../kept/laid';
import type { Services } from '../services';

interface Rules {
  readonly occasion: Occasion;
  /** The makes that it is to be of, by their ids; empty for any. */
  readonly makes: readonly string[];
}

const byOneself: Rules = { occasion: ofOnesOwn, makes: [] };

/** By which rules something of a kind is taken for work that is set; by one’s own where that is over, or asks no such thing. */
export async function rulesFor(
  { database }: Services,
  { classes }: Caller,
  kind: string,
  taskId: string | undefined,
): Promise<Rules> {
  const row = taskId === undefined ? null : await database.models.tasks.findByPk(taskId);
  if (!row || row.withdrawn || !classes.some(({ id }) => id === row.classId)) return byOneself;
  const { kinds, makes, tries, answers } = readStored(storedSetWork, row.body, 'task');
  if (!kinds.includes(kind)) return byOneself;
  const own = makesOf([kind]).map(({ id }) => id);
  return {
    occasion: {
      questionId: null,
      taskId: row.id,
      heldBy: answers === 'held' ? row.id : null,
      triesAllowed: tries,
    },
    makes: makes.filter((id) => own.includes(id)),
  };
}
