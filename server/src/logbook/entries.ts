import {
  isId,
  largestPhoto,
  type EntryAnswer,
  type NewBlock,
  type NewEntry,
  type NewPhoto,
  type Who,
} from '@green-beam/contract';
import { besides, columnOf, parseNumber, type Entry, type Investigation } from '@green-beam/core';
import { UniqueConstraintError } from 'sequelize';
import type { Database } from '../database/models';
import { Problem } from '../http/problem';
import type { Services } from '../services';
import { asEntry, readable } from './service';

/**
 * Adds an entry. Nothing is overwritten: an entry that strikes another names it and says why. A repeated request
 * with the same id is harmless. @throws Problem
 */
export async function addEntry(
  services: Services,
  who: Who,
  logbookId: string,
  entry: NewEntry,
): Promise<EntryAnswer> {
  const { entries } = await addBlock(services, who, logbookId, { id: entry.id, entries: [entry] });
  const [added] = entries;
  if (!added) throw new Problem('unexpected');
  return { entry: added };
}

/** Adds entries in their order; a block that is refused adds none of them. @throws Problem */
export async function addBlock(
  services: Services,
  who: Who,
  logbookId: string,
  { entries }: NewBlock,
): Promise<{ readonly entries: readonly Entry[] }> {
  const { database, live } = services;
  const { investigation, members } = await readable(database, who, logbookId);
  if (!members.some(({ id }) => id === who.id)) throw new Problem('not-allowed');
  const added: Entry[] = [];
  for (const entry of entries) await checkEntry(services, investigation.body, logbookId, entry);
  for (const entry of entries) added.push(await store(services, who, logbookId, investigation.body, entry));
  const readers = members.map(({ id }) => id);
  live.tell({ changed: 'logbook', logbookId, classId: investigation.classId, readers });
  live.tell({ changed: 'board', classId: investigation.classId, readers: [] });
  return { entries: added };
}

async function store(
  services: Services,
  who: Who,
  logbookId: string,
  investigation: Investigation,
  entry: NewEntry,
): Promise<Entry> {
  const { models } = services.database;
  try {
    await models.logbookEntries.create({
      id: entry.id,
      logbookId,
      trial: entry.trial,
      column: entry.column,
      text: entry.text,
      tag: entry.tag?.trim() || tagOf(investigation, entry.column),
      readerId: who.id,
      origin: await originOf(services, who, entry),
      replaces: entry.replaces ?? null,
      reason: entry.reason?.trim() || null,
      writtenAt: new Date(entry.writtenAt),
    });
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
  }
  const kept = await models.logbookEntries.findByPk(entry.id);
  const same = kept?.logbookId === logbookId && kept.readerId === who.id && kept.text === entry.text;
  if (!kept || !same) throw new Problem('already-used');
  return asEntry(kept, who.name);
}

/** Where a number came from, as far as it can be vouched for: only what the balance or the bench itself said is theirs. */
async function originOf(
  { database, feed }: Services,
  who: Who,
  { takenId, attemptId, supplied, text }: NewEntry,
): Promise<'own' | 'teacher' | 'simulated' | 'balance'> {
  if (takenId && feed.taken(takenId)?.text === text) return 'balance';
  if (attemptId) {
    const attempt = await database.models.attempts.findByPk(attemptId);
    if (attempt?.personId === who.id && attempt.verdict.outcome === 'right' && sameNumber(attempt.text, text))
      return 'simulated';
  }
  return supplied ? 'teacher' : 'own';
}

function sameNumber(a: string, b: string): boolean {
  const [left, right] = [parseNumber(a), parseNumber(b)];
  return left.ok && right.ok && left.number.value.eq(right.number.value);
}

/** The tag of a column's instrument; '' for what is read from none. */
function tagOf(investigation: Investigation, key: string): string {
  const column = columnOf(investigation, key)?.column;
  return column?.kind === 'measured' ? column.tag : '';
}

const longestCell = 60;

