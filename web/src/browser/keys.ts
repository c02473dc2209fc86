import { xchacha20poly1305 } from '@noble/ciphers/chacha';

/**
 * What a person's words are sealed with in this browser. The key comes with their session, from the server, to them alone, and is
 * held in memory. In the browser's database it stands only wrapped by a word that the session's own cookie carries: who has no
 * session has no word, and reads nothing.
 */
const held = new Map<string, Uint8Array>();

const utf8 = new TextEncoder();
const text = new TextDecoder();

/** A key from a secret, for one use. HKDF (RFC 5869) with SHA-256. */
async function derived(secret: string, use: string): Promise<Uint8Array> {
  const whole = await crypto.subtle.importKey('raw', utf8.encode(secret), 'HKDF', false, ['deriveBits']);
  const settings = { name: 'HKDF', hash: 'SHA-256', salt: new Uint8Array(), info: utf8.encode(use) };
  return new Uint8Array(await crypto.subtle.deriveBits(settings, whole, 256));
}

export const keyFrom = (sealKey: string): Promise<Uint8Array> => derived(sealKey, 'green-beam unsent');

/** From now on this page can read and write what is sealed of a person. */
export const hold = (person: string, key: Uint8Array): void => void held.set(person, key);
export const forget = (person: string): void => void held.delete(person);
export const isHeld = (person: string): boolean => held.has(person);

const base64 = (bytes: Uint8Array): string => {
  let letters = '';
  for (let at = 0; at < bytes.length; at += 8192)
    letters += String.fromCharCode(...bytes.subarray(at, at + 8192));
  return btoa(letters);
};
const bytesOf = (letters: string): Uint8Array =>
  Uint8Array.from(atob(letters), (letter) => letter.charCodeAt(0));

const nonceLength = 24;

function lock(key: Uint8Array, plain: string): string {
  const nonce = crypto.getRandomValues(new Uint8Array(nonceLength));
  const locked = xchacha20poly1305(key, nonce).encrypt(utf8.encode(plain));
  const whole = new Uint8Array(nonceLength + locked.length);
  whole.set(nonce);
  whole.set(locked, nonceLength);
  return base64(whole);
}

function unlock(key: Uint8Array, locked: string): string | null {
  try {
    const whole = bytesOf(locked);
    const cipher = xchacha20poly1305(key, whole.subarray(0, nonceLength));
    return text.decode(cipher.decrypt(whole.subarray(nonceLength)));
  } catch {
    // It was sealed with another key, or is none of ours.
    return null;
  }
}

/** A person's text as it may be kept. @throws Error where this page does not hold their key */
export function sealed(person: string, plain: string): string {
  const key = held.get(person);
  if (!key) throw new Error('Nobody is signed in whose words these are.');
  return lock(key, plain);
}

/** What was sealed, read again; null where this page cannot. */
export function opened(person: string, locked: string): string | null {
  const key = held.get(person);
  return key ? unlock(key, locked) : null;
}

/** What earlier versions of the pages locked when a session ended: AES-GCM with the same key. */
export async function openedFormer(
  person: string,
  iv: Uint8Array,
  data: ArrayBuffer,
): Promise<string | null> {
  const own = held.get(person);
  if (!own) return null;
  try {
    const key = await crypto.subtle.importKey('raw', new Uint8Array(own), 'AES-GCM', false, ['decrypt']);
    return text.decode(await crypto.subtle.decrypt({ name: 'AES-GCM', iv: new Uint8Array(iv) }, key, data));
  } catch {
    return null;
  }
}

const cookie = /(?:^|; )((?:__Host-)?green-beam-seal)=([\w-]{20,})(?:;|$)/;

/** The word that the session's cookie carries; null without a session. */
const wordNow = (): string | null => cookie.exec(document.cookie)?.[2] ?? null;

/** Has the browser forget the word, where the server cannot say so. */
export function forgetWord(): void {
  const [, name] = cookie.exec(document.cookie) ?? [];
  if (name)
    document.cookie = `${name}=; Max-Age=0; Path=/; SameSite=Strict${name.startsWith('__Host-') ? '; Secure' : ''}`;
}

/** How long a key may be taken up again without the server: since it was used last, and in all. */
export interface Until {
  readonly idleUntil: number;
  readonly until: number;
}

/** A person's key wrapped by the session's word, with how long it holds; null without a word or a key. */
export async function wrapped(person: string, until: Until): Promise<string | null> {
  const [key, word] = [held.get(person), wordNow()];
  if (!key || !word) return null;
  return lock(await derived(word, 'green-beam wrap'), JSON.stringify({ key: base64(key), ...until }));
}

/** Takes a wrapped key up again: true where the session's word opens it and it still holds. */
export async function takeUp(person: string, wrap: string, now: number): Promise<boolean> {
  if (held.has(person)) return true;
  const word = wordNow();
  const plain = word && unlock(await derived(word, 'green-beam wrap'), wrap);
  if (!plain) return false;
  const { key, until, idleUntil } = JSON.parse(plain) as Until & { readonly key: string };
  if (now > until || now > idleUntil) return false;
  held.set(person, bytesOf(key));
  return true;
}
