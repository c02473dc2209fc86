import {
  readStored,
  storedMarks,
  type CalculationAnswer,
  type EntriesAnswer,
  type LogbookAnswer,
  type LogbookLine,
  type LogbooksAnswer,
} from '@green-beam/contract';
import { sumOfMarks, variationFor, variedBy, withoutAnswers, type Conventions } from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { Op, QueryTypes } from 'sequelize';
import type { Database } from '../database/models';
import { Problem } from '../http/problem';
import { alone, benchMatesOf } from '../kept/benchMates';
import { headOf } from '../kept/books';
import type { KeptInvestigation, OpenBook } from '../kept/keptRows';
import type { Services } from '../services';
import type { Caller } from '../access/caller';
import { asEntry, entryColumns, type EntryRow } from '../kept/entryRow';

/** A student's investigations, each with their own logbook if it was opened: the version they opened, else the newest that is set. */
export async function logbooksFor({ database, kept }: Services, who: Caller): Promise<LogbooksAnswer> {
  const [books, versions] = await Promise.all([
    kept.books.lines({ ofPerson: who.id }),
    database.models.investigations.findAll({
      attributes: ['id', 'familyId', 'retired'],
      where: {
        classId: who.classes.map(({ id }) => id),
        personId: who.role === 'student' ? { [Op.or]: [null, who.id] } : who.id,
      },
      order: [
        ['createdAt', 'asc'],
        ['version', 'asc'],
      ],
    }),
  ]);
  const families = [...new Set(versions.map(({ familyId }) => familyId))];
  const lines = await Promise.all(
    families.map(async (familyId): Promise<LogbookLine[]> => {
      const family = versions.filter((version) => version.familyId === familyId);
      const opened = books.flatMap(({ line }) =>
        family.some(({ id }) => id === line.investigationId) ? [line] : [],
      );
      const newest = family.at(-1);
      if (opened.length > 0 || !newest || newest.retired) return opened;
      return [unopened(await kept.investigation(newest.id))];
    }),
  );
  return { logbooks: await withMarks(database, lines.flat()), begins: await mayBeginIn(database, who) };
}

/** Logbooks with what each was given when it came back last. */
async function withMarks({ sequelize }: Database, lines: readonly LogbookLine[]): Promise<LogbookLine[]> {
  const ids = lines.flatMap(({ logbookId }) => logbookId ?? []);
  if (ids.length === 0) return [...lines];
  const rows = await sequelize.query<{ id: string; at: Date; marks: unknown }>(
    `select distinct on (logbook_id) logbook_id as id, created_at as at, marks from reviews
      where logbook_id = any($1::uuid[]) order by logbook_id, created_at desc`,
    { type: QueryTypes.SELECT, bind: [ids] },
  );
  const given = new Map(
    rows.map(({ id, at, marks }) => [
      id,
      { mark: sumOfMarks(readStored(storedMarks, marks, 'mark')), at: at.toISOString() },
    ]),
  );
  return lines.map((line) => {
    const back = given.get(line.logbookId ?? '');
    return back ? { ...line, back } : line;
  });
}

/** The class in which somebody may begin a logbook of their own: a teacher in theirs, a student where the teacher lets them. */
export async function mayBeginIn({ models }: Database, { role, classes }: Caller): Promise<string | null> {
  const [first] = classes;
  if (!first) return null;
  if (role === 'teacher') return first.id;
  const row = await models.classes.findByPk(first.id, { attributes: ['freeLogbooks'] });
  return row?.freeLogbooks ? first.id : null;
}

const unopened = ({ id, body }: KeptInvestigation): LogbookLine => ({
  ...headOf(id, body),
  logbookId: null,
  readers: [],
  completeTrials: 0,
  resultText: null,
  handedIn: false,
});

/** Opens the caller's logbook for an investigation, shared with their bench group; the same one if it is open already. */
export async function openLogbook(
  services: Services,
  who: Caller,
  investigation: KeptInvestigation,
): Promise<{ readonly logbookId: string }> {
  const { database } = services;
  const investigationId = investigation.id;
  const conventions = await services.kept.conventionsInForce(investigation.classId);
  // What is one's own is kept by oneself.
  const bench =
    investigation.personId === null
      ? await benchMatesOf(database, who.id, investigation.classId)
      : alone(who.id);
  const groupMates = bench.members;
  const logbookId = await database.sequelize.transaction(async (transaction) => {
    // One at a time per investigation, so that two bench mates who open it at once get the same book.
    await database.models.investigations.findByPk(investigationId, {
      attributes: ['id'],
      transaction,
      lock: transaction.LOCK.UPDATE,
    });
    const [mine] = await database.sequelize.query<{ id: string }>(
      `select l.id from logbooks l join logbook_members m on m.logbook_id = l.id
        where l.investigation_id = $1 and m.person_id = $2 limit 1`,
      { type: QueryTypes.SELECT, bind: [investigationId, who.id], transaction },
    );
    if (mine) return mine.id;
    const id = randomUUID();
    const before = await database.models.logbooks.count({ where: { investigationId }, transaction });
    const variation = variationFor(investigation.body, bench.name, before);
    await database.models.logbooks.create(
      { id, investigationId, conventionsId: conventions.id, variation },
      { transaction },
    );
    await database.models.logbookMembers.bulkCreate(
      groupMates.map((personId) => ({ logbookId: id, personId })),
      { transaction },
    );
    return id;
  });
  services.publish.board(investigation.classId, groupMates);
  return { logbookId };
}

