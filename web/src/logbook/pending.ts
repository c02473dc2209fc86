import type { LogbookAnswer, NewEntry } from '@green-beam/contract';
import {
  columnOf,
  flatSubject,
  formerSubject,
  subjectFrom,
  type Entry,
  type FlatSubject,
} from '@green-beam/core';

/** The entries of a parcel: one, or a block of them. */
export const bodies = (body: object): readonly NewEntry[] =>
  'entries' in body ? (body.entries as readonly NewEntry[]) : [body as NewEntry];

/** What waits, as the entry that it will be. */
export function asEntry(body: NewEntry, { investigation }: LogbookAnswer, reader: string): Entry {
  const { kind, trial, of } = aboutOf(body);
  const column = kind === 'reading' ? columnOf(investigation, of)?.column : undefined;
  return {
    ...subjectFrom({ kind, trial, of }),
    id: body.id,
    text: body.text,
    tag: body.tag ?? (column?.kind === 'measured' ? column.tag : ''),
    reader,
    writtenAt: String(body.writtenAt),
    replaces: body.replaces ?? null,
    reason: body.reason ?? null,
    origin: body.takenId ? 'balance' : body.attemptId ? 'simulated' : body.supplied ? 'teacher' : 'own',
  };
}

/** What waits from before entries said what they are about is brought into shape as the server does it. */
const aboutOf = (body: NewEntry | FormerEntry): FlatSubject =>
  'column' in body
    ? flatSubject(subjectFrom({ ...formerSubject(body.column), trial: body.trial } as FlatSubject))
    : body;

interface FormerEntry {
  readonly column: string;
  readonly trial: number;
}
