import type { ArrivedEntries, NewEntry, NewInitials } from '@green-beam/contract';
import { randomUUID } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import { asTry } from '../exercises/tries';
import { paces } from '../http/pace';
import { Problem } from '../http/problem';
import type { Services } from '../services';
import type { Caller } from '../access/caller';
import { checkEntry, readWhatTheyName, sameNumber, tagOf, type NamedByEntries } from './checkEntry';
import { asEntry, entryColumns, type EntryRow } from '../kept/entryRow';
import type { OpenBook } from '../kept/keptRows';

/**
 * Adds entries in their order, all or none. Nothing is overwritten: an entry that strikes another names it and says why. Sent
 * again with the same ids they are answered as before. @param blockId of a block that they came in. @throws Problem
 */
export async function addEntries(
  services: Services,
  who: Caller,
  book: OpenBook,
  entries: readonly NewEntry[],
  blockId: string | null,
): Promise<ArrivedEntries> {
  const { investigation } = book;
  const named = await readWhatTheyName(services.database, book.id, entries);
  for (const entry of entries) checkEntry(investigation.body, entry, named);
  const taken = entries.filter(({ takenId }) => takenId);
  const arrived =
    taken.length === 0
      ? await store(services, who, book, entries, named, blockId)
      : await services.database.sequelize.transaction(async (transaction) => {
          for (const entry of taken) await claim(services, who, entry, transaction);
          return store(services, who, book, entries, named, blockId, transaction);
        });
  publishArrived(services, who, book, arrived);
  return arrived;
}

/** The staff's initials under the data as they were seen. Sent again with the same id they are there once. @throws Problem */
export async function addInitials(
  services: Services,
  who: Caller,
  book: OpenBook,
  { id, seen }: NewInitials,
): Promise<ArrivedEntries> {
  const last = await services.database.models.logbookEntries.findOne({
    attributes: ['id'],
    where: { id: seen, logbookId: book.id },
  });
  if (!last) throw new Problem('not-valid', 'What was seen is not in this logbook.');
  const entry: NewEntry = {
    id,
    kind: 'initials',
    trial: 0,
    of: '',
    text: seen,
    tag: null,
    supplied: false,
    replaces: null,
    reason: null,
    takenId: null,
    attemptId: null,
    writtenAt: services.now().toISOString(),
  };
  const nothing = await readWhatTheyName(services.database, book.id, []);
  const arrived = await store(services, who, book, [entry], nothing, null);
  publishArrived(services, who, book, arrived);
  return arrived;
}

function publishArrived(
  { publish, metrics }: Services,
  who: Caller,
  { id, investigation, members }: OpenBook,
  arrived: ArrivedEntries,
): void {
  metrics.wrote(arrived.entries.length);
  publish.logbook({
    logbookId: id,
    classId: investigation.classId,
    members: members.map((member) => member.id),
    arrived,
    by: who.sessionId,
  });
}

const minute = 60_000;
const oldest = 30 * 24 * 60 * minute;
/** Clocks differ by so much. */
const ahead = minute;

/** When it was written: by the writer's clock, where that can be; else by ours. */
function timeOf(writtenAt: string, now: Date): { readonly at: Date; readonly by: 'writer' | 'receipt' } {
  const at = new Date(writtenAt);
  const age = now.getTime() - at.getTime();
  return age >= -ahead && age <= oldest ? { at, by: 'writer' } : { at: now, by: 'receipt' };
}