/** An investigation of one of the caller's classes. @throws Problem */
export async function ofOwnClass(
  { kept }: Services,
  { id, classes }: Caller,
  investigationId: string,
): Promise<KeptInvestigation> {
  const investigation = await kept.investigation(investigationId);
  const itsOwn = investigation.personId === null || investigation.personId === id;
  if (!itsOwn || !classes.some((own) => own.id === investigation.classId)) throw new Problem('not-allowed');
  return investigation;
}

/** A logbook whole. */
export async function logbookFor(services: Services, who: Caller, book: OpenBook): Promise<LogbookAnswer> {
  const { id, investigation, members } = book;
  const [conventions, entries, calculations] = await Promise.all([
    conventionsOfBook(services, book),
    entriesAfter(services.database, id, 0),
    calculationsIn(services.database, id),
  ]);
  return {
    id,
    investigation: who.role === 'student' ? withoutAnswers(investigation.body) : investigation.body,
    conventions,
    readers: members.map(({ name }) => name),
    ...entries,
    calculations,
    mayWrite: isMember(book, who),
    ...(book.reckonedAnew ? { reckonedAnew: true } : {}),
  };
}

/** A logbook may be read by those who write in it and by the staff of its class. @throws Problem */
export async function readable(services: Services, who: Caller, logbookId: string): Promise<OpenBook> {
  const book = services.kept.openBooks.get(logbookId) ?? (await readBook(services, logbookId));
  services.kept.openBooks.set(logbookId, book);
  const teaches = who.role === 'teacher' && who.classes.some(({ id }) => id === book.investigation.classId);
  if (!teaches && !isMember(book, who)) throw new Problem('not-allowed');
  return book;
}

async function readBook({ database, kept }: Services, logbookId: string): Promise<OpenBook> {
  const [row] = await database.sequelize.query<
    Omit<OpenBook, 'investigation'> & { investigationId: string; variation: number | null }
  >(
    `select l.id, l.investigation_id as "investigationId", l.conventions_id as "conventionsId", l.variation,
            l.reckoned_anew as "reckonedAnew",
            (select coalesce(json_agg(json_build_object('id', p.id, 'name', p.name) order by p.name), '[]'::json)
               from logbook_members m join people p on p.id = m.person_id where m.logbook_id = l.id) as members
       from logbooks l where l.id = $1`,
    { type: QueryTypes.SELECT, bind: [logbookId] },
  );
  if (!row) throw new Problem('not-found');
  const { investigationId, variation, ...rest } = row;
  const investigation = await kept.investigation(investigationId);
  return { ...rest, investigation: { ...investigation, body: variedBy(investigation.body, variation) } };
}

const isMember = ({ members }: OpenBook, who: Caller): boolean => members.some(({ id }) => id === who.id);

/** A logbook may be written in by its members alone. @throws Problem */
export async function writable(services: Services, who: Caller, logbookId: string): Promise<OpenBook> {
  const book = await readable(services, who, logbookId);
  if (!isMember(book, who)) throw new Problem('not-allowed');
  return book;
}

export const conventionsOfBook = ({ kept }: Services, { conventionsId }: OpenBook): Promise<Conventions> =>
  kept.conventions(conventionsId);

function calculationsIn({ sequelize }: Database, logbookId: string): Promise<CalculationAnswer[]> {
  return sequelize.query<CalculationAnswer>(
    `select k.id, k.expression, k.result, p.name as keeper
       from kept_calculations k join people p on p.id = k.person_id
      where k.logbook_id = $1 order by k.created_at`,
    { type: QueryTypes.SELECT, bind: [logbookId] },
  );
}

/** Entries that arrived after a number, in the order in which they did. */
export async function entriesAfter(
  { sequelize }: Database,
  logbookId: string,
  after: number,
): Promise<EntriesAnswer> {
  const rows = await sequelize.query<EntryRow>(
    `select ${entryColumns} from logbook_entries e join people p on p.id = e.reader_id
      where e.logbook_id = $1 and e.seq > $2 order by e.seq`,
    { type: QueryTypes.SELECT, bind: [logbookId, after] },
  );
  return { entries: rows.map(asEntry), last: Number(rows.at(-1)?.seq ?? after) };
}
