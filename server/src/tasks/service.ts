import {
  readStored,
  storedPractising,
  type NewTask,
  type OwnTasksAnswer,
  type TaskChange,
  type TaskLine,
  type TasksAnswer,
} from '@green-beam/contract';
import { instruments, isFor, masteryOf, progressOf, type TaskProgress } from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import type { Caller } from '../access/caller';
import { classFor } from '../access/membership';
import type { TaskRow } from '../database/models';
import { Problem } from '../http/problem';
import type { Practice } from '../kept/practices';
import { joinSeat, studentsIn } from '../kept/studentsIn';
import type { Services } from '../services';

const mostTasks = 400;
/** So many are shown: the newest. */
const tasksShown = 60;

const lineOf = ({ id, body, withdrawn, createdAt }: TaskRow): TaskLine => ({
  ...readStored(storedPractising, body, 'task'),
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

const progressIn = (
  task: TaskLine,
  person: string,
  practice: Practice | undefined,
  counts: ReadonlyMap<string, number>,
  now: Date,
): TaskProgress =>
  progressOf(
    task,
    (kind) => counts.get(`${task.id} ${person} ${kind}`) ?? 0,
    (kind) => practice?.marks.get(kind)?.skill.state ?? masteryOf(kind, []).state,
    now,
  );

/** What is set for a student, by where they sit now. */
export async function ownTasks(services: Services, { id, classes: [own] }: Caller): Promise<OwnTasksAnswer> {
  if (!own) return { tasks: [] };
  const [all, bench] = await Promise.all([
    tasksIn(services, own.id),
    services.database.sequelize.query<{ id: string | null }>(
      `select seat.id from people p ${joinSeat('p.id', '$2')} where p.id = $1`,
      { type: QueryTypes.SELECT, bind: [id, own.id] },
    ),
  ]);
  const tasks = all.filter((task) => !task.withdrawn && isFor(task, bench[0]?.id ?? null));
  if (tasks.length === 0) return { tasks: [] };
  const [practice, counts] = await Promise.all([
    services.kept.practices.ofOne(id),
    readSince(services, tasks, [id]),
  ]);
  return {
    tasks: tasks.map((task) => {
      const { kinds, ...progress } = progressIn(task, id, practice, counts, services.now());
      return { ...task, ...progress, progress: kinds };
    }),
  };
}

/** What is set in a class, and who has done it. */
export async function tasksOf(services: Services, who: Caller, classId: string): Promise<TasksAnswer> {
  const { database, kept, now } = services;
  const [tasks, benches, people] = await Promise.all([
    tasksIn(services, classId),
    database.models.benchGroups.findAll({ where: { classId } }),
    studentsIn(database.sequelize, classId),
  ]);
  const [practices, counts] = await Promise.all([
    kept.practices.of(people),
    readSince(
      services,
      tasks,
      people.map(({ id }) => id),
    ),
  ]);
  return {
    class: classFor(who, classId),
    tasks: tasks.map((task) => {
      const own = people
        .filter(({ benchId }) => isFor(task, benchId))
        .map(({ id, name }) => ({
          name,
          done: progressIn(task, id, practices.get(id), counts, now()).done,
        }));
      return {
        ...task,
        done: own.flatMap(({ name, done }) => (done ? [name] : [])),
        open: own.flatMap(({ name, done }) => (done ? [] : [name])),
      };
    }),
    benches: benches
      .map(({ id, name }) => ({ id, name }))
      .sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true })),
    instruments: instruments.map(({ kind, name }) => ({ kind, name })),
  };
}

/** Sets practice; told twice, it is set once. @throws Problem */
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
  const there = await models.benchGroups.count({ where: { classId, id: [...body.benches] } });
  if (there < new Set(body.benches).size)
    throw new Problem('not-valid', 'One of these benches is not there any more.');
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
    ...(due === undefined ? {} : { body: { ...readStored(storedPractising, row.body, 'task'), due } }),
  });
  services.publish.question(classId);
  return tasksOf(services, who, classId);
}
