import type { DeletedClass } from '@green-beam/contract';
import type { Transaction } from 'sequelize';
import { Problem } from '../http/problem';
import type { Services } from '../services';
import { studentAccount } from '../session/service';
import { everybodyIn } from './classes';

/** Logbooks of the class $1, its settings and tables that somebody worked, and its questions, as SQL. */
const books = `select l.id from logbooks l join investigations i on i.id = l.investigation_id where i.class_id = $1`;
const questions = 'select id from class_questions where class_id = $1';
const tasks = 'select id from tasks where class_id = $1';
/** Students who are in this class and in no other, and in no logbook of another. */
const itsOwn = `
  select p.id from people p where p.role = 'student'
     and (exists (select 1 from class_students s where s.person_id = p.id and s.class_id = $1)
       or exists (select 1 from logbook_members m where m.person_id = p.id and m.logbook_id in (${books})))
     and not exists (select 1 from class_students s where s.person_id = p.id and s.class_id <> $1)
     and not exists (select 1 from logbook_members m where m.person_id = p.id and m.logbook_id not in (${books}))`;
const exercises = `
  select id from exercises
   where person_id in (select id from its_own) or question_id in (${questions}) or task_id in (${tasks})
      or conventions_id in (select id from class_conventions where class_id = $1)`;

/** In this order: nothing names a row that is gone. `its_own` holds the students who go with the class. */
const steps = [
  `delete from balance_readings where person_id in (select id from its_own)
      or entry_id in (select id from logbook_entries where logbook_id in (${books}))`,
  `delete from logbook_entries where logbook_id in (${books}) or reader_id in (select id from its_own)`,
  `delete from logbook_photos where logbook_id in (${books}) or person_id in (select id from its_own)`,
  `delete from kept_calculations where logbook_id in (${books}) or person_id in (select id from its_own)`,
  `delete from calls where class_id = $1 or person_id in (select id from its_own)`,
  `delete from logbook_members where logbook_id in (${books})`,
  `delete from tries where exercise_id in (${exercises}) or person_id in (select id from its_own)`,
  `delete from exercises where id in (${exercises})`,
  `delete from reveals where of_id in (${questions}) or of_id in (${tasks})`,
  // Reviews go with the logbook; tasks and comparisons with the class.
  `delete from logbooks where id in (${books})`,
  `delete from investigations where class_id = $1`,
  `delete from class_question_ends where question_id in (${questions})`,
  `delete from class_questions where class_id = $1`,
  `delete from bench_group_members where group_id in (select id from bench_groups where class_id = $1)`,
  `delete from bench_groups where class_id = $1`,
  `delete from class_conventions where class_id = $1`,
  `delete from class_students where class_id = $1`,
  `delete from class_staff where class_id = $1`,
  `delete from classes where id = $1`,
  `delete from known_devices where person_id in (select id from its_own)`,
  `delete from sessions where person_id in (select id from its_own)`,
  `delete from people where id in (select id from its_own)`,
];

const onlyAdded = 'logbook_entries, logbook_photos';
/** A foreign key looks whether a row is still named with the right to change it; the trigger refuses a change all the same. */
const deleting = 'update, delete';

/**
 * Deletes a class for good, with every row of it: its students, what they read and wrote, photographs, marks. Only one that was put away,
 * and by its name. All or nothing. @throws Problem
 */
export async function deleteClass(
  services: Services,
  classId: string,
  { name }: DeletedClass,
): Promise<void> {
  const { database, publish } = services;
  const { sequelize, models } = database;
  const row = await models.classes.findByPk(classId);
  if (!row?.putAwayAt) throw new Problem('not-valid', 'Put the class away first.');
  // An accent may be written in two ways.
  if (row.name.trim().normalize() !== name.trim().normalize())
    throw new Problem(
      'not-valid',
      `The class is called “${row.name}”. Write its name to delete it for good.`,
    );
  const everybody = await everybodyIn(database, classId);
  await sequelize.transaction(async (transaction) => {
    await allowDeleting(services, transaction);
    await sequelize.query(`create temporary table its_own on commit drop as ${itsOwn}`, {
      bind: [classId],
      transaction,
    });
    for (const step of steps)
      await sequelize.query(step, { transaction, ...(step.includes('$1') ? { bind: [classId] } : {}) });
    await sequelize.query('delete from sign_in_limits where strpos(key, $1) > 0', {
      bind: [studentAccount(row.code, '')],
      transaction,
    });
    await sequelize.query(`revoke ${deleting} on ${onlyAdded} from current_user`, { transaction });
  });
  await publish.people(everybody);
}

/** For this transaction alone, and one at a time. */
async function allowDeleting({ database: { sequelize } }: Services, transaction: Transaction): Promise<void> {
  await sequelize.query(`select pg_advisory_xact_lock(hashtextextended('green beam for good', 2))`, {
    transaction,
  });
  await sequelize.query(`select set_config('green_beam.for_good', 'yes', true)`, { transaction });
  await sequelize.query(`grant ${deleting} on ${onlyAdded} to current_user`, { transaction });
}
