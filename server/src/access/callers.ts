import type { Logger } from 'pino';
import type { Database } from '../database/models';
import { withoutTexts } from '../http/answerProblems';
import { callersOf, seenAt, type Caller } from './caller';

/** Some of those who are known here are looked up anew, this often, the longest known first. */
const lookEveryMs = 500;
const lookedAtOnce = 400;
/** Each is looked up after so long; one that was not looked up for longer still is not relied on. */
const lookAfterMs = 3_200;
const reliedOnMs = 4_500;
/** Who has not called for so long, and has no page open, is forgotten. */
const forgottenMs = 60_000;
/** When a session was used last is written down this often. */
const seenEveryMs = 60_000;

interface Known {
  readonly caller: Caller;
  readonly lookedUp: number;
  called: number;
}

/** Told of a session that is followed: who calls in it now; null once it has ended. */
type Follow = (caller: Caller | null) => void;

/**
 * Who calls in which session, kept so that it need not be asked at every call. A change of somebody's sessions or classes is
 * followed at once where it is told of, and within seconds in any case: all that is kept here is looked up again and again.
 */
export class Callers {
  readonly #known = new Map<string, Known>();
  readonly #followed = new Map<string, Set<Follow>>();
  readonly #used = new Set<string>();
  readonly #database: Database;
  readonly #log: Logger;
  readonly #now: () => Date;
  readonly #timers: readonly NodeJS.Timeout[];
  #looking = false;
  /** Grows with every change that is told of: what was being looked up meanwhile is not relied on. */
  #changes = 0;

  constructor(database: Database, log: Logger, now: () => Date) {
    this.#database = database;
    this.#log = log;
    this.#now = now;
    this.#timers = [
      setInterval(() => void this.#lookAtSome(), lookEveryMs).unref(),
      setInterval(() => void this.#writeSeen(), seenEveryMs).unref(),
    ];
  }

  /** Who calls in a session; null where it has ended. */
  async of(sessionId: string): Promise<Caller | null> {
    const at = this.#now().getTime();
    const known = this.#known.get(sessionId);
    if (known && Math.abs(at - known.lookedUp) < reliedOnMs) {
      known.called = at;
      this.#used.add(sessionId);
      return known.caller;
    }
    const [caller] = await this.#lookUp([sessionId]);
    if (!caller) return null;
    const fresh = this.#known.get(sessionId);
    if (fresh) fresh.called = at;
    if (at - caller.seenAt.getTime() > seenEveryMs)
      await seenAt(this.#database.sequelize, [sessionId], this.#now());
    return caller;
  }

  /** Follows a session until that is ended. @returns what ends it */
  follow(sessionId: string, tell: Follow): () => void {
    const those = this.#followed.get(sessionId) ?? new Set();
    those.add(tell);
    this.#followed.set(sessionId, those);
    return () => {
      those.delete(tell);
      if (those.size === 0) this.#followed.delete(sessionId);
    };
  }

  /** What was known of these people does not hold any more. */
  changed(people: readonly string[]): void {
    this.#changes += 1;
    const theirs = [...this.#known].flatMap(([id, { caller }]) => (people.includes(caller.id) ? [id] : []));
    for (const id of theirs) this.#known.delete(id);
    const followed = theirs.filter((id) => this.#followed.has(id));
    if (followed.length > 0) void this.#lookQuietly(followed);
  }

  /** Nothing that is known here can be relied on. */
  forgetAll(): void {
    this.#changes += 1;
    this.#known.clear();
  }

  close(): void {
    this.#timers.forEach(clearInterval);
  }

  async #lookAtSome(): Promise<void> {
    if (this.#looking) return;
    const at = this.#now().getTime();
    for (const [id, { called }] of this.#known)
      if (at - called > forgottenMs && !this.#followed.has(id)) this.#known.delete(id);
    const ages = [...new Set([...this.#known.keys(), ...this.#followed.keys()])]
      .map((id) => [id, at - (this.#known.get(id)?.lookedUp ?? 0)] as const)
      .filter(([, age]) => age >= lookAfterMs)
      .sort((a, b) => b[1] - a[1]);
    if (ages.length === 0) return;
    this.#looking = true;
    await this.#lookQuietly(ages.slice(0, lookedAtOnce).map(([id]) => id));
    this.#looking = false;
  }

  async #lookQuietly(ids: readonly string[]): Promise<void> {
    try {
      await this.#lookUp(ids);
    } catch (error) {
      this.#log.warn({ error: withoutTexts(error) }, 'sessions could not be looked up');
    }
  }

  /** Looks up sessions, all at once, and tells whoever follows them. @returns those that hold */
  async #lookUp(ids: readonly string[]): Promise<readonly Caller[]> {
    const before = this.#changes;
    const at = this.#now().getTime();
    const callers = await callersOf(this.#database.sequelize, ids, this.#now());
    const holding = new Map(callers.map((caller) => [caller.sessionId, caller]));
    for (const id of ids) {
      const caller = holding.get(id) ?? null;
      const called = this.#known.get(id)?.called ?? at;
      if (caller && before === this.#changes) this.#known.set(id, { caller, lookedUp: at, called });
      else this.#known.delete(id);
      this.#followed.get(id)?.forEach((tell) => tell(caller));
    }
    return callers;
  }

  async #writeSeen(): Promise<void> {
    const used = [...this.#used];
    this.#used.clear();
    try {
      if (used.length > 0) await seenAt(this.#database.sequelize, used, this.#now());
    } catch (error) {
      this.#log.warn({ error: withoutTexts(error) }, 'when sessions were used last could not be written');
    }
  }
}
