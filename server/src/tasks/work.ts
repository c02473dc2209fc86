import { readStored, storedSetWork, type OwnTask, type TaskLine } from '@green-beam/contract';
import { hasOwnRules, isFor, masteryOf, progressOf, type TaskProgress } from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import type { Practice } from '../kept/practice';
import type { SeatedStudent } from '../kept/studentsIn';
import type { Services } from '../services';

/** So many are shown: the newest. */
const tasksShown = 60;

/** The newest work that is set in a class. */
export async function tasksIn({ database }: Services, classId: string): Promise<TaskLine[]> {
  const rows = await database.sequelize.query<{
    readonly id: string;
    readonly body: unknown;
    readonly withdrawn: boolean;
    readonly inOrder: boolean;
    readonly shown: boolean;
    readonly at: Date;
  }>(
    `select id, body, withdrawn, in_order as "inOrder", created_at as at, exists (select 1 from reveals where of_id = tasks.id) as shown
       from tasks where class_id = $1 order by created_at desc, id limit ${tasksShown}`,
    { type: QueryTypes.SELECT, bind: [classId] },
  );
  return rows.map(({ body, at, ...rest }) => ({
    ...readStored(storedSetWork, body, 'task'),
    ...rest,
    setAt: at.toISOString(),
  }));
}

/**
 * First readings of some people since each task was set, by task, person and kind: one query. Of a task with rules of its own only those
 * that were taken for it.
 */
async function readSince({ database }: Services, tasks: readonly TaskLine[], people: readonly string[]) {
  const counts = new Map<string, number>();
  if (tasks.length === 0 || people.length === 0) return counts;
  const rows = await database.sequelize.query<{ task: string; person: string; kind: string; read: string }>(
    `select s.id as task, t.person_id as person, e.kind, count(*) as read
       from unnest($1::uuid[], $2::timestamptz[], $4::boolean[]) as s(id, since, own)
       join tries t on t.person_id = any($3::uuid[]) and t.ordinal = 1 and not t.late and t.created_at >= s.since
       join exercises e on e.id = t.exercise_id and (not s.own or e.task_id = s.id)
      group by s.id, t.person_id, e.kind`,
    {
      type: QueryTypes.SELECT,
      bind: [
        tasks.map(({ id }) => id),
        tasks.map(({ setAt }) => new Date(setAt)),
        [...people],
        tasks.map(hasOwnRules),
      ],
    },
  );
  for (const { task, person, kind, read } of rows) counts.set(`${task} ${person} ${kind}`, Number(read));
  return counts;
}

interface OwnBook {
  readonly logbookId: string;
  readonly handedIn: boolean;
}

/** The newest logbooks of some people in some families of investigations, by person and family: one query. */
async function booksOf({ database }: Services, tasks: readonly TaskLine[], people: readonly string[]) {
  const books = new Map<string, OwnBook>();
  const families = [...new Set(tasks.flatMap(({ investigations }) => investigations))];
  if (families.length === 0 || people.length === 0) return books;
  const rows = await database.sequelize.query<OwnBook & { person: string; family: string }>(
    `select m.person_id as person, i.family_id as family, l.id as "logbookId",
            exists (select 1 from logbook_entries e where e.logbook_id = l.id and e.kind = 'hand-in') as "handedIn"
       from investigations i join logbooks l on l.investigation_id = i.id join logbook_members m on m.logbook_id = l.id
      where i.family_id = any($1::uuid[]) and m.person_id = any($2::uuid[]) order by l.created_at`,
    { type: QueryTypes.SELECT, bind: [families, [...people]] },
  );
  for (const { person, family, ...book } of rows) books.set(`${person} ${family}`, book);
  return books;
}

/** What somebody took for tasks that hold their answers, in order, by task. */
export async function takenFor({ database }: Services, tasks: readonly TaskLine[], person: string) {
  const held = tasks.filter(({ answers }) => answers === 'held').map(({ id }) => id);
  const taken = new Map<string, OwnTask['taken'][number][]>();
  if (held.length === 0) return taken;
  const rows = await database.sequelize.query<OwnTask['taken'][number] & { readonly task: string }>(
    `select e.id, e.task_id as task, e.kind, e.item->>'of' as of from exercises e
      where e.person_id = $1 and e.task_id = any($2::uuid[]) and exists (select 1 from tries where exercise_id = e.id)
      order by e.created_at, e.id`,
    { type: QueryTypes.SELECT, bind: [person, held] },
  );
  for (const { task, ...own } of rows) taken.set(task, [...(taken.get(task) ?? []), own]);
  return taken;
}

interface Gathered {
  readonly practices: ReadonlyMap<string, Practice>;
  readonly counts: ReadonlyMap<string, number>;
  readonly books: ReadonlyMap<string, OwnBook>;
}

/** What some people did of some tasks. */
export async function gathered(
  services: Services,
  tasks: readonly TaskLine[],
  people: readonly { readonly id: string; readonly record: string | null }[],
): Promise<Gathered> {
  const ids = people.map(({ id }) => id);
  const [practices, counts, books] = await Promise.all([
    services.kept.practices.of(people),
    readSince(services, tasks, ids),
    booksOf(services, tasks, ids),
  ]);
  return { practices, counts, books };
}

export const progressIn = (
  task: TaskLine,
  person: string,
  { practices, counts, books }: Gathered,
  now: Date,
): TaskProgress =>
  progressOf(
    task,
    {
      readOf: (kind) => counts.get(`${task.id} ${person} ${kind}`) ?? 0,
      stateOf: (kind) => {
        const practice = practices.get(person);
        return (
          practice?.marks.get(kind)?.skill.state ?? masteryOf(kind, practice ? practice.tries : []).state
        );
      },
      handedIn: (family) => books.get(`${person} ${family}`)?.handedIn ?? false,
    },
    now,
  );

/** How far everybody is with every task of a class that is not taken back. */
export async function workOf(
  services: Services,
  classId: string,
  people: readonly SeatedStudent[],
): Promise<readonly { readonly task: TaskLine; readonly of: ReadonlyMap<string, TaskProgress> }[]> {
  const tasks = await tasksIn(services, classId);
  const work = await gathered(services, tasks, people);
  return tasks.map((task) => ({
    task,
    of: new Map(
      people
        .filter(({ id, benchId }) => isFor(task, { id, bench: benchId }))
        .map(({ id }) => [id, progressIn(task, id, work, services.now())]),
    ),
  }));
}
