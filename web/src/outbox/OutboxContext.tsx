import { useQueryClient } from '@tanstack/react-query';
import { createContext, useContext, useEffect, useMemo, useSyncExternalStore, type ReactNode } from 'react';
import type { Entry } from '@green-beam/core';
import { call } from '../api';
import { catchUp, keepSent } from '../logbook/kept';
import { useWho } from '../session/who';
import { Outbox, type Parcel } from './outbox';
import { storage } from './storage';

const Context = createContext<Outbox | null>(null);

/** Gives the signed-in person's outbox to the pages, and keeps it going. */
export function OutboxProvider({ children }: { readonly children: ReactNode }) {
  const { id } = useWho();
  const queries = useQueryClient();
  const outbox = useMemo(() => new Outbox(id, storage, (path, body) => call('POST', path, body)), [id]);
  useEffect(() => {
    const flush = () => void outbox.flush();
    const refresh = () => outbox.refresh();
    addEventListener('online', flush);
    addEventListener('storage', refresh);
    const forget = outbox.onSent(({ parcel, answer }) => {
      const [, logbookId, what] =
        /\/logbooks\/([^/]+)\/(entries|blocks|calculations)/.exec(parcel.path) ?? [];
      if (!logbookId) return;
      if (what === 'calculations') void queries.invalidateQueries({ queryKey: ['logbook', logbookId] });
      else {
        const { entry, entries = entry ? [entry] : [] } = answer as {
          entry?: Entry;
          entries?: readonly Entry[];
        };
        keepSent(queries, logbookId, entries);
        void catchUp(queries, logbookId);
      }
    });
    flush();
    return () => {
      removeEventListener('online', flush);
      removeEventListener('storage', refresh);
      forget();
    };
  }, [outbox, queries]);
  return <Context value={outbox}>{children}</Context>;
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
