import { subjectFrom, type Entry, type SubjectKind } from '@green-beam/core';

/** An entry as a query gives it, with the name of its reader where that is wanted. */
export interface EntryRow {
  readonly id: string;
  readonly seq: string;
  readonly prior?: string | null;
  readonly kind: SubjectKind;
  readonly trial: number;
  /** The column, the table or the question that it is of. */
  readonly of: string;
  readonly text: string;
  readonly tag: string;
  readonly reader?: string;
  readonly origin: NonNullable<Entry['origin']>;
  readonly replaces: string | null;
  readonly reason: string | null;
  readonly writtenAt: Date;
  readonly createdAt: Date;
  readonly timedBy: 'writer' | 'receipt';
}

export const asEntry = (row: EntryRow): Entry => ({
  ...subjectFrom(row),
  id: row.id,
  text: row.text,
  tag: row.tag,
  reader: row.reader ?? '',
  origin: row.origin,
  writtenAt: row.writtenAt.toISOString(),
  receivedAt: row.createdAt.toISOString(),
  timedBy: row.timedBy,
  replaces: row.replaces,
  reason: row.reason,
});

/** What a query of entries asks for, of `logbook_entries e` joined with `people p`. */
export const entryColumns = `e.id, e.seq, e.prior, e.kind, e.trial, e."of", e.text, e.tag, p.name as reader, e.origin, e.replaces,
  e.reason, e.written_at as "writtenAt", e.created_at as "createdAt", e.timed_by as "timedBy"`;
