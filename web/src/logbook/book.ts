import { at, paths, type LogbookAnswer, type NewEntry } from '@green-beam/contract';
import { cellKey, outcomeOf, tableOf, type Cell, type Entry, type Outcome } from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { call } from '../api';
import { useOutbox, useParcels } from '../outbox/OutboxContext';
import { useWho } from '../session/who';

export const useLogbook = (id: string) =>
  useQuery({
    queryKey: ['logbook', id],
    queryFn: () => call<LogbookAnswer>('GET', at(paths.logbook, { logbookId: id })),
  });

export interface Book {
  readonly answer: LogbookAnswer;
  readonly table: ReadonlyMap<string, Cell>;
  readonly outcome: Outcome;
  /** Ids of entries that are written here but not yet stored. */
  readonly waiting: ReadonlySet<string>;
  readonly refused: readonly { readonly id: string; readonly text: string; readonly sentence: string }[];
  discard(id: string): void;
  write(
    entry: Pick<NewEntry, 'trial' | 'column' | 'text'> & {
      readonly strikes?: { readonly id: string; readonly reason: string };
      /** The reading of a connected balance that it is. */
      readonly takenId?: string;
    },
  ): void;
}

/** A logbook with what still waits on this device, and what it all amounts to. */
export function useBook(answer: LogbookAnswer): Book {
  const { name } = useWho();
  const outbox = useOutbox();
  const path = at(paths.entries, { logbookId: answer.id });
  const parcels = useParcels();
  const mine = useMemo(() => parcels.filter((parcel) => parcel.path === path), [parcels, path]);
  return useMemo(() => {
    const stored = new Set(answer.entries.map(({ id }) => id));
    const pending = mine.filter(({ id, refused }) => refused === undefined && !stored.has(id));
    const entries = [
      ...answer.entries,
      ...pending.map(({ body }) => asEntry(body as NewEntry, answer, name)),
    ];
    const table = tableOf(entries);
    return {
      answer,
      table,
      outcome: outcomeOf(answer.investigation, table, answer.conventions),
      waiting: new Set(pending.map(({ id }) => id)),
      refused: mine.flatMap(({ id, body, refused }) =>
        refused === undefined ? [] : [{ id, text: (body as NewEntry).text, sentence: refused }],
      ),
      discard: (id) => outbox.discard(id),
      write: ({ trial, column, text, strikes, takenId }) => {
        const id = crypto.randomUUID();
        const current = table.get(cellKey(trial, column))?.current;
        if (current && !strikes) return;
        const body: NewEntry = {
          id,
          trial,
          column,
          text,
          replaces: strikes?.id ?? null,
          reason: strikes?.reason ?? null,
          takenId: takenId ?? null,
          writtenAt: new Date().toISOString(),
        };
        outbox.add({ id, path, body });
      },
    };
  }, [answer, mine, name, outbox, path]);
}

function asEntry(body: NewEntry, { investigation }: LogbookAnswer, reader: string): Entry {
  const tag = investigation.columns.find(({ key }) => key === body.column)?.tag ?? '';
  return {
    ...body,
    tag,
    reader,
    writtenAt: String(body.writtenAt),
    replaces: body.replaces ?? null,
    reason: body.reason ?? null,
    origin: body.takenId ? 'balance' : 'own',
  };
}
