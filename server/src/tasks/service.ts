import {
  readStored,
  storedSetWork,
  type NewTask,
  type OwnTasksAnswer,
  type TaskChange,
  type TaskLine,
  type TasksAnswer,
} from '@green-beam/contract';
import { hasBegun, isFor, masteryOf, progressOf, type TaskProgress } from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import type { Caller } from '../access/caller';
import { classFor } from '../access/membership';
import type { TaskRow } from '../database/models';
import { Problem } from '../http/problem';
import { recordOf, type Practice } from '../kept/practices';
import { familiesIn } from '../kept/families';
import { joinSeat, studentsIn, type SeatedStudent } from '../kept/studentsIn';
import type { Services } from '../services';

const mostTasks = 400;
/** So many are shown: the newest. */
const tasksShown = 60;

const lineOf = ({ id, body, withdrawn, createdAt }: TaskRow): TaskLine => ({
  ...readStored(storedSetWork, body, 'task'),
  id,
  withdrawn,
  setAt: (createdAt ?? new Date(0)).toISOString(),
});

const tasksIn = async ({ database }: Services, classId: string): Promise<TaskLine[]> =>
  (
    await database.models.tasks.findAll({
      where: { classId },
      order: [
        ['createdAt', 'desc'],
        ['id', 'asc'],
      ],
      limit: tasksShown,
    })
  ).map(lineOf);

/** First readings of some people since each task was set, by task, person and kind: one query. */
async function readSince({ database }: Services, tasks: readonly TaskLine[], people: readonly string[]) {
  const counts = new Map<string, number>();
  if (tasks.length === 0 || people.length === 0) return counts;
  const rows = await database.sequelize.query<{ task: string; person: string; kind: string; read: string }>(
    `select s.id as task, t.person_id as person, e.kind, count(*) as read
       from unnest($1::uuid[], $2::timestamptz[]) as s(id, since)
       join tries t on t.person_id = any($3::uuid[]) and t.ordinal = 1 and t.created_at >= s.since
       join exercises e on e.id = t.exercise_id
      group by s.id, t.person_id, e.kind`,
    {
      type: QueryTypes.SELECT,
      bind: [tasks.map(({ id }) => id), tasks.map(({ setAt }) => new Date(setAt)), [...people]],
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

interface Gathered {
  readonly practices: ReadonlyMap<string, Practice>;
  readonly counts: ReadonlyMap<string, number>;
  readonly books: ReadonlyMap<string, OwnBook>;
}

/** What some people did of some tasks. */
async function gathered(
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

const progressIn = (
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

/** What is set for a student, by where they sit now. */
export async function ownTasks(services: Services, { id, classes: [own] }: Caller): Promise<OwnTasksAnswer> {
  if (!own) return { tasks: [] };
  const { sequelize } = services.database;
  const now = services.now();
  const [all, [seat]] = await Promise.all([
    tasksIn(services, own.id),
    sequelize.query<{ bench: string | null; record: string | null }>(
      `select seat.id as bench, ${recordOf('p.id')} as record from people p ${joinSeat('p.id', '$2')} where p.id = $1`,
      { type: QueryTypes.SELECT, bind: [id, own.id] },
    ),
  ]);
  const tasks = all.filter(
    (task) => !task.withdrawn && hasBegun(task, now) && isFor(task, { id, bench: seat?.bench ?? null }),
  );
  if (tasks.length === 0) return { tasks: [] };
  const [work, families] = await Promise.all([
    gathered(services, tasks, [{ id, record: seat?.record ?? null }]),
    familiesIn(sequelize, own.id),
  ]);
  return {
    tasks: tasks.map((task) => {
      const { kinds, books, ...progress } = progressIn(task, id, work, now);
      return {
        ...task,
        ...progress,
        progress: kinds,
        books: books.map(({ family, done }) => ({
          family,
          done,
          title: families.find((one) => one.id === family)?.title ?? 'an investigation',
          logbookId: work.books.get(`${id} ${family}`)?.logbookId ?? null,
        })),
      };
    }),
  };
}

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

/** What is set in a class, and who has done it. */
export async function tasksOf(services: Services, who: Caller, classId: string): Promise<TasksAnswer> {
  const { models, sequelize } = services.database;
  const [benches, people, families] = await Promise.all([
    models.benchGroups.findAll({ where: { classId } }),
    studentsIn(sequelize, classId),
    familiesIn(sequelize, classId),
  ]);
  const work = await workOf(services, classId, people);
  return {
    class: classFor(who, classId),
    tasks: work.map(({ task, of }) => {
      const names = (done: boolean) =>
        people.flatMap(({ id, name }) => (of.get(id)?.done === done ? [name] : []));
      return { ...task, done: names(true), open: names(false) };
    }),
    benches: benches
      .map(({ id, name }) => ({ id, name }))
      .sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true })),
    students: people.map(({ id, name }) => ({ id, name })),
    investigations: families.map(({ id, title }) => ({ id, title })),
  };
}

/** Sets work; told twice, it is set once. @throws Problem */
export async function setTask(
  services: Services,
  who: Caller,
  classId: string,
  { id, ...body }: NewTask,
): Promise<TasksAnswer> {
  const { models } = services.database;
  const known = await models.tasks.findByPk(id);
  if (known && known.classId !== classId) throw new Problem('already-used');
  if ((await models.tasks.count({ where: { classId } })) >= mostTasks)
    throw new Problem('not-valid', `A class has ${mostTasks} tasks at most.`);
  const there = async (what: string, wanted: readonly string[], count: Promise<number>) => {
    if ((await count) < new Set(wanted).size)
      throw new Problem('not-valid', `One of these ${what} is not there any more.`);
  };
  await there(
    'benches',
    body.benches,
    models.benchGroups.count({ where: { classId, id: [...body.benches] } }),
  );
  await there(
    'students',
    body.students,
    models.classStudents.count({ where: { classId, personId: [...body.students] } }),
  );
  await there(
    'investigations',
    body.investigations,
    models.investigations.count({
      distinct: true,
      col: 'familyId',
      where: { classId, personId: null, familyId: [...body.investigations] },
    }),
  );
  await models.tasks.bulkCreate([{ id, classId, body, withdrawn: false }], { ignoreDuplicates: true });
  services.publish.question(classId);
  return tasksOf(services, who, classId);
}

/** Takes a task back, sets it again, or has it due another day. What was read stays read. @throws Problem */
export async function changeTask(
  services: Services,
  who: Caller,
  classId: string,
  taskId: string,
  { withdrawn, due }: TaskChange,
): Promise<TasksAnswer> {
  const row = await services.database.models.tasks.findOne({ where: { id: taskId, classId } });
  if (!row) throw new Problem('not-found');
  await row.update({
    ...(withdrawn === undefined ? {} : { withdrawn }),
    ...(due === undefined ? {} : { body: { ...readStored(storedSetWork, row.body, 'task'), due } }),
  });
  services.publish.question(classId);
  return tasksOf(services, who, classId);
}
