import { readStored, storedTry } from '@green-beam/contract';
import { type Answers, type ExerciseOf, type JudgedAnswer, type Verdicts } from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import type { Caller } from '../access/caller';
import type { TryRow } from '../database/models';
import { Problem } from '../http/problem';
import type { Laid } from '../kept/laid';
import type { Services } from '../services';

type Allowed = Pick<Laid, 'triesAllowed'>;

/** One try at an exercise. */
export interface Try<Of extends ExerciseOf> extends JudgedAnswer<Verdicts[Of]> {
  readonly id: string;
  readonly ordinal: number;
  readonly answer: Answers[Of];
  /** True where what is right had been told by then. */
  readonly late: boolean;
}

/** A try with all that are kept at its exercise. */
export interface Tried<Of extends ExerciseOf> {
  readonly own: Try<Of>;
  readonly all: readonly Try<Of>[];
}

/** Every try at an exercise, in order. */
export async function triesAt<Of extends ExerciseOf>(
  { database }: Services,
  of: Of,
  exerciseId: string,
): Promise<Try<Of>[]> {
  const rows = await database.models.tries.findAll({
    where: { exerciseId },
    order: [['ordinal', 'asc']],
    raw: true,
  });
  return rows.map((row) => asTry(of, row));
}

/** A row as the try that it is. */
export function asTry<Of extends ExerciseOf>(of: Of, row: TryRow): Try<Of> {
  const { id, ordinal, value, divisionsOff, late = false } = row;
  const stored = storedTry(of);
  return {
    id,
    ordinal,
    value,
    divisionsOff,
    late,
    answer: readStored(stored.answer, row.answer, 'answer'),
    verdict: readStored(stored.verdict, row.verdict, 'verdict'),
  };
}

/** True once it was answered rightly, or as often as is allowed. */
export const closed = (tries: readonly Try<ExerciseOf>[], { triesAllowed }: Allowed): boolean =>
  tries.length >= triesAllowed || tries.some(({ verdict }) => verdict.outcome === 'right');

/** How many tries were left after one of them; none once the exercise was over. */
export function leftAfter({ own, all }: Tried<ExerciseOf>, allowed: Allowed): number {
  const until = all.filter(({ ordinal }) => ordinal <= own.ordinal);
  return closed(until, allowed) ? 0 : allowed.triesAllowed - until.length;
}

/** How many tries are left at an exercise as it stands. */
export function leftOf<Of extends ExerciseOf>(all: readonly Try<Of>[], allowed: Allowed): number {
  const own = all.at(-1);
  return own ? leftAfter({ own, all }, allowed) : allowed.triesAllowed;
}

/**
 * Judges a try and keeps it. What cannot be read as an answer costs no try and is not kept. A repeated request with the same id
 * gets the same answer. @param held one answer each, until it is told what is right. @throws Problem
 */
export async function takeTry<Of extends ExerciseOf>(
  services: Services,
  who: Caller,
  laid: Laid<Of>,
  { id, answer }: { readonly id: string; readonly answer: Answers[Of] },
  judge: () => JudgedAnswer<Verdicts[Of]>,
  held = false,
): Promise<Tried<Of>> {
  const { id: exerciseId, triesAllowed } = laid;
  const of = laid.exercise.of as Of;
  const before = await triesAt(services, of, exerciseId);
  const repeated = before.find((one) => one.id === id);
  if (repeated) return { own: repeated, all: before };
  if (closed(before, { triesAllowed: held ? 1 : triesAllowed })) throw new Problem('setting-closed');
  const late = laid.heldBy !== null && !held;
  const own: Try<Of> = { id, ordinal: before.length + 1, answer, late, ...judge() };
  if (own.verdict.outcome !== 'right' && own.verdict.outcome !== 'wrong') return { own, all: before };
  if (await add(services, who, exerciseId, own)) {
    for (const { id: classId } of who.classes) services.publish.board(classId, [who.id]);
    return { own, all: [...before, own] };
  }
  // Another id at this place: two tries crossed. Or the id belongs to another exercise.
  const elsewhere = await services.database.models.tries.findByPk(id);
  if (elsewhere && elsewhere.exerciseId !== exerciseId) throw new Problem('already-used');
  return takeTry(services, who, laid, { id, answer }, judge, held);
}

/** Keeps a try; false where its id or its place is taken. */
async function add(
  { database, now }: Services,
  who: Caller,
  exerciseId: string,
  { id, ordinal, answer, verdict, value, divisionsOff, late }: Try<ExerciseOf>,
): Promise<boolean> {
  const added = await database.sequelize.query(
    `insert into tries (id, exercise_id, person_id, ordinal, answer, verdict, value, divisions_off, created_at, late)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10) on conflict do nothing returning id`,
    {
      type: QueryTypes.SELECT,
      bind: [
        id,
        exerciseId,
        who.id,
        ordinal,
        JSON.stringify(answer),
        JSON.stringify(verdict),
        value,
        divisionsOff,
        now(),
        late,
      ],
    },
  );
  return added.length === 1;
}
