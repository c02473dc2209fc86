import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { isHeld, opened, sealed } from './keys';
import type { Parcel, ParcelStore } from './parcel';

/** A parcel as it is kept: whose it is, and the rest sealed. */
interface KeptRecord {
  readonly person: string;
  readonly seq?: number;
  readonly sealed?: string;
}
/** As earlier versions of the pages kept it. */
type FormerRecord = Parcel & { readonly person: string; readonly seq?: number };

/** What this browser keeps for the people who use it. Nothing that a person wrote or was shown stands in it unsealed. */
interface Kept extends DBSchema {
  /** What waits to be sent, each record one parcel. */
  parcels: {
    key: number;
    value: KeptRecord | FormerRecord;
    indexes: { person: string };
  };
  /** What earlier versions of the pages locked when a session ended, by person. */
  sealed: { key: string; value: { readonly iv: Uint8Array; readonly data: ArrayBuffer } };
  /** The key of each person, wrapped by the word of their session. */
  keys: { key: string; value: string };
  /** Answers of the server, for a start without it, by person. */
  answers: { key: string; value: string };
  /** Who was signed in last, for a start without the server; and that somebody signed out without it. */
  session: {
    key: 'last' | 'leaving';
    value: { readonly person: string; readonly sealed: string } | { readonly at: number };
  };
}

export type Database = IDBPDatabase<Kept>;

let opening: Promise<Database> | undefined;

/** @throws where this browser keeps nothing */
export const database = (): Promise<Database> =>
  (opening ??= openDB<Kept>('green-beam', 2, {
    upgrade: (fresh, before, _, at) => {
      if (before < 1) {
        fresh
          .createObjectStore('parcels', { keyPath: 'seq', autoIncrement: true })
          .createIndex('person', 'person');
        for (const store of ['sealed', 'keys', 'answers', 'session'] as const) fresh.createObjectStore(store);
      } else
        // Unsealed in earlier versions. What waits to be sent stays, and is sealed when its writer is there.
        for (const store of ['keys', 'answers', 'session'] as const) void at.objectStore(store).clear();
    },
    // Another version of the pages wants it: let go.
    blocking: (_old, _fresh, event) => (event.target as IDBDatabase).close(),
    terminated: () => (opening = undefined),
  }).catch((error: unknown) => {
    opening = undefined;
    throw error;
  }));

/** The parcels of one person in this browser. Whoever does not hold their key sees none. */
export function parcelsOf(person: string): ParcelStore {
  // What was opened once is known by how it stands sealed.
  let known = new Map<string, Parcel>();
  return {
    all: async () => {
      const records = await (await database()).getAllFromIndex('parcels', 'person', person);
      const now = new Map<string, Parcel>();
      const parcels = records.flatMap((record) => {
        const locked = 'sealed' in record ? record.sealed : undefined;
        const parcel = (locked !== undefined && known.get(locked)) || parcelIn(record);
        if (parcel && locked !== undefined) now.set(locked, parcel);
        return parcel ? [{ ...parcel, seq: record.seq ?? 0 }] : [];
      });
      known = isHeld(person) ? now : new Map();
      return isHeld(person) ? parcels : parcels.filter(() => false);
    },
    add: async ({ id, path, body, needs, refused }) => {
      // Only what a parcel is made of: its place is given to it here.
      const parcel = { id, path, body, ...(needs && { needs }), ...(refused !== undefined && { refused }) };
      const record = await recordOf(person, parcel);
      const seq = await (await database()).add('parcels', record);
      return { ...parcel, seq };
    },
    put: async ({ seq, ...parcel }) => {
      const record = await recordOf(person, parcel);
      // One that was sent or put aside meanwhile stays gone.
      const at = (await database()).transaction('parcels', 'readwrite');
      if (await at.store.getKey(seq)) await at.store.put({ ...record, seq });
      await at.done;
    },
    remove: async (seq) => (await database()).delete('parcels', seq),
  };
}

/** Seals what an earlier version of the pages kept unsealed of somebody. */
export async function sealFormer(person: string): Promise<void> {
  const kept = await database();
  for (const record of await kept.getAllFromIndex('parcels', 'person', person)) {
    if (!('path' in record)) continue;
    const { seq, person: _, ...parcel } = record;
    const now = await recordOf(person, parcel);
    if (seq !== undefined && (await kept.getKey('parcels', seq)) !== undefined)
      await kept.put('parcels', { ...now, seq });
  }
}

interface File {
  readonly type: string;
  readonly base64: string;
}

async function recordOf(person: string, { body, ...parcel }: Parcel): Promise<KeptRecord> {
  const whole = body instanceof Blob ? { ...parcel, file: await fileText(body) } : { ...parcel, body };
  return { person, sealed: sealed(person, JSON.stringify(whole)) };
}

function parcelIn(record: KeptRecord | FormerRecord): Parcel | null {
  if ('path' in record) {
    const { person: _, seq: __, ...parcel } = record;
    return parcel;
  }
  const plain = record.sealed === undefined ? null : opened(record.person, record.sealed);
  return plain === null ? null : parcelFrom(JSON.parse(plain) as Parcel & { readonly file?: File });
}

/** A parcel as it was before it became a text. */
export const parcelFrom = ({ file, ...parcel }: Parcel & { readonly file?: File }): Parcel =>
  file ? { ...parcel, body: fileFrom(file) } : parcel;

async function fileText(file: Blob): Promise<File> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let letters = '';
  for (let at = 0; at < bytes.length; at += 8192)
    letters += String.fromCharCode(...bytes.subarray(at, at + 8192));
  return { type: file.type, base64: btoa(letters) };
}

const fileFrom = ({ type, base64 }: File): Blob =>
  new Blob([Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0))], { type });
