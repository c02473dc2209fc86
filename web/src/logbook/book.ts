import { at, endpoints, paths, type LogbookAnswer, type NewEntry } from '@green-beam/contract';
import {
  cellKey,
  columnOf,
  flatSubject,
  OutcomeEvaluator,
  initialledOf,
  subjectKey,
  cellsIn,
  tagInUse,
  withPieces,
  type Cell,
  type Entry,
  type Initialled,
  type Investigation,
  type Outcome,
  type PastedCell,
  type Subject,
} from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo } from 'react';
import { useOutletContext } from 'react-router';
import { call } from '../api';
import { useOutbox, useParcels } from '../outbox/OutboxContext';
import type { Parcel } from '../browser/parcel';
import { useWho } from '../session/who';
import { keyOf, type KeptLogbook } from '../answers/logbook';
import { asEntry, bodies } from './pending';

export const useLogbook = (id: string, enabled = true) =>
  useQuery({
    enabled,
    queryKey: keyOf(id),
    queryFn: (): Promise<KeptLogbook> => call(endpoints.logbook, { params: { logbookId: id } }),
  });

/** What is written in a cell. */
export interface Writing {
  readonly trial: number;
  readonly column: string;
  readonly text: string;
  readonly strikes?: { readonly id: string; readonly reason: string };
  /** The reading of a connected balance that it is. */
  readonly takenId?: string;
  /** The try on the bench that it is. */
  readonly attemptId?: string;
  readonly supplied?: boolean;
  /** True where what a partner wrote is covered: it is written as in an empty cell. */
  readonly afresh?: boolean;
  /** The instrument, where it is not the one of the column. */
  readonly tag?: string;
}

export interface Book {
  /** With the pieces of the stockroom that are used in its kit. */
  readonly answer: LogbookAnswer;
  /** The investigation as its teacher wrote it. */
  readonly plan: Investigation;
  readonly entries: readonly Entry[];
  readonly table: ReadonlyMap<string, Cell>;
  readonly outcome: Outcome;
  /** Who of the staff looked the data through, and what was written since. */
  readonly initialled: Initialled | null;
  /** Ids of entries that are written here but not yet stored. */
  readonly waiting: ReadonlySet<string>;
  /** What the server did not take. */
  readonly refused: readonly Parcel[];
  /** Each is done once it will not be lost. @throws NotKept */
  write(writing: Writing): Promise<void>;
  /** What is said besides the readings: it replaces what was said before. */
  say(subject: Subject, text: string, reason?: string): Promise<void>;
  /** Adds to what was said before, such as an abandoned run. */
  add(subject: Subject, text: string, reason?: string): Promise<void>;
  addPhoto(subject: Subject, photo: Blob): Promise<void>;
  writeBlock(cells: readonly PastedCell[]): Promise<void>;
}

/** A logbook with what still waits on this device, and what it all amounts to. */
export function useBook(fetched: KeptLogbook): Book {
  // What the hands do is drawn first, and the book follows as soon as there is time. It is asked for here again, so that
  // what was just stored comes in the same turn in which it leaves the outbox.
  const answer = useDeferredValue(useLogbook(fetched.id).data ?? fetched);
  const parcels = useDeferredValue(useParcels());
  const { name } = useWho();
  const outbox = useOutbox();
  const path = at(paths.entries, { logbookId: answer.id });
  const blocks = at(paths.blocks, { logbookId: answer.id });
  const { conventions, investigation: plan } = answer;
  const mine = useMemo(
    () => parcels.filter((parcel) => parcel.path === path || parcel.path === blocks),
    [parcels, path, blocks],
  );
  const { entries, pending, table, initialled } = useMemo(() => {
    const stored = new Set([...answer.entries, ...(answer.sent ?? [])].map(({ id }) => id));
    const pending = mine
      .filter(({ refused }) => refused === undefined)
      .flatMap(({ body }) => bodies(body))
      .filter(({ id }) => !stored.has(id));
    const known = new Set(answer.entries.map(({ id }) => id));
    const entries = [
      ...answer.entries,
      ...(answer.sent ?? []).filter(({ id }) => !known.has(id)),
      ...pending.map((body) => asEntry(body, answer, name)),
    ];
    return { entries, pending, table: cellsIn(plan, entries), initialled: initialledOf(entries) };
  }, [answer, plan, mine, name]);
  // The same object as long as the pieces that are used are the same.
  const investigation = withPieces(plan, table);
  const reckoner = useMemo(
    () => new OutcomeEvaluator(investigation, conventions),
    [investigation, conventions],
  );
  const outcome = useMemo(() => reckoner.outcomeOf(table), [reckoner, table]);
  return useMemo(() => {
    /** The piece that a reading is made on now, where it is not the one of its column. */
    const tagFor = (subject: Subject): string | null => {
      const column = subject.kind === 'reading' ? columnOf(plan, subject.column)?.column : undefined;
      if (column?.kind !== 'measured') return null;
      const tag = tagInUse(table, column.tag);
      return tag === column.tag ? null : tag;
    };
    const newEntry = (
      subject: Subject,
      text: string,
      replaces: string | null,
      reason: string | null,
      from: Partial<Writing> = {},
    ): NewEntry => ({
      id: crypto.randomUUID(),
      ...flatSubject(subject),
      text,
      tag: from.tag ?? tagFor(subject),
      supplied: from.supplied ?? false,
      replaces,
      reason,
      takenId: from.takenId ?? null,
      attemptId: from.attemptId ?? null,
      writtenAt: new Date().toISOString(),
    });
    const send = (body: NewEntry, needs: readonly string[] = body.replaces ? [body.replaces] : []) =>
      outbox.add({ id: body.id, path, body, needs });
    return {
      answer: investigation === plan ? answer : { ...answer, investigation },
      plan,
      entries,
      table,
      outcome,
      initialled,
      waiting: new Set(pending.map(({ id }) => id)),
      refused: mine.filter(({ refused }) => refused !== undefined),
      write: async (writing) => {
        const current = table.get(cellKey(writing.trial, writing.column))?.current;
        if (current && !writing.strikes && !writing.afresh) return;
        const { trial, column, text, strikes } = writing;
        const subject: Subject = { kind: 'reading', trial, column };
        await send(newEntry(subject, text, strikes?.id ?? null, strikes?.reason ?? null, writing));
      },
      say: (subject, text, reason) => {
        const current = table.get(subjectKey(subject))?.current;
        return send(newEntry(subject, text, current?.id ?? null, reason ?? null));
      },
      addPhoto: async (subject, photo) => {
        const id = crypto.randomUUID();
        await outbox.add({ id, path: at(paths.photo, { logbookId: answer.id, photoId: id }), body: photo });
        await send(newEntry(subject, id, null, null), [id]);
      },
      add: (subject, text, reason) => send(newEntry(subject, text, null, reason ?? null)),
      writeBlock: async (cells) => {
        const body = {
          id: crypto.randomUUID(),
          entries: cells.map(({ trial, column, text }) =>
            newEntry({ kind: 'reading', trial, column: column.key }, text, null, null),
          ),
        };
        if (body.entries.length > 0) await outbox.add({ id: body.id, path: blocks, body });
      },
    };
  }, [answer, investigation, plan, entries, pending, table, initialled, outcome, mine, outbox, path, blocks]);
}

/** The open book, for the pages of a logbook. */
export const useOpenBook = (): Book => useOutletContext<Book>();
