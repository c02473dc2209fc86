import { isId, type NewEntry } from '@green-beam/contract';
import { besides, columnOf, parseNumber, type Investigation } from '@green-beam/core';
import type { AttemptRow, Database, LogbookEntryRow } from '../database/models';
import { Problem } from '../http/problem';

const longestCell = 60;

/** The rows that entries name: what they strike, their photographs, the tries that they were taken from. */
export interface NamedByEntries {
  readonly struck: ReadonlyMap<string, Pick<LogbookEntryRow, 'trial' | 'column'>>;
  readonly photos: ReadonlySet<string>;
  readonly attempts: ReadonlyMap<string, AttemptRow>;
}

/** Reads all of them at once; nothing where nothing is named. */
export async function readWhatTheyName(
  { models }: Database,
  logbookId: string,
  entries: readonly NewEntry[],
): Promise<NamedByEntries> {
  const struckIds = entries.flatMap(({ replaces }) => replaces ?? []);
  const photoIds = entries.flatMap(({ column, text }) => (isPhoto(column) && isId(text) ? [text] : []));
  const attemptIds = entries.flatMap(({ attemptId }) => attemptId ?? []);
  const [struck, photos, attempts] = await Promise.all([
    struckIds.length === 0
      ? []
      : models.logbookEntries.findAll({
          attributes: ['id', 'trial', 'column'],
          where: { logbookId, id: struckIds },
        }),
    photoIds.length === 0
      ? []
      : models.logbookPhotos.findAll({ attributes: ['id'], where: { logbookId, id: photoIds } }),
    attemptIds.length === 0 ? [] : models.attempts.findAll({ where: { id: attemptIds } }),
  ]);
  return {
    struck: new Map([
      ...struck.map(({ id, trial, column }) => [id, { trial, column }] as const),
      // One may strike another of the same block.
      ...entries.map(({ id, trial, column }) => [id, { trial, column }] as const),
    ]),
    photos: new Set(photos.map(({ id }) => id)),
    attempts: new Map(attempts.map((attempt) => [attempt.id, attempt])),
  };
}

const isPhoto = (column: string): boolean => column.startsWith(besides.photo(''));

/** @throws Problem in words for an entry that cannot stand in this logbook */
export function checkEntry(investigation: Investigation, entry: NewEntry, named: NamedByEntries): void {
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
  if (isPhoto(column) && !named.photos.has(text))
    throw new Problem('not-valid', 'That photograph is not in this logbook.');
  if (entry.replaces) checkCorrection(entry, named);
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

function checkCorrection({ replaces, trial, column, reason }: NewEntry, { struck }: NamedByEntries): void {
  // What is said about a trial, an answer or a remark may be replaced without a reason; a reading may not.
  if (!column.startsWith('@') && !reason?.trim())
    throw new Problem('not-valid', 'A correction says why. Write the reason in a few words.');
  const before = struck.get(replaces ?? '');
  if (before?.trial !== trial || before.column !== column)
    throw new Problem('not-valid', 'The entry that this one corrects is not in this cell.');
}

export function sameNumber(a: string, b: string): boolean {
  const [left, right] = [parseNumber(a), parseNumber(b)];
  return left.ok && right.ok && left.number.value.eq(right.number.value);
}

/** The tag of a column's instrument; '' for what is read from none. */
export function tagOf(investigation: Investigation, key: string): string {
  const column = columnOf(investigation, key)?.column;
  return column?.kind === 'measured' ? column.tag : '';
}