async function checkEntry(
  { database }: Services,
  investigation: Investigation,
  logbookId: string,
  entry: NewEntry,
): Promise<void> {
  const { column, trial, text, reason, supplied } = entry;
  if (!(column.startsWith('@') ? isBesides(investigation, entry) : columnOf(investigation, column)))
    throw new Problem('not-valid', `This logbook has no column “${column}”.`);
  if (!column.startsWith('@')) {
    if (trial < 1) throw new Problem('not-valid', 'Trials count from 1.');
    if (text.length > longestCell)
      throw new Problem('not-valid', `The reading is at most ${longestCell} characters long.`);
  }
  if (supplied && !investigation.supplied)
    throw new Problem('not-valid', 'In this investigation only numbers that you read yourselves may stand.');
  if (column.startsWith(besides.standing('')) && !reason?.trim())
    throw new Problem('not-valid', 'Say why the trial does not count, or counts again.');
  if (column.startsWith(besides.photo(''))) await checkPhoto(database, logbookId, text);
  if (entry.replaces) await checkCorrection(database, logbookId, entry);
}

/** What may be written besides the cells. */
function isBesides(
  { questions, predictions, tables }: Investigation,
  { column, trial, text }: NewEntry,
): boolean {
  const ofTrial = (of: (table: string) => string) => tables.some(({ key }) => of(key) === column);
  if (ofTrial(besides.standing)) return trial > 0 && ['abandoned', 'excluded', 'counts'].includes(text);
  if ([besides.remark, besides.photo, besides.run].some(ofTrial)) return trial > 0;
  if (column === besides.handIn) return trial === 0;
  if (column.startsWith(besides.mean('')))
    return trial === 0 && text.length <= longestCell && workedMeans(tables).includes(column);
  return (
    trial === 0 &&
    (questions.some(({ key }) => besides.answer(key) === column) ||
      predictions.some(({ key }) => besides.prediction(key) === column))
  );
}

/** Whoever works a column works its mean too. */
const workedMeans = (tables: Investigation['tables']): string[] =>
  tables
    .flatMap(({ columns }) => columns)
    .flatMap((column) =>
      column.kind === 'derived' && column.by === 'student' ? [besides.mean(column.key)] : [],
    );

async function checkPhoto({ models }: Database, logbookId: string, photoId: string): Promise<void> {
  const known =
    isId(photoId) && (await models.logbookPhotos.count({ where: { logbookId, id: photoId } })) > 0;
  if (!known) throw new Problem('not-valid', 'That photograph is not in this logbook.');
}

async function checkCorrection(
  { models }: Database,
  logbookId: string,
  { replaces, trial, column, reason }: NewEntry,
): Promise<void> {
  // What is said about a trial, an answer or a remark may be replaced without a reason; a reading may not.
  if (!column.startsWith('@') && !reason?.trim())
    throw new Problem('not-valid', 'A correction says why. Write the reason in a few words.');
  const struck = await models.logbookEntries.findByPk(replaces ?? '');
  if (!struck || struck.logbookId !== logbookId || struck.trial !== trial || struck.column !== column) {
    throw new Problem('not-valid', 'The entry that this one corrects is not in this cell.');
  }
}

/** Keeps a photograph. The same id again is harmless. @throws Problem */
export async function addPhoto(
  { database }: Services,
  who: Who,
  logbookId: string,
  { id, mediaType, base64 }: NewPhoto,
): Promise<{ readonly id: string }> {
  const { members } = await readable(database, who, logbookId);
  if (!members.some((member) => member.id === who.id)) throw new Problem('not-allowed');
  const bytes = Buffer.from(base64, 'base64');
  if (bytes.length > largestPhoto) throw new Problem('too-large');
  if (!looksLike(bytes, mediaType)) throw new Problem('not-valid', 'The photograph could not be read.');
  try {
    await database.models.logbookPhotos.create({ id, logbookId, personId: who.id, mediaType, bytes });
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    const twin = await database.models.logbookPhotos.findByPk(id);
    if (twin?.logbookId !== logbookId || twin.personId !== who.id) throw new Problem('already-used');
  }
  return { id };
}

/** A file is what its first bytes say, not what its sender says. */
const looksLike = (bytes: Buffer, mediaType: string): boolean =>
  mediaType === 'image/png'
    ? bytes.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]))
    : bytes.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff]));

export async function photoOf({ database }: Services, logbookId: string, photoId: string) {
  const photo = await database.models.logbookPhotos.findByPk(photoId);
  if (photo?.logbookId !== logbookId) throw new Problem('not-found');
  return photo;
}
