import type { BenchCall, CallsAnswer, NewCall, OwnCallAnswer } from '@green-beam/contract';
import { QueryTypes } from 'sequelize';
import type { Caller } from '../access/caller';
import { Problem } from '../http/problem';
import type { CallRow } from '../database/models';
import { benchMatesOf } from '../kept/benchMates';
import { joinSeat } from '../kept/studentsIn';
import { writable } from '../logbook/service';
import type { Services } from '../services';

/** A call that nobody ended is over with the lesson. */
const openMs = 3 * 3_600_000;

interface Row extends Omit<BenchCall, 'at'> {
  readonly at: Date;
  readonly personId: string;
  readonly bench: string | null;
}

/** Open calls of a class, the longest waiting first: one query. */
const openCalls = ({ database, now }: Services, classId: string): Promise<Row[]> =>
  database.sequelize.query<Row>(
    `select c.id, c.reason, c.created_at as at, c.logbook_id as "logbookId", p.id as "personId", p.name as by,
            seat.name as bench
       from calls c join people p on p.id = c.person_id ${joinSeat('p.id', '$1')}
      where c.class_id = $1 and c.ended_at is null and c.created_at > $2 order by c.created_at, c.id`,
    { type: QueryTypes.SELECT, bind: [classId, new Date(now().getTime() - openMs)] },
  );

const lineOf = ({ id, reason, at, logbookId, by }: Row): BenchCall => ({
  id,
  reason,
  at: at.toISOString(),
  logbookId,
  by,
});

export async function callsOf(services: Services, classId: string): Promise<CallsAnswer> {
  const rows = await openCalls(services, classId);
  return { calls: rows.map((row) => ({ ...lineOf(row), bench: row.bench })) };
}

/** The caller's class, those who sit at their bench there, and the bench's open calls. @throws Problem without a class */
async function benchOf(services: Services, { id, classes: [first] }: Caller) {
  if (!first) throw new Problem('not-allowed');
  const [{ members }, calls] = await Promise.all([
    benchMatesOf(services.database, id, first.id),
    openCalls(services, first.id),
  ]);
  return { classId: first.id, members, calls: calls.filter(({ personId }) => members.includes(personId)) };
}

/** What the caller's bench calls for now. */
export async function ownCall(services: Services, who: Caller): Promise<OwnCallAnswer> {
  const row = (await benchOf(services, who)).calls.at(-1);
  return { call: row ? lineOf(row) : null };
}

/** Calls the teacher, in place of what the bench called for before; a repeated request does so once. @throws Problem */
export async function callTeacher(
  services: Services,
  who: Caller,
  { id, reason, logbookId }: NewCall,
): Promise<OwnCallAnswer> {
  const { models } = services.database;
  const { classId, members, calls } = await benchOf(services, who);
  if (logbookId !== null) await writable(services, who, logbookId);
  const known = await models.calls.findByPk(id);
  if (known && known.personId !== who.id) throw new Problem('already-used');
  if (!known) {
    await end(services, calls);
    await models.calls.bulkCreate(
      [{ id, classId, personId: who.id, logbookId, reason, createdAt: services.now() }],
      { ignoreDuplicates: true },
    );
  }
  services.publish.calls(classId, members);
  return ownCall(services, who);
}

/** The bench needs nobody any more. */
export async function takeCallBack(services: Services, who: Caller): Promise<OwnCallAnswer> {
  const { classId, members, calls } = await benchOf(services, who);
  await end(services, calls);
  services.publish.calls(classId, members);
  return { call: null };
}

/** Somebody of the staff went there. @throws Problem for a call of another class */
export async function answerCall(services: Services, classId: string, callId: string): Promise<CallsAnswer> {
  const row = await services.database.models.calls.findByPk(callId);
  if (row?.classId !== classId) throw new Problem('not-found');
  await end(services, [row]);
  services.publish.calls(classId, await matesOf(services, row));
  return callsOf(services, classId);
}

/** The data of a logbook were looked through: nobody waits for that any more. */
export async function endChecksOf(services: Services, logbookId: string): Promise<void> {
  const { models } = services.database;
  const rows = await models.calls.findAll({ where: { logbookId, reason: 'check', endedAt: null } });
  await end(services, rows);
  for (const row of rows) services.publish.calls(row.classId, await matesOf(services, row));
}

const end = async ({ database, now }: Services, calls: readonly { readonly id: string }[]): Promise<void> =>
  void (await database.models.calls.update(
    { endedAt: now() },
    { where: { id: calls.map(({ id }) => id), endedAt: null } },
  ));

const matesOf = async ({ database }: Services, { personId, classId }: CallRow): Promise<readonly string[]> =>
  (await benchMatesOf(database, personId, classId)).members;
