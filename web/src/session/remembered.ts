import type { SessionAnswer } from '@green-beam/contract';
import { database } from '../browser/database';
import { sealOthers, unseal } from '../browser/seal';

/** So long a device goes by what it knew of the session, while the server cannot be asked. */
const hour = 3_600_000;
const sharedMs = 12 * hour;
const ownMs = 14 * 24 * hour;

/** Makes the browser the home of who is signed in: what was locked of theirs is opened, everybody else's is locked. */
export async function rememberSession(answer: SessionAnswer): Promise<void> {
  try {
    await sealOthers(answer.who?.id ?? null);
    if (!answer.who || !answer.sealKey) return;
    await unseal(answer.who.id, answer.sealKey);
    const until = Date.now() + (answer.ownDevice ? ownMs : sharedMs);
    await (await database()).put('session', { answer: { who: answer.who }, until }, 'last');
  } catch {
    // This browser keeps nothing; there is nothing to open or to lock.
  }
}

/** Who was signed in here last, while that may still hold; null otherwise. */
export async function lastSession(): Promise<SessionAnswer | null> {
  try {
    const last = await (await database()).get('session', 'last');
    return last && last.until > Date.now() ? last.answer : null;
  } catch {
    return null;
  }
}
