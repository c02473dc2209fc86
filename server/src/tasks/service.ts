import {
  readStored,
  storedSetWork,
  type NewTask,
  type OwnTasksAnswer,
  type TaskChange,
  type TasksAnswer,
} from '@green-beam/contract';
import { hasBegun, isFor, takenInOrder, type SetWork } from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import type { Caller } from '../access/caller';
import { classFor } from '../access/membership';
import { reveal } from '../exercises/heldBack';
import { Problem } from '../http/problem';
import { recordOf } from '../kept/practices';
import { familiesIn } from '../kept/families';
import { joinSeat, studentsIn } from '../kept/studentsIn';
import type { Services } from '../services';
import { gathered, progressIn, takenFor, tasksIn, workOf } from './work';

const mostTasks = 400;

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
  const [work, families, taken] = await Promise.all([
    gathered(services, tasks, [{ id, record: seat?.record ?? null }]),
    familiesIn(sequelize, own.id),
    takenFor(services, tasks, id),
  ]);
  return {
    tasks: tasks.map((task) => {
      const { kinds, books, ...progress } = progressIn(task, id, work, now);
      return {
        ...task,
        ...progress,
        progress: kinds,
        taken: taken.get(task.id) ?? [],
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
  await areThere(services, classId, body);
  await models.tasks.bulkCreate([{ id, classId, body, withdrawn: false, inOrder: takenInOrder(body) }], {
    ignoreDuplicates: true,
  });
  services.publish.question(classId);
  return tasksOf(services, who, classId);
}

/** @throws Problem where somebody that work is for, or what is to be handed in, is gone */
async function areThere(
  { database }: Services,
  classId: string,
  body: Pick<SetWork, 'benches' | 'students' | 'investigations'>,
): Promise<void> {
  const { models } = database;
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
}

/**
 * Takes a task back, sets it again, has it due another day, shows its answers, or has it ask something else. What was read stays read, and
 * what is on the bench stays as it is. Whatever no longer holds answers back shows them. @throws Problem
 */
export async function changeTask(
  services: Services,
  who: Caller,
  classId: string,
  taskId: string,
  { withdrawn, due, shown, work }: TaskChange,
): Promise<TasksAnswer> {
  const row = await services.database.models.tasks.findOne({ where: { id: taskId, classId } });
  if (!row) throw new Problem('not-found');
  if (work) await areThere(services, classId, work);
  const body = {
    ...readStored(storedSetWork, row.body, 'task'),
    ...work,
    ...(due === undefined ? {} : { due }),
  };
  await row.update({
    body,
    ...(work ? { inOrder: takenInOrder(work) } : {}),
    ...(withdrawn === undefined ? {} : { withdrawn }),
  });
  if (shown || work?.answers === 'at once') await reveal(services, taskId);
  services.publish.question(classId);
  return tasksOf(services, who, classId);
}
