import type { AtHandAnswer } from '@green-beam/contract';
import { triesAllowed } from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import type { Services } from '../services';

/** Whoever has not answered for so long has gone on to something else. */
const atItMs = 20 * 60_000;

/** The newest thing that lies before each student of a class, where it can still be answered: one query. */
export async function atHandIn({ database, now }: Services, classId: string): Promise<AtHandAnswer> {
  const rows = await database.sequelize.query<{
    readonly studentId: string;
    readonly kind: string;
    readonly since: Date;
    readonly tries: number;
  }>(
    `select m.person_id as "studentId", e.kind, e.created_at as since, given.tries
       from class_students m
       cross join lateral (
         select id, kind, created_at, coalesce(tries_allowed, ${triesAllowed}) as allowed, held_by from exercises
          where person_id = m.person_id and created_at > $2 order by created_at desc limit 1) e
       cross join lateral (
         select count(*)::int as tries, coalesce(bool_or(verdict->>'outcome' = 'right'), false) as right
           from tries where exercise_id = e.id) given
      where m.class_id = $1 and not given.right
        and given.tries < case when e.held_by is null or exists (select 1 from reveals where of_id = e.held_by)
                               then e.allowed else 1 end`,
    { type: QueryTypes.SELECT, bind: [classId, new Date(now().getTime() - atItMs)] },
  );
  return { atHand: rows.map(({ since, ...row }) => ({ ...row, since: since.toISOString() })) };
}
