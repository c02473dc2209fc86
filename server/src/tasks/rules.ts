import { readStored, storedSetWork } from '@green-beam/contract';
import { nextInOrder } from '../exercises/inOrder';
import { makesOf } from '@green-beam/core';
import type { Caller } from '../access/caller';
import { ofOnesOwn, type Occasion } from '../kept/laid';
import type { Services } from '../services';

interface Rules {
  readonly occasion: Occasion;
  /** The makes that it is to be of, by their ids; empty for any. */
  readonly makes: readonly string[];
  /** One of them that lies open and comes first; null where the next is taken. */
  readonly open: string | null;
}

const byOneself: Rules = { occasion: ofOnesOwn, makes: [], open: null };

/**
 * By which rules something of a kind is taken for work that is set; by one’s own where that is over, or asks no such thing. Where it is
 * taken in order, what lies open comes first. @throws Problem once all of it is taken
 */
export async function rulesFor(
  services: Services,
  who: Caller,
  kind: string,
  taskId: string | undefined,
): Promise<Rules> {
  const row = taskId === undefined ? null : await services.database.models.tasks.findByPk(taskId);
  if (!row || row.withdrawn || !who.classes.some(({ id }) => id === row.classId)) return byOneself;
  const { kinds, makes, tries, answers, settings } = readStored(storedSetWork, row.body, 'task');
  if (!kinds.includes(kind)) return byOneself;
  const own = makesOf([kind]).map(({ id }) => id);
  const occasion: Occasion = {
    questionId: null,
    taskId: row.id,
    heldBy: answers === 'held' ? row.id : null,
    place: null,
    triesAllowed: tries,
  };
  const next = row.inOrder ? await nextInOrder(services, who, kind, occasion, settings) : null;
  return {
    occasion: next && 'place' in next ? { ...occasion, ...next } : occasion,
    makes: makes.filter((id) => own.includes(id)),
    open: next && 'open' in next ? next.open : null,
  };
}
