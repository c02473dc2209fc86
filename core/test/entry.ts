import { formerSubject, subjectFrom, type FlatSubject } from '../src/record/subject';
import type { Entry, EntryHead } from '../src/record/table';
import type { Investigation } from '../src/record/investigation';

let made = 0;

/** An entry as a reader might have written it; each has an id of its own. `@remark fill` is a remark on a trial of a table. */
export const entry = (trial: number, about: string, text: string, rest: Partial<EntryHead> = {}): Entry => ({
  ...subjectFrom({ ...formerSubject(about), trial } as FlatSubject),
  id: `e${(made += 1)}`,
  text,
  tag: '',
  reader: 'Ada Lind',
  writtenAt: '2026-03-02T09:10:00Z',
  replaces: null,
  reason: null,
  ...rest,
});

/** Rows of texts under some columns, a trial each, read on the instruments of their columns. */
export const rows = (what: Investigation, columns: string, ...texts: string[]): Entry[] =>
  texts.flatMap((line, at) =>
    line.split(' ').map((text, nth) => {
      const key = columns.split(' ')[nth] ?? '';
      const column = what.tables.flatMap((table) => table.columns).find((own) => own.key === key);
      return entry(at + 1, key, text, { tag: column?.kind === 'measured' ? column.tag : '' });
    }),
  );
