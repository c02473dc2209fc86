import type {
  CalculationAnswer,
  EntryAnswer,
  LogbookAnswer,
  LogbookLine,
  LogbooksAnswer,
  NewEntry,
  Who,
} from '@green-beam/contract';
import {
  kitOf,
  outcomeOf,
  tableOf,
  type Conventions,
  type Entry,
  type Investigation,
} from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { UniqueConstraintError } from 'sequelize';
import { conventionsOfClass, membersOf } from '../classroom/membership';
import type { Database, InvestigationRow, LogbookEntryRow, LogbookRow } from '../database/models';
import { Problem } from '../http/problem';
import type { Services } from '../services';

/** A student's investigations, each with their own logbook if it was opened. */
export async function logbooksFor({ database }: Services, who: Who): Promise<LogbooksAnswer> {
  const investigations = await database.models.investigations.findAll({
    where: { classId: who.classes.map(({ id }) => id) },
    order: [['createdAt', 'asc']],
  });
  const own = await database.models.logbookMembers.findAll({ where: { personId: who.id } });
  const books = await database.models.logbooks.findAll({
    where: { id: own.map(({ logbookId }) => logbookId) },
  });
  const lines = investigations.map((investigation) =>
    lineFor(
      database,
      investigation,
      books.find(({ investigationId }) => investigationId === investigation.id) ?? null,
    ),
  );
  return { logbooks: await Promise.all(lines) };
}

/** One logbook in a line: how far it is and what it says. */
export async function lineFor(
  database: Database,
  { id, body }: InvestigationRow,
  logbook: LogbookRow | null,
): Promise<LogbookLine> {
  const head = { investigationId: id, title: body.title, object: body.object, trialsWanted: body.trials };
  if (!logbook) return { ...head, logbookId: null, readers: [], completeTrials: 0, resultText: null };
  const [members, entries, conventions] = await Promise.all([
    membersOf(database, logbook.id),
    entriesOf(database, logbook.id),
    database.models.classConventions.findByPk(logbook.conventionsId),
  ]);
  const outcome = conventions && outcomeOf(body, tableOf(entries), conventions.body);
  return {
    ...head,
    logbookId: logbook.id,
    readers: members.map(({ name }) => name),
    completeTrials: outcome?.trials.filter(({ state }) => state === 'complete').length ?? 0,
    resultText: outcome?.result && outcome.trialsWanted === 0 ? outcome.result.text : null,
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
    entries: await entriesOf(database, logbookId),
    calculations: await calculationsIn(database, logbookId),
    mayWrite: members.some(({ id }) => id === who.id),
  };
}

/**
 * Adds an entry. Nothing is overwritten: an entry that strikes another names it and says why. A repeated request
 * with the same id is harmless. @throws Problem
 */
export async function addEntry(
  { database, live, feed }: Services,
  who: Who,
  logbookId: string,
  entry: NewEntry,
): Promise<EntryAnswer> {
  const { investigation, members } = await readable(database, who, logbookId);
  if (!members.some(({ id }) => id === who.id)) throw new Problem('not-allowed');
  const tag = tagOf(investigation.body, entry.column);
  if (entry.replaces) await checkCorrection(database, logbookId, entry);
  try {
    await database.models.logbookEntries.create({
      id: entry.id,
      logbookId,
      trial: entry.trial,
      column: entry.column,
      text: entry.text,
      tag,
      readerId: who.id,
      // Only what the balance itself said counts as read from it.
      origin: entry.takenId && feed.taken(entry.takenId)?.text === entry.text ? 'balance' : 'own',
      replaces: entry.replaces ?? null,
      reason: entry.reason?.trim() || null,
      writtenAt: new Date(entry.writtenAt),
    });
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    const twin = await database.models.logbookEntries.findByPk(entry.id);
    const same = twin?.logbookId === logbookId && twin.readerId === who.id && twin.text === entry.text;
    if (!same) throw new Problem('already-used');
  }
  const kept = await database.models.logbookEntries.findByPk(entry.id);
  if (!kept) throw new Problem('unexpected');
  const readers = members.map(({ id }) => id);
  live.tell({ changed: 'logbook', logbookId, classId: investigation.classId, readers });
  live.tell({ changed: 'board', classId: investigation.classId, readers: [] });
  return { entry: asEntry(kept, who.name) };
}

function tagOf(investigation: Investigation, columnKey: string): string {
  const column = investigation.columns.find(({ key }) => key === columnKey);
  if (!column) throw new Problem('not-valid', `This logbook has no column “${columnKey}”.`);
  return kitOf(investigation, column.tag).tag;
}

async function checkCorrection(
  { models }: Database,
  logbookId: string,
  { replaces, trial, column, reason }: NewEntry,
): Promise<void> {
  if (!reason?.trim())
    throw new Problem('not-valid', 'A correction says why. Write the reason in a few words.');
  const struck = await models.logbookEntries.findByPk(replaces ?? '');
  if (!struck || struck.logbookId !== logbookId || struck.trial !== trial || struck.column !== column) {
    throw new Problem('not-valid', 'The entry that this one corrects is not in this cell.');
  }
}

/** A logbook may be read by those who write in it and by the staff of its class. @throws Problem */
async function readable(database: Database, who: Who, logbookId: string) {
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

async function entriesOf({ models }: Database, logbookId: string): Promise<Entry[]> {
  const rows = await models.logbookEntries.findAll({ where: { logbookId }, order: [['seq', 'asc']] });
  const readers = await models.people.findAll({
    where: { id: [...new Set(rows.map(({ readerId }) => readerId))] },
  });
  const names = new Map(readers.map(({ id, name }) => [id, name]));
  return rows.map((row) => asEntry(row, names.get(row.readerId) ?? ''));
}

const asEntry = (row: LogbookEntryRow, reader: string): Entry => ({
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
