import type {
  CalculationAnswer,
  EntriesAnswer,
  LogbookAnswer,
  LogbookLine,
  LogbooksAnswer,
  Who,
} from '@green-beam/contract';
import { besides, outcomeOf, tableOf, type Conventions, type Entry } from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { Op } from 'sequelize';
import { conventionsOfClass, membersOf } from '../classroom/membership';
import type { Database, InvestigationRow, LogbookEntryRow, LogbookRow } from '../database/models';
import { Problem } from '../http/problem';
import type { Services } from '../services';

/** A student's investigations, each with their own logbook if it was opened: the version they opened, else the newest that is set. */
export async function logbooksFor({ database }: Services, who: Who): Promise<LogbooksAnswer> {
  const { models } = database;
  const versions = await models.investigations.findAll({
    where: { classId: who.classes.map(({ id }) => id) },
    order: [
      ['createdAt', 'asc'],
      ['version', 'asc'],
    ],
  });
  const own = await models.logbookMembers.findAll({ where: { personId: who.id } });
  const books = await models.logbooks.findAll({ where: { id: own.map(({ logbookId }) => logbookId) } });
  const families = [...new Set(versions.map(({ familyId }) => familyId))];
  const lines = families.flatMap((familyId) => {
    const family = versions.filter((version) => version.familyId === familyId);
    const opened = books.flatMap((book) => {
      const version = family.find(({ id }) => id === book.investigationId);
      return version ? [lineFor(database, version, book)] : [];
    });
    const newest = family.at(-1);
    if (opened.length > 0 || !newest || newest.retired) return opened;
    return [lineFor(database, newest, null)];
  });
  return { logbooks: await Promise.all(lines) };
}

/** One logbook in a line: how far it is and what it says. */
export async function lineFor(
  database: Database,
  { id, body }: InvestigationRow,
  logbook: LogbookRow | null,
): Promise<LogbookLine> {
  const trialsWanted = body.tables.reduce((sum, { trials }) => sum + trials, 0);
  const head = {
    investigationId: id,
    title: body.title,
    object: body.object,
    trialsWanted,
    resultSymbol: body.results[0]?.symbol ?? '',
  };
  const unopened = { logbookId: null, readers: [], completeTrials: 0, resultText: null, handedIn: false };
  if (!logbook) return { ...head, ...unopened };
  const [members, entries, conventions] = await Promise.all([
    membersOf(database, logbook.id),
    entriesOf(database, logbook.id),
    database.models.classConventions.findByPk(logbook.conventionsId),
  ]);
  const outcome = conventions && outcomeOf(body, tableOf(entries), conventions.body);
  const [first] = outcome?.results ?? [];
  return {
    ...head,
    logbookId: logbook.id,
    readers: members.map(({ name }) => name),
    completeTrials: outcome?.complete ?? 0,
    resultText: first?.state === 'reckoned' && outcome?.trialsWanted === 0 ? first.result.text : null,
    handedIn: entries.some(({ column }) => column === besides.handIn),
  };
}

/** Opens the caller's logbook for an investigation, shared with their bench group; the same one if it is open already. */
export async function openLogbook(
  services: Services,
  who: Who,
  investigationId: string,
): Promise<{ readonly logbookId: string }> {
  const { database } = services;
  const investigation = await database.models.investigations.findByPk(investigationId);
  if (!investigation || !who.classes.some(({ id }) => id === investigation.classId))
    throw new Problem('not-allowed');
  const conventions = await conventionsOfClass(database, investigation.classId);
  const groupMates = await benchMates(database, who, investigation.classId);
  const logbookId = await database.sequelize.transaction(async (transaction) => {
    // One at a time per investigation, so that two bench mates who open it at once get the same book.
    await database.models.investigations.findByPk(investigationId, {
      transaction,
      lock: transaction.LOCK.UPDATE,
    });
    const books = await database.models.logbooks.findAll({ where: { investigationId }, transaction });
    const mine = await database.models.logbookMembers.findOne({
      where: { personId: who.id, logbookId: books.map(({ id }) => id) },
      transaction,
    });
    if (mine) return mine.logbookId;
    const id = randomUUID();
    await database.models.logbooks.create(
      { id, investigationId, conventionsId: conventions.id },
      { transaction },
    );
    await database.models.logbookMembers.bulkCreate(
      groupMates.map((personId) => ({ logbookId: id, personId })),
      { transaction },
    );
    return id;
  });
  return { logbookId };
}

