import { at, paths, type EntriesAnswer, type LogbookAnswer } from '@green-beam/contract';
import type { Entry } from '@green-beam/core';
import type { QueryClient } from '@tanstack/react-query';
import { call } from '../api';

/** A logbook as it was fetched, with what was sent from here since and has not come back in its order yet. */
export interface KeptLogbook extends LogbookAnswer {
  readonly sent?: readonly Entry[];
}

export const keyOf = (id: string) => ['logbook', id] as const;

/** Puts what the server took at once into the book, before it comes back in its order. */
export function keepSent(queries: QueryClient, id: string, entries: readonly Entry[]): void {
  queries.setQueryData<KeptLogbook>(
    keyOf(id),
    (book) => book && { ...book, sent: [...(book.sent ?? []), ...entries] },
  );
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
      if (!book) return;
      const path = `${at(paths.entries, { logbookId: id })}?after=${book.last}`;
      const { entries, last } = await call<EntriesAnswer>('GET', path);
      queries.setQueryData<KeptLogbook>(keyOf(id), (now) => {
        if (!now || now.last >= last) return now;
        const fresh = entries.filter(({ id: own }) => !now.entries.some((known) => known.id === own));
        const arrived = new Set(entries.map(({ id: own }) => own));
        return {
          ...now,
          last,
          entries: [...now.entries, ...fresh],
          sent: (now.sent ?? []).filter(({ id: own }) => !arrived.has(own)),
        };
      });
    } while (turn.again);
  } catch {
    // The line is down: when it is back, everything is fetched anew.
  } finally {
    underWay.delete(id);
  }
}
