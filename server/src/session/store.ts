import { Cookie, Store, type SessionData } from 'express-session';
import { createHash } from 'node:crypto';
import { isUnreachable } from '../http/answerProblems';
import { Problem } from '../http/problem';
import type { Database } from '../database/models';
import type { Caller } from '../access/caller';
import type { Callers } from '../access/callers';

declare module 'express-session' {
  interface SessionData {
    /** Who calls; there once a session has been found. */
    callerOf?: () => Caller;
    personId: string;
    ownDevice: boolean;
  }
}

/** The database keeps a hash: who reads it cannot sign in with what stands there. */
export const hashOf = (cookie: string): string => createHash('sha256').update(cookie).digest('hex');

type Done<T = void> = (error?: unknown, answer?: T) => void;

/** Sessions as rows: each call finds who is theirs as things stand now. It knows no `touch`: reading one touches it. */
export class SessionStore extends Store {
  readonly #database: Database;
  readonly #callers: Callers;
  readonly #now: () => Date;

  constructor(database: Database, callers: Callers, now: () => Date) {
    super();
    this.#database = database;
    this.#callers = callers;
    this.#now = now;
  }

  override get(cookie: string, done: Done<SessionData | null>): void {
    this.#callers.of(hashOf(cookie)).then(
      (who) => done(null, who && sessionOf(who)),
      (error: unknown) => done(isUnreachable(error) ? new Problem('unavailable') : error),
    );
  }

  override set(cookie: string, { personId, ownDevice }: SessionData, done: Done = () => undefined): void {
    const now = this.#now();
    this.#database.models.sessions
      .upsert({ id: hashOf(cookie), personId, ownDevice, startedAt: now, seenAt: now })
      .then(
        () => done(),
        (error: unknown) => done(error),
      );
  }

  override destroy(cookie: string, done: Done = () => undefined): void {
    this.#database.models.sessions.destroy({ where: { id: hashOf(cookie) } }).then(
      () => done(),
      (error: unknown) => done(error),
    );
  }
}

/** Who calls is no part of what a session saves: it is found anew, and not looked at for changes. */
function sessionOf(who: Caller): SessionData {
  return { cookie: new Cookie(), personId: who.id, ownDevice: who.ownDevice, callerOf: () => who };
}
