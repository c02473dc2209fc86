import { QueryTypes } from 'sequelize';
import type { Caller } from '../access/caller';
import { Problem } from '../http/problem';
import type { Occasion } from '../kept/laid';
import type { Services } from '../services';

/** What of a task’s kind somebody is to take now. */
type Next =
  /** One that they took and have not finished: it comes first. */
  { readonly open: string } | { readonly place: number };

/**
 * What of a task is next for somebody: none is passed over, and no more are taken than are asked.
 * @param asked how many; null where it goes on until it is steady. @throws Problem once all are taken
 */
export async function nextInOrder(
  { database }: Services,
  who: Caller,
  kind: string,
  { taskId, heldBy, triesAllowed }: Occasion,
  asked: number | null,
): Promise<Next> {
  const rows = await database.sequelize.query<{ id: string; tries: string; right: boolean }>(
    `select e.id, count(t.id) as tries, coalesce(bool_or(t.verdict->>'outcome' = 'right'), false) as right
       from exercises e left join tries t on t.exercise_id = e.id
      where e.person_id = $1 and e.task_id = $2 and e.kind = $3
      group by e.id order by coalesce(e.place, 0), e.created_at`,
    { type: QueryTypes.SELECT, bind: [who.id, taskId, kind] },
  );
  const most = heldBy === null ? triesAllowed : 1;
  const open = rows.find(({ tries, right }) => Number(tries) < most && !(right && heldBy === null));
  if (open) return { open: open.id };
  if (asked !== null && rows.length >= asked) throw new Problem('task-done');
  return { place: rows.length + 1 };
}
