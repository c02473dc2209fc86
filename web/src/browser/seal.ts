import type { Parcel } from './parcel';
import { database, parcelsOf } from './database';
import { storage } from './storage';

/** Everything of one person that this browser keeps unlocked while they are signed in, besides what waits to be sent. */
const prefixesOf = (person: string): string[] =>
  ['draft', 'hands', 'carried'].map((what) => `green-beam/${what}/${person}`);

/** Keys that this page was given: another tab may lock everything first, and what is written here meanwhile is locked too. */
const held = new Map<string, CryptoKey>();

interface Unsent {
  readonly parcels: readonly Parcel[];
  /** Texts that were being typed, and where the hands were, by their names. */
  readonly texts: Readonly<Record<string, string>>;
}

/** Remembers what to lock a person's words with, and unlocks what was locked before. */
export async function unseal(person: string, sealKey: string): Promise<void> {
  await inTurn(async () => {
    const kept = await database();
    const key = await keyFrom(sealKey);
    held.set(person, key);
    await kept.put('keys', key, person);
    const sealed = await kept.get('sealed', person);
    if (!sealed) return;
    const { parcels, texts } = await open(key, sealed);
    const store = parcelsOf(person);
    const there = new Set((await store.all()).map(({ id }) => id));
    for (const parcel of parcels) if (!there.has(parcel.id)) await store.add(parcel);
    for (const [name, text] of Object.entries(texts))
      if (storage.getItem(name) === null) storage.setItem(name, text);
    await kept.delete('sealed', person);
  });
}

/** Locks what is unsent of a person: who signs in next cannot read it, and they find it again when they do. */
export async function seal(person: string): Promise<void> {
  await inTurn(async () => {
    const kept = await database();
    const key = held.get(person) ?? (await kept.get('keys', person));
    await kept.delete('answers', person);
    if (!key) return;
    const store = parcelsOf(person);
    const parcels = await store.all();
    const names = storage
      .names()
      .filter((name) => prefixesOf(person).some((prefix) => name.startsWith(prefix)));
    const texts = Object.fromEntries(names.map((name) => [name, storage.getItem(name) ?? '']));
    const before = await kept.get('sealed', person);
    const earlier = before ? await open(key, before).catch(() => nothing) : nothing;
    const known = new Set(parcels.map(({ id }) => id));
    const all: Unsent = {
      parcels: [...earlier.parcels.filter(({ id }) => !known.has(id)), ...parcels],
      texts: { ...earlier.texts, ...texts },
    };
    if (all.parcels.length > 0 || Object.keys(all.texts).length > 0)
      await kept.put('sealed', await lock(key, all), person);
    // Only what is locked now is taken away.
    for (const { seq } of parcels) await store.remove(seq);
    for (const name of names) storage.removeItem(name);
    await kept.delete('keys', person);
  });
}

/**
 * Locks what is unsent of everybody else: only one person at a time is at home in a browser. While nobody is signed in, a page
 * that is still open stays as it is: its person may sign in again there.
 */
export async function sealOthers(person: string | null): Promise<void> {
  const kept = await database();
  const open = person === null ? await peopleAtHome() : new Set<string>();
  for (const other of await kept.getAllKeys('keys'))
    if (other !== person && !open.has(other)) await seal(other);
  const last = await kept.get('session', 'last');
  if (last && last.answer.who?.id !== person) await kept.delete('session', 'last');
}

const homeName = (person: string): string => `green-beam/home/${person}`;

/** Says that a page of this person is open. @returns what ends it */
export function atHome(person: string): () => void {
  const end = new AbortController();
  void navigator.locks?.request(
    homeName(person),
    { mode: 'shared' },
    () => new Promise<void>((done) => end.signal.addEventListener('abort', () => done())),
  );
  return () => end.abort();
}

async function peopleAtHome(): Promise<ReadonlySet<string>> {
  const { held = [] } = (await navigator.locks?.query()) ?? {};
  return new Set(
    held.flatMap(({ name = '' }) => (name.startsWith(homeName('')) ? [name.slice(homeName('').length)] : [])),
  );
}

const nothing: Unsent = { parcels: [], texts: {} };

const inTurn = <T>(act: () => Promise<T>): Promise<T> =>
  navigator.locks ? navigator.locks.request('green-beam/seal', act) : act();

async function keyFrom(sealKey: string): Promise<CryptoKey> {
  const secret = await crypto.subtle.importKey('raw', new TextEncoder().encode(sealKey), 'HKDF', false, [
    'deriveKey',
  ]);
  return crypto.subtle.deriveKey(
    {
      name: 'HKDF',
      hash: 'SHA-256',
      salt: new Uint8Array(),
      info: new TextEncoder().encode('green-beam unsent'),
    },
    secret,
    { name: 'AES-GCM', length: 256 },
    false,
    ['encrypt', 'decrypt'],
  );
}

async function lock(key: CryptoKey, unsent: Unsent): Promise<{ iv: Uint8Array; data: ArrayBuffer }> {
  const iv = crypto.getRandomValues(new Uint8Array(12));
  const parcels = await Promise.all(
    unsent.parcels.map(async ({ body, ...parcel }) =>
      body instanceof Blob ? { ...parcel, file: await fileText(body) } : { ...parcel, body },
    ),
  );
  const text = new TextEncoder().encode(JSON.stringify({ parcels, texts: unsent.texts }));
  return { iv, data: await crypto.subtle.encrypt({ name: 'AES-GCM', iv }, key, text) };
}

async function open(
  key: CryptoKey,
  { iv, data }: { readonly iv: Uint8Array; readonly data: ArrayBuffer },
): Promise<Unsent> {
  const text = await crypto.subtle.decrypt({ name: 'AES-GCM', iv: new Uint8Array(iv) }, key, data);
  const { parcels, texts } = JSON.parse(new TextDecoder().decode(text)) as {
    parcels: (Parcel & { file?: { type: string; base64: string }; seq?: number })[];
    texts: Record<string, string>;
  };
  return {
    texts,
    parcels: parcels.map(({ file, ...parcel }) => (file ? { ...parcel, body: fileFrom(file) } : parcel)),
  };
}

async function fileText(file: Blob): Promise<{ type: string; base64: string }> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = '';
  for (let at = 0; at < bytes.length; at += 8192)
    text += String.fromCharCode(...bytes.subarray(at, at + 8192));
  return { type: file.type, base64: btoa(text) };
}

const fileFrom = ({ type, base64 }: { type: string; base64: string }): Blob =>
  new Blob([Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0))], { type });
