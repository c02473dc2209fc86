import { endpoints, paths } from '@green-beam/contract';
import { useQueryClient } from '@tanstack/react-query';
import { createContext, useContext, useEffect, useState, useSyncExternalStore, type ReactNode } from 'react';
import { answerTo, sendKept } from '../api';
import { arrive, catchUp } from '../answers/logbook';
import { useWho } from '../session/who';
import { parcelsOf } from '../browser/database';
import { Outbox } from './outbox';
import type { Parcel } from '../browser/parcel';
import { storage } from '../browser/storage';

const Context = createContext<Outbox | null>(null);

/** Gives the signed-in person's outbox to the pages, once what waits in it has been read, and keeps it going. */
export function OutboxProvider({ children }: { readonly children: ReactNode }) {
  const { id } = useWho();
  const queries = useQueryClient();
  const [outbox, setOutbox] = useState<Outbox | null>(null);
  useEffect(() => {
    const own = openOutbox(id);
    let gone = false;
    void own.ready.then(() => {
      if (gone) return;
      setOutbox(own.outbox);
      void own.outbox.flush();
    });
    const flush = () => void own.outbox.flush();
    addEventListener('online', flush);
    const forget = own.outbox.onSent(({ parcel: { path }, answer }) => {
      const written =
        answerTo(endpoints.newEntry, path, answer) ?? answerTo(endpoints.newBlock, path, answer);
      const again = (...queryKey: string[]) => void queries.invalidateQueries({ queryKey });
      if (written) {
        // Work that is set may be done by it.
        if (written.answer.entries.some(({ kind }) => kind === 'hand-in')) again('tasks');
        return arrive(queries, written.params['logbookId'] ?? '', written.answer);
      }
      if (answerTo(endpoints.attempt, path, answer) || answerTo(endpoints.drillAttempt, path, answer))
        for (const of of ['tasks', 'bench', 'drills']) again(of);
      if (path === paths.rearranged || path === paths.spotted) return again('drills');
      const [, logbookId, what] = /\/logbooks\/([^/]+)\/(entries|blocks|calculations)/.exec(path) ?? [];
      if (!logbookId) return;
      if (what === 'calculations') again('logbook', logbookId);
      else void catchUp(queries, logbookId);
    });
    return () => {
      gone = true;
      removeEventListener('online', flush);
      forget();
      own.outbox.close();
    };
  }, [id, queries]);
  return outbox && <Context value={outbox}>{children}</Context>;
}

/** So long a browser may take to open its database before the pages go on without it. */
const patienceMs = 3_000;

function openOutbox(person: string): { readonly outbox: Outbox; readonly ready: Promise<void> } {
  const name = `green-beam/outbox/${person}`;
  const outbox = new Outbox({
    store: parcelsOf(person),
    send: ({ path, body }) => sendKept(path, body, person),
    alone: (act) => (navigator.locks ? navigator.locks.request(name, act) : act()),
    now: Date.now,
    channel: typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(name),
  });
  const slow = new Promise<void>((resolve) => setTimeout(resolve, patienceMs));
  return { outbox, ready: Promise.race([readFormer(person).then(() => outbox.refresh()), slow]) };
}

/** What an earlier version of the pages kept goes first. */
async function readFormer(person: string): Promise<void> {
  const key = `green-beam/outbox/${person}`;
  const text = storage.getItem(key);
  if (text === null) return;
  try {
    for (const { id, path, body } of JSON.parse(text) as Parcel[])
      await parcelsOf(person).add({ id, path, body });
    storage.removeItem(key);
  } catch {
    // It stays where it is, for another time.
  }
}

export function useOutbox(): Outbox {
  const outbox = useContext(Context);
  if (!outbox) throw new Error('The outbox is used outside its provider.');
  return outbox;
}

export function useParcels(): readonly Parcel[] {
  const outbox = useOutbox();
  return useSyncExternalStore(
    (tell) => outbox.onChange(tell),
    () => outbox.parcels,
  );
}