async function benchMates({ models }: Database, who: Who, classId: string): Promise<string[]> {
  const groups = await models.benchGroups.findAll({ where: { classId } });
  const own = await models.benchGroupMembers.findOne({
    where: { personId: who.id, groupId: groups.map(({ id }) => id) },
  });
  if (!own) return [who.id];
  const members = await models.benchGroupMembers.findAll({ where: { groupId: own.groupId } });
  return members.map(({ personId }) => personId);
}

/** A logbook whole. @throws Problem */
export async function logbookFor(
  { database }: Services,
  who: Who,
  logbookId: string,
): Promise<LogbookAnswer> {
  const { logbook, investigation, members } = await readable(database, who, logbookId);
  const conventions = await database.models.classConventions.findByPk(logbook.conventionsId);
  if (!conventions) throw new Problem('not-found');
  return {
    id: logbookId,
    investigation: investigation.body,
    conventions: conventions.body,
    readers: members.map(({ name }) => name),
    ...(await entriesAfter(database, logbookId, 0)),
    calculations: await calculationsIn(database, logbookId),
    mayWrite: members.some(({ id }) => id === who.id),
  };
}

/** A logbook may be read by those who write in it and by the staff of its class. @throws Problem */
export async function readable(database: Database, who: Who, logbookId: string) {
  const logbook = await database.models.logbooks.findByPk(logbookId);
  if (!logbook) throw new Problem('not-found');
  const [investigation, members] = await Promise.all([
    database.models.investigations.findByPk(logbook.investigationId),
    membersOf(database, logbookId),
  ]);
  if (!investigation) throw new Problem('not-found');
  const staff = await database.models.classStaff.findOne({
    where: { classId: investigation.classId, personId: who.id },
  });
  if (!staff && !members.some(({ id }) => id === who.id)) throw new Problem('not-allowed');
  return { logbook, investigation, members };
}

/** The right to write in a logbook, with the conventions that it follows. @throws Problem */
export async function mayWriteLogbook(
  { database }: Services,
  who: Who,
  logbookId: string,
): Promise<{ conventions: Conventions }> {
  const { logbook, members } = await readable(database, who, logbookId);
  if (!members.some(({ id }) => id === who.id)) throw new Problem('not-allowed');
  const kept = await database.models.classConventions.findByPk(logbook.conventionsId);
  if (!kept) throw new Problem('not-found');
  return { conventions: kept.body };
}

async function calculationsIn({ models }: Database, logbookId: string): Promise<CalculationAnswer[]> {
  const rows = await models.keptCalculations.findAll({ where: { logbookId }, order: [['createdAt', 'asc']] });
  const people = await models.people.findAll({ where: { id: rows.map(({ personId }) => personId) } });
  return rows.map(({ id, expression, result, personId }) => ({
    id,
    expression,
    result,
    keeper: people.find((person) => person.id === personId)?.name ?? '',
  }));
}

/** The right to open a logbook, for the routes. @throws Problem */
export const mayReadLogbook = async ({ database }: Services, who: Who, logbookId: string): Promise<void> =>
  void (await readable(database, who, logbookId));

/** Entries that arrived after a number, in the order in which they did. */
export async function entriesAfter(
  { models }: Database,
  logbookId: string,
  after: number,
): Promise<EntriesAnswer> {
  const rows = await models.logbookEntries.findAll({
    where: { logbookId, seq: { [Op.gt]: after } },
    order: [['seq', 'asc']],
  });
  const readers = await models.people.findAll({
    where: { id: [...new Set(rows.map(({ readerId }) => readerId))] },
  });
  const names = new Map(readers.map(({ id, name }) => [id, name]));
  return {
    entries: rows.map((row) => asEntry(row, names.get(row.readerId) ?? '')),
    last: Number(rows.at(-1)?.seq ?? after),
  };
}

const entriesOf = async (database: Database, logbookId: string): Promise<readonly Entry[]> =>
  (await entriesAfter(database, logbookId, 0)).entries;

export const asEntry = (row: LogbookEntryRow, reader: string): Entry => ({
  id: row.id,
  trial: row.trial,
  column: row.column,
  text: row.text,
  tag: row.tag,
  reader,
  origin: row.origin,
  writtenAt: row.writtenAt.toISOString(),
  replaces: row.replaces,
  reason: row.reason,
});