async function store(
  { database, now }: Services,
  who: Caller,
  { id: logbookId, investigation }: OpenBook,
  entries: readonly NewEntry[],
  named: NamedByEntries,
  blockId: string | null,
  transaction: Transaction | null = null,
): Promise<ArrivedEntries> {
  const received = now();
  const times = entries.map(({ writtenAt }) => timeOf(String(writtenAt), received));
  const added = await database.sequelize.query<EntryRow>(
    `with e as (
       insert into logbook_entries
         (id, logbook_id, kind, trial, "of", text, tag, reader_id, origin, replaces, reason, written_at, timed_by,
          block_id, created_at)
       select id, $1, kind, trial, about, text, tag, $2, origin, replaces, reason, written_at, timed_by, $3, $4
         from unnest($5::uuid[], $6::int[], $7::text[], $8::text[], $9::text[], $10::text[], $11::uuid[], $12::text[],
                     $13::timestamptz[], $14::text[], $15::text[])
           with ordinality as n(id, trial, about, text, tag, origin, replaces, reason, written_at, timed_by, kind, place)
        order by place
       on conflict (id) do nothing
       returning *
     )
     select ${entryColumns} from e join people p on p.id = e.reader_id order by e.seq`,
    {
      type: QueryTypes.SELECT,
      transaction,
      bind: [
        logbookId,
        who.id,
        blockId,
        received,
        entries.map(({ id }) => id),
        entries.map(({ trial }) => trial),
        entries.map(({ of }) => of),
        entries.map(({ text }) => text),
        entries.map(
          ({ tag, kind, of }) => tag?.trim() || (kind === 'reading' ? tagOf(investigation.body, of) : ''),
        ),
        entries.map((entry) => originOf(who, entry, named)),
        entries.map(({ replaces }) => replaces ?? null),
        entries.map(({ reason }) => reason?.trim() || null),
        times.map(({ at }) => at),
        times.map(({ by }) => by),
        entries.map(({ kind }) => kind),
      ],
    },
  );
  if (added.length === entries.length)
    return {
      entries: added.map(asEntry),
      after: Number(added[0]?.prior ?? 0),
      last: Number(added.at(-1)?.seq ?? 0),
    };
  return { entries: await twins(database, who, logbookId, entries, transaction), after: null, last: null };
}

/** What stands already under the ids that came again, in their order. @throws Problem where it is something else */
async function twins(
  { sequelize }: Services['database'],
  who: Caller,
  logbookId: string,
  entries: readonly NewEntry[],
  transaction: Transaction | null,
) {
  const rows = await sequelize.query<EntryRow & { logbookId: string; readerId: string }>(
    `select ${entryColumns}, e.logbook_id as "logbookId", e.reader_id as "readerId"
       from logbook_entries e join people p on p.id = e.reader_id where e.id = any($1)`,
    { type: QueryTypes.SELECT, bind: [entries.map(({ id }) => id)], transaction },
  );
  const byId = new Map(rows.map((row) => [row.id, row]));
  return entries.map(({ id, text, kind, trial, of }) => {
    const kept = byId.get(id);
    const same =
      kept?.logbookId === logbookId &&
      kept.readerId === who.id &&
      kept.text === text &&
      kept.kind === kind &&
      kept.trial === trial &&
      kept.of === of;
    if (!kept || !same) throw new Problem('already-used');
    return asEntry(kept);
  });
}

/** A reading of the balance is written once, by who took it, as it was shown. @throws Problem */
async function claim(
  { database }: Services,
  who: Caller,
  { id, takenId, text }: NewEntry,
  transaction: Transaction,
): Promise<void> {
  const rows = await database.sequelize.query<{ text: string }>(
    `update balance_readings set entry_id = $1
      where id = $2 and person_id = $3 and (entry_id is null or entry_id = $1) returning text`,
    { type: QueryTypes.SELECT, bind: [id, takenId, who.id], transaction },
  );
  const [row] = rows;
  if (!row) throw new Problem('reading-used');
  if (row.text !== text)
    throw new Problem(
      'not-valid',
      `The balance showed ${row.text}. Take a new reading, or write the number yourself.`,
    );
}

/** Where a number came from, as far as it can be vouched for: only what the balance or the bench itself said is theirs. */
function originOf(
  who: Caller,
  { takenId, attemptId, supplied, text }: NewEntry,
  { attempts }: NamedByEntries,
): 'own' | 'teacher' | 'simulated' | 'balance' {
  if (takenId) return 'balance';
  const row = attemptId ? attempts.get(attemptId) : undefined;
  if (row?.personId === who.id) {
    const { answer, verdict } = asTry('setting', row);
    if (verdict.outcome === 'right' && sameNumber(answer.text, text)) return 'simulated';
  }
  return supplied ? 'teacher' : 'own';
}

/** Keeps what a connected balance shows as this person's reading. @throws Problem while it does not stand */
export async function takeReading({ database, feed, now, paces: counted }: Services, who: Caller) {
  counted.count('balance', who.id, now().getTime(), paces.balance);
  const { text, unit } = feed.take();
  const id = randomUUID();
  await database.models.balanceReadings.create({
    id,
    personId: who.id,
    text,
    unit,
    entryId: null,
    createdAt: now(),
  });
  return { id, text, unit };
}
