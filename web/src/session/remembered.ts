import { endpoints, type SessionAnswer, type Who } from '@green-beam/contract';
import { call, NoConnection } from '../api';
import { database } from '../browser/database';
import { forgetWord, isHeld, opened, sealed, takeUp, type Until } from '../browser/keys';
import { keepKey, seal, sealOthers, unseal } from '../browser/seal';

const hour = 3_600_000;
/** So long a device goes by what it knew of the session while the server cannot be asked: as the server itself would. */
const limits = {
  shared: { idleMs: 3 * hour, wholeMs: 12 * hour },
  own: { idleMs: 14 * 24 * hour, wholeMs: 90 * 24 * hour },
} as const;

/** Who was signed in, and until when that holds here. */
interface Last extends Pick<Until, 'until'> {
  readonly who: Who;
  readonly ownDevice: boolean;
}

/** Makes the browser the home of who is signed in: what is kept of theirs is opened, everybody else's stays shut. */
export async function rememberSession(answer: SessionAnswer): Promise<void> {
  const { who, sealKey, ownDevice = false } = answer;
  try {
    await sealOthers(who?.id ?? null);
    if (!who || !sealKey) return;
    const { idleMs, wholeMs } = ownDevice ? limits.own : limits.shared;
    const now = Date.now();
    const until = { idleUntil: now + idleMs, until: now + wholeMs };
    await unseal(who.id, sealKey, until);
    const last: Last = { who, ownDevice, until: until.until };
    await (
      await database()
    ).put('session', { person: who.id, sealed: sealed(who.id, JSON.stringify(last)) }, 'last');
  } catch {
    // This browser keeps nothing; there is nothing to open or to shut.
  }
}

/** Who was signed in here last, where the session's own word is still there to open it; null otherwise. */
export async function lastSession(): Promise<SessionAnswer | null> {
  try {
    const kept = await database();
    const record = await kept.get('session', 'last');
    if (!record || !('person' in record) || (await kept.get('session', 'leaving'))) return null;
    const wrap = await kept.get('keys', record.person);
    if (!isHeld(record.person) && !(wrap && (await takeUp(record.person, wrap, Date.now())))) return null;
    const plain = opened(record.person, record.sealed);
    const last = plain === null ? null : (JSON.parse(plain) as Last);
    if (!last || last.until <= Date.now()) return null;
    // It is used now.
    const { idleMs } = last.ownDevice ? limits.own : limits.shared;
    await keepKey(record.person, { until: last.until, idleUntil: Date.now() + idleMs });
    return { who: last.who };
  } catch {
    return null;
  }
}

/** Signs out without the server: nobody reads anything here any more, and the server is told before anything else. */
export async function leaveUnasked(person: string): Promise<void> {
  forgetWord();
  await (await database()).put('session', { at: Date.now() }, 'leaving');
  await seal(person);
}

/** Tells the server of a sign-out that it has not heard of yet; one tab does. @throws NoConnection */
export async function tellLeaving(): Promise<void> {
  const kept = await database().catch(() => null);
  if (!kept || !(await kept.get('session', 'leaving'))) return;
  const tell = async () => {
    if (!(await kept.get('session', 'leaving'))) return;
    await call(endpoints.signOut).catch((error: unknown) => {
      // Whatever else it says: it has heard of it.
      if (error instanceof NoConnection) throw error;
    });
    await kept.delete('session', 'leaving');
  };
  await (navigator.locks ? navigator.locks.request('green-beam/leaving', tell) : tell());
}
