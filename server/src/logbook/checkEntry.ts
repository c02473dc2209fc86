import { isId, pieceSchema, type NewEntry } from '@green-beam/contract';
import {
  columnOf,
  isSuppliedCell,
  parseReading,
  pieceFrom,
  questionsOfClaims,
  type Investigation,
} from '@green-beam/core';
import { literal, Op } from 'sequelize';
import type { Database, LogbookEntryRow, TryRow } from '../database/models';
import { Problem } from '../http/problem';

const longestCell = 60;

/** Of an answer that is held back not even that it may be taken along is told. */
const onTheBench = {
  [Op.in]: literal(
    `(select e.id from exercises e where e.item->>'of' = 'setting' and (e.held_by is null or exists
      (select 1 from reveals r where r.of_id = e.held_by)))`,
  ),
};

/** The rows that entries name: what they strike, their photographs, the tries that they were taken from. */
export interface NamedByEntries {
  readonly struck: ReadonlyMap<string, Pick<LogbookEntryRow, 'kind' | 'trial' | 'of'>>;
  readonly photos: ReadonlySet<string>;
  readonly attempts: ReadonlyMap<string, TryRow>;
}

/** Reads all of them at once; nothing where nothing is named. */
export async function readWhatTheyName(
  { models }: Database,
  logbookId: string,
  entries: readonly NewEntry[],
): Promise<NamedByEntries> {
  const struckIds = entries.flatMap(({ replaces }) => replaces ?? []);
  const photoIds = entries.flatMap(({ kind, text }) => (kind === 'photo' && isId(text) ? [text] : []));
  const attemptIds = entries.flatMap(({ attemptId }) => attemptId ?? []);
  const [struck, photos, attempts] = await Promise.all([
    struckIds.length === 0
      ? []
      : models.logbookEntries.findAll({
          attributes: ['id', 'kind', 'trial', 'of'],
          where: { logbookId, id: struckIds },
        }),
    photoIds.length === 0
      ? []
      : models.logbookPhotos.findAll({ attributes: ['id'], where: { logbookId, id: photoIds } }),
    attemptIds.length === 0
      ? []
      : models.tries.findAll({ where: { id: attemptIds, exerciseId: onTheBench } }),
  ]);
  return {
    struck: new Map([
      ...struck.map(({ id, kind, trial, of }) => [id, { kind, trial, of }] as const),
      // One may strike another of the same block.
      ...entries.map(({ id, kind, trial, of }) => [id, { kind, trial, of }] as const),
    ]),
    photos: new Set(photos.map(({ id }) => id)),
    attempts: new Map(attempts.map((attempt) => [attempt.id, attempt])),
  };
}

/** @throws Problem in words for an entry that cannot stand in this logbook */
export function checkEntry(investigation: Investigation, entry: NewEntry, named: NamedByEntries): void {
  const { kind, of, trial, text, reason, supplied } = entry;
  if (!standsIn[kind](investigation, of))
    throw new Problem(
      'not-valid',
      `This logbook has ${kind === 'reading' ? `no column “${of}”` : 'no place for that'}.`,
    );
  if (kind === 'reading' && isSuppliedCell(investigation, trial, of))
    throw new Problem(
      'not-valid',
      'Your teacher measured that: it stays as it is, and is left to be worked.',
    );
  if (ofTrial.has(kind) ? trial < 1 : trial !== 0)
    throw new Problem('not-valid', ofTrial.has(kind) ? 'Trials count from 1.' : 'That belongs to no trial.');
  if ((kind === 'reading' || kind === 'mean') && text.length > longestCell)
    throw new Problem('not-valid', `The reading is at most ${longestCell} characters long.`);
  if (kind === 'standing' && !['abandoned', 'excluded', 'counts'].includes(text))
    throw new Problem('not-valid', 'A trial is abandoned, excluded, or it counts.');
  if (supplied && !investigation.supplied)
    throw new Problem('not-valid', 'In this investigation only numbers that you read yourselves may stand.');
  if (kind === 'standing' && !reason?.trim())
    throw new Problem('not-valid', 'Say why the trial does not count, or counts again.');
  if (kind === 'photo' && !named.photos.has(text))
    throw new Problem('not-valid', 'That photograph is not in this logbook.');
  if (kind === 'piece') checkPieceEntry(investigation, of, text);
  if (entry.replaces) checkCorrection(entry, named);
}

/** A piece that is taken to the bench stands in for one of its kind. @throws Problem */
function checkPieceEntry({ kit }: Investigation, of: string, text: string): void {
  const own = pieceFrom(text);
  const whole = { place: '', count: 1, checks: [], faults: '', outOfUse: false, ...own?.piece };
  if (!own || typeof own.corrected !== 'boolean' || own.piece.tag !== of || !pieceSchema.isValidSync(whole))
    throw new Problem('not-valid', 'The piece could not be read.');
  const role = kit.find(({ tag }) => tag === own.role);
  if (role?.kind !== own.piece.kind)
    throw new Problem('not-valid', `${of} is of another kind than ${own.role}: it cannot stand in for it.`);
}

type Kind = NewEntry['kind'];

const ofTrial: ReadonlySet<Kind> = new Set(['reading', 'standing', 'remark', 'photo', 'run']);

const hasTable = ({ tables }: Investigation, of: string): boolean => tables.some(({ key }) => key === of);

/** Whether an investigation has the column, the table or the question that an entry is of. */
const standsIn: Readonly<Record<Kind, (investigation: Investigation, of: string) => boolean>> = {
  // What is given is not written by anybody.
  reading: (investigation, of) => {
    const column = columnOf(investigation, of)?.column;
    return column !== undefined && column.kind !== 'given';
  },
  standing: hasTable,
  remark: hasTable,
  photo: hasTable,
  run: hasTable,
  // Whoever works a column works its mean too.
  mean: (investigation, of) => {
    const column = columnOf(investigation, of)?.column;
    return column?.kind === 'derived' && column.by === 'student';
  },
  answer: ({ questions }, of) => questions.some(({ key }) => key === of),
  prediction: ({ predictions }, of) => predictions.some(({ key }) => key === of),
  claim: ({ results }, of) =>
    results.some(({ key }) => questionsOfClaims.some((question) => of === `${key}/${question}`)),
  // A piece has a tag, and stands in for one of the kit; what it is, its text says.
  piece: (_, of) => of.trim() !== '',
  kit: ({ kit }, of) => kit.some(({ tag }) => tag === of),
  // They are the staff's, and come another way.
  initials: () => false,
  'hand-in': (_, of) => of === '',
};

function checkCorrection({ replaces, kind, trial, of, reason }: NewEntry, { struck }: NamedByEntries): void {
  // What is said about a trial, an answer or a remark may be replaced without a reason; a reading may not.
  if (kind === 'reading' && !reason?.trim())
    throw new Problem('not-valid', 'A correction says why. Write the reason in a few words.');
  const before = struck.get(replaces ?? '');
  if (before?.kind !== kind || before.trial !== trial || before.of !== of)
    throw new Problem('not-valid', 'The entry that this one corrects is not in this cell.');
}

export function sameNumber(a: string, b: string): boolean {
  const [left, right] = [parseReading(a), parseReading(b)];
  return left.ok && right.ok && left.number.value.eq(right.number.value);
}

/** The tag of a column's instrument; '' for what is read from none. */
export function tagOf(investigation: Investigation, key: string): string {
  const column = columnOf(investigation, key)?.column;
  return column?.kind === 'measured' ? column.tag : '';
}
