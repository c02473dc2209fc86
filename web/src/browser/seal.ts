import type { Parcel } from './parcel';
import { database, parcelFrom, parcelsOf, sealFormer } from './database';
import { forget, hold, keyFrom, openedFormer, wrapped, type Until } from './keys';
import { ownTexts } from './storage';

/** Opens what is kept of a person in this browser, and keeps their key wrapped by the word of their session. */
export async function unseal(person: string, sealKey: string, until: Until): Promise<void> {
  hold(person, await keyFrom(sealKey));
  ownTexts(person).sealFormer();
  await inTurn(async () => {
    await sealFormer(person);
    await openFormer(person);
  });
  await keepKey(person, until);
}

/** Keeps the key of a person for a start without the server, as long as it holds. */
export async function keepKey(person: string, until: Until): Promise<void> {
  const wrap = await wrapped(person, until);
  if (wrap !== null) await (await database()).put('keys', wrap, person);
}

/** What a page of an earlier version locked as one. */
async function openFormer(person: string): Promise<void> {
  const kept = await database();
  const before = await kept.get('sealed', person);
  const plain = before && (await openedFormer(person, before.iv, before.data));
  if (!plain) return;
  const { parcels, texts } = JSON.parse(plain) as {
    readonly parcels: readonly (Parcel & { readonly file?: { type: string; base64: string } })[];
    readonly texts: Readonly<Record<string, string>>;
  };
  const store = parcelsOf(person);
  const there = new Set((await store.all()).map(({ id }) => id));
  for (const parcel of parcels) if (!there.has(parcel.id)) await store.add(parcelFrom(parcel));
  const own = ownTexts(person);
  for (const [name, text] of Object.entries(texts)) if (own.getItem(name) === null) own.setItem(name, text);
  await kept.delete('sealed', person);
}

/** Nobody reads what is kept of a person here, until they sign in again. */
export async function seal(person: string): Promise<void> {
  forget(person);
  const kept = await database();
  await kept.delete('keys', person);
  await kept.delete('answers', person);
  const last = await kept.get('session', 'last');
  if (last && 'person' in last && last.person === person) await kept.delete('session', 'last');
}

/**
 * Lets only one person at a time be at home in a browser. While nobody is signed in, a page that is still open stays as it is: its
 * person may sign in again there.
 */
export async function sealOthers(person: string | null): Promise<void> {
  const kept = await database();
  const open = person === null ? await peopleAtHome() : new Set<string>();
  const others = new Set([...(await kept.getAllKeys('keys')), ...(await kept.getAllKeys('answers'))]);
  for (const other of others) {
    if (other === person) continue;
    // Its page may go on; a start without the server does not.
    if (open.has(other)) await kept.delete('keys', other);
    else await seal(other);
  }
  const last = await kept.get('session', 'last');
  if (last && 'person' in last && last.person !== person) await kept.delete('session', 'last');
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

const inTurn = <T>(act: () => Promise<T>): Promise<T> =>
  navigator.locks ? navigator.locks.request('green-beam/seal', act) : act();
