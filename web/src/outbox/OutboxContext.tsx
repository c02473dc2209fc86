import { useQueryClient } from '@tanstack/react-query';
import { createContext, useContext, useEffect, useMemo, useSyncExternalStore, type ReactNode } from 'react';
import { call } from '../api';
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
    const forget = outbox.onSent(({ parcel }) => {
      const logbookId = /\/logbooks\/([^/]+)\//.exec(parcel.path)?.[1];
      if (logbookId) void queries.invalidateQueries({ queryKey: ['logbook', logbookId] });
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
