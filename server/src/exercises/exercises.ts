import { readStored, storedExercise } from '@green-beam/contract';
import {
  practisedBy,
  triesAllowed,
  type Exercise,
  type ExerciseNamed,
  type ExerciseOf,
} from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import type { Caller } from '../access/caller';
import type { ExerciseRow } from '../database/models';
import { Problem } from '../http/problem';
import type { Laid } from '../kept/laid';
import type { Services } from '../services';

/** Keeps an exercise for a person; false where there is one with this id, or at this place of its task, already. */
export async function layOut(
  { database, now }: Services,
  {
    id,
    personId,
    conventionsId,
    questionId,
    taskId,
    heldBy,
    place,
    triesAllowed: allowed,
    seed,
    exercise,
  }: Laid,
): Promise<boolean> {
  const added = await database.sequelize.query(
    `insert into exercises
       (id, person_id, conventions_id, kind, seed, item, question_id, created_at, task_id, held_by, tries_allowed, place)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12) on conflict do nothing returning id`,
    {
      type: QueryTypes.SELECT,
      bind: [
        id,
        personId,
        conventionsId,
        practisedBy(exercise),
        seed,
        JSON.stringify(exercise),
        questionId,
        now(),
        taskId,
        heldBy,
        allowed,
        place,
      ],
    },
  );
  return added.length === 1;
}

/** The id of what stands where an exercise was to be laid out: under its id, or at its place of its task. */
export async function standingAt(
  { database }: Services,
  { id, personId, taskId, place, exercise }: Laid,
): Promise<string> {
  if (place === null) return id;
  const rows = await database.sequelize.query<{ id: string }>(
    `select id from exercises
      where id = $1 or (person_id = $2 and task_id = $3 and kind = $4 and place = $5) order by id = $1 desc`,
    { type: QueryTypes.SELECT, bind: [id, personId, taskId, practisedBy(exercise), place] },
  );
  return rows[0]?.id ?? id;
}

/** An exercise that lies before the caller. @throws Problem for anybody else's, or one of another kind */
export async function ownExercise<Of extends ExerciseOf>(
  { database }: Services,
  who: Caller,
  of: Of,
  id: string,
): Promise<Laid<Of>> {
  const row = await database.models.exercises.findByPk(id);
  if (!row) throw new Problem('not-found');
  if (row.personId !== who.id) throw new Problem('not-allowed');
  const { exercise, ...rest } = asLaid(row);
  if (!isOf(exercise, of)) throw new Problem('not-found');
  return { ...rest, exercise };
}

const isOf = <Of extends ExerciseOf>(exercise: Exercise, of: Of): exercise is ExerciseNamed<Of> =>
  exercise.of === of;

function asLaid(row: ExerciseRow): Laid {
  const { id, personId, conventionsId, seed, item } = row;
  return {
    ...{ id, personId, conventionsId, seed },
    questionId: row.questionId ?? null,
    taskId: row.taskId ?? null,
    heldBy: row.heldBy ?? null,
    place: row.place ?? null,
    triesAllowed: row.triesAllowed ?? triesAllowed,
    exercise: readStored(storedExercise, item, 'exercise'),
  };
}
