import { endpoints, type ArrivedEntries, type LogbookAnswer } from '@green-beam/contract';
import type { Entry } from '@green-beam/core';
import type { QueryClient } from '@tanstack/react-query';
import { call } from '../api';

/** A logbook as it was fetched, with what was sent from here since and has not come back in its order yet. */
export interface KeptLogbook extends LogbookAnswer {
  readonly sent?: readonly Entry[];
}

export const keyOf = (id: string) => ['logbook', id] as const;

/** Puts entries into the book that the server has. Where others came between, they are fetched too. */
export function arrive(queries: QueryClient, id: string, { entries, after, last }: ArrivedEntries): void {
  let missing = false;
  queries.setQueryData<KeptLogbook>(keyOf(id), (book) => {
    if (!book) return book;
    if (after !== null && last !== null) {
      if (last <= book.last) return book;
      if (after <= book.last) return appended(book, entries, last);
    }
    missing = true;
    const known = new Set([...book.entries, ...(book.sent ?? [])].map((entry) => entry.id));
    return { ...book, sent: [...(book.sent ?? []), ...entries.filter((entry) => !known.has(entry.id))] };
  });
  if (missing) void catchUp(queries, id);
  catchUpOnceThere(queries, id);
}

/** A book that is on its way was read before what has just come: once it is there, what came since is fetched. */
function catchUpOnceThere(queries: QueryClient, id: string): void {
  const query = queries.getQueryCache().find({ queryKey: keyOf(id) });
  if (query?.state.fetchStatus !== 'fetching') return;
  void query.promise?.then(
    () => catchUp(queries, id),
    () => undefined,
  );
}

function appended(book: KeptLogbook, entries: readonly Entry[], last: number): KeptLogbook {
  const known = new Set(book.entries.map(({ id }) => id));
  const arrived = new Set(entries.map(({ id }) => id));
  return {
    ...book,
    last,
    entries: [...book.entries, ...entries.filter(({ id }) => !known.has(id))],
    sent: (book.sent ?? []).filter(({ id }) => !arrived.has(id)),
  };
}

const underWay = new Map<string, { again: boolean }>();

/** Fetches what has arrived since, and nothing else; asked again while it is at it, it goes once more. */
export async function catchUp(queries: QueryClient, id: string): Promise<void> {
  const running = underWay.get(id);
  if (running) {
    running.again = true;
    return;
  }
  const turn = { again: false };
  underWay.set(id, turn);
  try {
    do {
      turn.again = false;
      const book = queries.getQueryData<KeptLogbook>(keyOf(id));
      if (!book) return catchUpOnceThere(queries, id);
      const { entries, last } = await call(endpoints.entries, {
        params: { logbookId: id },
        query: `?after=${book.last}`,
      });
      queries.setQueryData<KeptLogbook>(keyOf(id), (now) =>
        now && now.last < last ? appended(now, entries, last) : now,
      );
    } while (turn.again);
  } catch {
    // The line is down: when it is back, everything is fetched anew.
  } finally {
    underWay.delete(id);
  }
}
