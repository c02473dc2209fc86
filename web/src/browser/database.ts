import type { DehydratedState } from '@tanstack/react-query';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { SessionAnswer } from '@green-beam/contract';
import type { Parcel, ParcelStore } from './parcel';

/** What this browser keeps for the people who use it. */
interface Kept extends DBSchema {
  /** What waits to be sent, each record one parcel. */
  parcels: {
    key: number;
    value: Parcel & { readonly person: string; readonly seq?: number };
    indexes: { person: string };
  };
  /** What was unsent when a session ended, locked, by person. */
  sealed: { key: string; value: { readonly iv: Uint8Array; readonly data: ArrayBuffer } };
  /** What it is locked with, while that person's session lasts. */
  keys: { key: string; value: CryptoKey };
  /** Answers of the server, for a start without it. */
  answers: {
    key: string;
    value: { readonly at: number; readonly shape?: number; readonly state: DehydratedState };
  };
  /** Who was signed in last, for a start without the server. */
  session: { key: 'last'; value: { readonly answer: SessionAnswer; readonly until: number } };
}

export type Database = IDBPDatabase<Kept>;

let opened: Promise<Database> | undefined;

/** @throws where this browser keeps nothing */
export const database = (): Promise<Database> =>
  (opened ??= openDB<Kept>('green-beam', 1, {
    upgrade: (fresh) => {
      fresh
        .createObjectStore('parcels', { keyPath: 'seq', autoIncrement: true })
        .createIndex('person', 'person');
      for (const store of ['sealed', 'keys', 'answers', 'session'] as const) fresh.createObjectStore(store);
    },
    // Another version of the pages wants it: let go.
    blocking: (_old, _fresh, event) => (event.target as IDBDatabase).close(),
    terminated: () => (opened = undefined),
  }).catch((error: unknown) => {
    opened = undefined;
    throw error;
  }));

/** The parcels of one person in this browser. */
export function parcelsOf(person: string): ParcelStore {
  return {
    all: async () =>
      (await (await database()).getAllFromIndex('parcels', 'person', person)) as (Parcel & {
        readonly seq: number;
      })[],
    add: async ({ id, path, body, needs, refused }) => {
      // Only what a parcel is made of: its place is given to it here.
      const parcel = { id, path, body, ...(needs && { needs }), ...(refused !== undefined && { refused }) };
      const seq = await (await database()).add('parcels', { ...parcel, person });
      return { ...parcel, seq };
    },
    put: async (parcel) => {
      // One that was sent or put aside meanwhile stays gone.
      const at = (await database()).transaction('parcels', 'readwrite');
      if (await at.store.getKey(parcel.seq)) await at.store.put({ ...parcel, person });
      await at.done;
    },
    remove: async (seq) => (await database()).delete('parcels', seq),
  };
}
