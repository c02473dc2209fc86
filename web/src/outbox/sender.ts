import { asideMs, isFinal, isStumble, mayGo, stumblesBefore, waitOf } from './order';
import type { KeptParcel, Parcel, ParcelStore } from '../browser/parcel';

export type Send = (parcel: Parcel) => Promise<unknown>;

export interface Sending {
  readonly store: ParcelStore;
  readonly send: Send;
  /** Lets one tab at a time send. */
  readonly alone: <T>(act: () => Promise<T>) => Promise<T>;
  readonly now: () => number;
}

interface Told extends Sending {
  /** The server took it; the parcel is still kept, so that the page never shows a moment in which it is nowhere. */
  readonly took: (parcel: KeptParcel, answer: unknown) => void;
  /** It is kept no more. */
  readonly gone: (parcel: KeptParcel) => void;
  /** What is kept of parcels has changed. */
  readonly changed: () => Promise<void>;
}

const firstPauseMs = 1_000;
const longestPauseMs = 8_000;

/** Sends what is kept, first come first sent; pauses and tries again while the server cannot be reached. */
export class Sender {
  readonly #told: Told;
  #sending = false;
  #again = false;
  #closed = false;
  #pauseMs = firstPauseMs;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(told: Told) {
    this.#told = told;
  }

  /** @param eager true where something new has come: it is tried soon again, however long the last pause was. */
  async flush(eager = false): Promise<void> {
    if (eager) this.#pauseMs = firstPauseMs;
    if (this.#sending) {
      this.#again = true;
      return;
    }
    this.#sending = true;
    clearTimeout(this.#timer);
    try {
      do {
        this.#again = false;
        const wait = await this.#told.alone(() => this.#drain());
        if (wait !== null && !this.#again) this.#later(wait);
      } while (this.#again && !this.#closed);
    } finally {
      this.#sending = false;
    }
  }

  close(): void {
    this.#closed = true;
    clearTimeout(this.#timer);
  }

  #later(wait: number): void {
    clearTimeout(this.#timer);
    if (!this.#closed) this.#timer = setTimeout(() => void this.flush(), wait);
  }

  /** @returns after how long to try again; null when nothing waits. */
  async #drain(): Promise<number | null> {
    const { store, now } = this.#told;
    for (;;) {
      const all = this.#closed ? [] : await store.all().catch(() => []);
      const gone = new Set<string>();
      let moved = false;
      for (const parcel of all) {
        if (this.#closed) return null;
        if (!mayGo(parcel, all, gone, now())) continue;
        const outcome = await this.#sendOne(parcel);
        if (outcome === 'later') {
          const wait = this.#pauseMs;
          this.#pauseMs = Math.min(longestPauseMs, this.#pauseMs * 2);
          return wait;
        }
        moved = true;
        if (outcome === 'sent') gone.add(parcel.id);
      }
      if (!moved) return waitOf(all, now());
    }
  }

  async #sendOne(parcel: KeptParcel): Promise<'sent' | 'aside' | 'later'> {
    const { store, send, took, gone } = this.#told;
    let answer: unknown;
    try {
      answer = await send(parcel);
    } catch (error) {
      return this.#refused(parcel, error);
    }
    this.#pauseMs = firstPauseMs;
    try {
      took(parcel, answer);
    } finally {
      // Whatever the page makes of the answer: it is sent.
      await store.remove(parcel.seq);
      gone(parcel);
    }
    return 'sent';
  }

  async #refused(parcel: KeptParcel, error: unknown): Promise<'aside' | 'later'> {
    const { store, now, changed } = this.#told;
    if (isFinal(error)) {
      await store.put({ ...parcel, refused: error.message });
      await changed();
      return 'aside';
    }
    if (!isStumble(error)) return 'later';
    const stumbles = (parcel.stumbles ?? 0) + 1;
    const aside = stumbles >= stumblesBefore;
    await store.put({ ...parcel, stumbles, ...(aside ? { notBefore: now() + asideMs } : {}) });
    await changed();
    return aside ? 'aside' : 'later';
  }
}
