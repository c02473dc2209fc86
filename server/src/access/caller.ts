import type { ClassOfOnes, Role, Who } from '@green-beam/contract';
import { QueryTypes, type Sequelize } from 'sequelize';

/** Who calls, as the database knows them at this moment. */
export interface Caller extends Who {
  /** True while the password is the printed first one. */
  readonly mustChange: boolean;
  /** True where the scale may be described to this student. */
  readonly spoken: boolean;
  /** The conventions in force in their first class; null without a class. */
  readonly conventionsId: string | null;
  readonly sealKey: string;
  /** The session of this call, and whether it is on a device of one's own. */
  readonly sessionId: string;
  readonly ownDevice: boolean;
  readonly seenAt: Date;
}

const minute = 60_000;
const day = 24 * 60 * minute;

/** How long a session lasts: since it was used last, and in all. On a shared laptop it ends with the browser besides. */
export const sessionLimits = {
  shared: { idleMs: 3 * 60 * minute, wholeMs: 12 * 60 * minute },
  own: { idleMs: 14 * day, wholeMs: 90 * day },
} as const;

interface Row {
  readonly id: string;
  readonly sessionId: string;
  readonly ownDevice: boolean;
  readonly seenAt: Date;
  readonly role: Role;
  readonly name: string;
  readonly mustChange: boolean;
  readonly sealKey: string;
  readonly classes: readonly (ClassOfOnes & { readonly spoken: boolean })[];
  readonly conventionsId: string | null;
}

/** Sessions that still hold, with who is theirs: $1 their ids, $2 to $5 how early they may have been begun or used last. */
const holding = `
  from sessions s join people p on p.id = s.person_id
  left join lateral (
    select coalesce(json_agg(one order by one."putAway", one."createdAt"), '[]'::json) as classes,
           (array_agg(one.id order by one."putAway", one."createdAt"))[1] as first
      from (
        select c.id, c.code, c.name, c.created_at as "createdAt", m.role as part, false as spoken,
               c.put_away_at is not null as "putAway"
          from class_staff m join classes c on c.id = m.class_id
         where p.role = 'teacher' and m.person_id = p.id
        union all
        select c.id, c.code, c.name, c.created_at, 'student', m.spoken, false
          from class_students m join classes c on c.id = m.class_id
         where p.role = 'student' and m.person_id = p.id and c.put_away_at is null
      ) one
  ) k on true
 where s.id = any($1)
   and s.started_at > case when s.own_device then $2::timestamptz else $3::timestamptz end
   and s.seen_at > case when s.own_device then $4::timestamptz else $5::timestamptz end
   and (p.role = 'teacher' or k.first is not null)`;

const limitsAt = (now: Date): Date[] =>
  [
    sessionLimits.own.wholeMs,
    sessionLimits.shared.wholeMs,
    sessionLimits.own.idleMs,
    sessionLimits.shared.idleMs,
  ].map((limit) => new Date(now.getTime() - limit));

/** Who calls in each of these sessions, as far as they still hold. One query. */
export async function callersOf(
  sequelize: Sequelize,
  sessionIds: readonly string[],
  now: Date,
): Promise<Caller[]> {
  const rows = await sequelize.query<Row>(
    `select s.id as "sessionId", s.own_device as "ownDevice", s.seen_at as "seenAt", p.id, p.role, p.name,
            p.must_change as "mustChange", p.seal_key as "sealKey", k.classes,
            (select id from class_conventions where class_id = k.first order by version desc limit 1) as "conventionsId"
     ${holding}`,
    { type: QueryTypes.SELECT, bind: [[...sessionIds], ...limitsAt(now)] },
  );
  return rows.map(({ classes, ...rest }) => ({
    ...rest,
    classes: classes.map(({ id, code, name, part, putAway }) => ({
      id,
      code,
      name,
      part,
      ...(putAway ? { putAway } : {}),
    })),
    spoken: classes.some(({ spoken }) => spoken),
  }));
}

/** Writes down that sessions were used. */
export const seenAt = async (
  sequelize: Sequelize,
  sessionIds: readonly string[],
  now: Date,
): Promise<unknown> =>
  sequelize.query('update sessions set seen_at = $2 where id = any($1) and seen_at < $2', {
    bind: [[...sessionIds], now],
  });

/** What the pages are told of who is signed in. */
export const whoOf = ({ id, role, name, classes }: Caller): Who => ({ id, role, name, classes });
