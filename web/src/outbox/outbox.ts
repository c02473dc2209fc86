import { asideMs, isFinal, isStumble, mayGo, stumblesBefore, waitOf } from './order';
import type { KeptParcel, Parcel, ParcelStore } from './parcel';

export type Send = (parcel: Parcel) => Promise<unknown>;
type Outcome = { readonly parcel: Parcel; readonly answer: unknown };

/** What goes between the tabs of one browser. */
type Word = { readonly changed: true } | { readonly sent: Outcome };

/** This browser would not keep it, and the server could not be reached either. */
export class NotKept extends Error {
  constructor() {
    super(
      'This device’s storage is full or closed, and Green Beam could not be reached: it is not stored yet. Leave it here and try again.',
    );
  }
}

const firstPauseMs = 1_000;
const longestPauseMs = 8_000;
interface Around {
  readonly store: ParcelStore;
  readonly send: Send;
  /** Lets one tab at a time send. */
  readonly alone: <T>(act: () => Promise<T>) => Promise<T>;
  /** Reaches the other tabs; null where there are none. */
  readonly channel: BroadcastChannel | null;
  readonly now?: () => number;
}

/**
 * What waits to be sent, in order, for one person in this browser. Each parcel is a record in the browser's database, shared by
 * all tabs, and one tab at a time sends: a reload, a lost connection or a server restart loses nothing and doubles nothing.
 */
export class Outbox {
  readonly #around: Around;
  readonly #changed = new Set<() => void>();
  readonly #sent = new Set<(outcome: Outcome) => void>();
  readonly #now: () => number;
  #parcels: readonly KeptParcel[] = [];
  #reading: Promise<void> | undefined;
  #readAgain = false;
  #sending = false;
  #sendAgain = false;
  #closed = false;
  #pauseMs = firstPauseMs;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(around: Around) {
    this.#around = around;
    this.#now = around.now ?? Date.now;
    around.channel?.addEventListener('message', this.#hear);
  }

  /** The parcels as they stand; the same array until something changes. */
  get parcels(): readonly Parcel[] {
    return this.#parcels;
  }

  /**
   * Keeps a parcel and sends it as soon as that can be. Once this is done it will not be lost. Where the browser keeps nothing, it
   * is done when the server has it. @throws NotKept, and as `send` for what the server refuses then
   */
  async add(parcel: Parcel): Promise<void> {
    try {
      const kept = await this.#around.store.add(parcel);
      this.#parcels = [...this.#parcels, kept].sort((a, b) => a.seq - b.seq);
    } catch {
      await this.#sendUnkept(parcel);
      return;
    }
    this.#tell();
    this.#broadcast({ changed: true });
    this.#pauseMs = firstPauseMs;
    void this.flush();
  }

  /** Puts a parcel that was refused aside for good: its writer has seen it. */
  async discard(id: string): Promise<void> {
    // What needs it would be refused without it.
    const going = new Set([id]);
    for (const parcel of this.#parcels)
      if (parcel.needs?.some((need) => going.has(need))) going.add(parcel.id);
    for (const parcel of this.#parcels) if (going.has(parcel.id)) await this.#around.store.remove(parcel.seq);
    await this.#news();
  }

  /** Has refused parcels, or one of them, sent again. */
  async again(id?: string): Promise<void> {
    for (const { id: own, seq, path, body, needs, refused, notBefore } of this.#parcels)
      if ((refused !== undefined || notBefore !== undefined) && (id === undefined || own === id))
        await this.#around.store.put({ id: own, seq, path, body, ...(needs && { needs }) });
    await this.#news();
    await this.flush();
  }

  /** Reads what is kept; another tab may have changed it. */
  async refresh(): Promise<void> {
    if (this.#reading) {
      this.#readAgain = true;
      return this.#reading;
    }
    this.#reading = this.#read();
    return this.#reading;
  }

  onChange(tell: () => void): () => void {
    this.#changed.add(tell);
    return () => this.#changed.delete(tell);
  }

  /** Told of every parcel that the server took, by whichever tab, with its answer. */
  onSent(tell: (outcome: Outcome) => void): () => void {
    this.#sent.add(tell);
    return () => this.#sent.delete(tell);
  }

  /** Sends what waits, first come first sent; pauses and tries again while the server cannot be reached. */
  async flush(): Promise<void> {
    if (this.#sending) {
      this.#sendAgain = true;
      return;
    }
    this.#sending = true;
    clearTimeout(this.#timer);
    try {
      do {
        this.#sendAgain = false;
        const wait = await this.#around.alone(() => this.#drain());
        if (wait !== null && !this.#sendAgain) this.#later(wait);
      } while (this.#sendAgain && !this.#closed);
    } finally {
      this.#sending = false;
    }
  }

  /** Stops sending and listening. */
  close(): void {
    this.#closed = true;
    clearTimeout(this.#timer);
    this.#around.channel?.removeEventListener('message', this.#hear);
    this.#around.channel?.close();
  }

  /** @returns after how long to try again; null when nothing waits. */
  async #drain(): Promise<number | null> {
    for (;;) {
      if (this.#closed) return null;
      const all = await this.#around.store.all().catch(() => []);
      if (all.length === 0) return null;
      const gone = new Set<string>();
      let moved = false;
      for (const parcel of all) {
        if (this.#closed) return null;
        if (!mayGo(parcel, all, gone, this.#now())) continue;
        const outcome = await this.#sendOne(parcel);
        if (outcome === 'later') {
          const wait = this.#pauseMs;
          this.#pauseMs = Math.min(longestPauseMs, this.#pauseMs * 2);
          return wait;
        }
        moved = true;
        if (outcome === 'sent') gone.add(parcel.id);
      }
      if (!moved) {
        return waitOf(all, this.#now());
      }
    }
  }

  async #sendOne(parcel: KeptParcel): Promise<'sent' | 'aside' | 'later'> {
    const { store, send } = this.#around;
    try {
      const answer = await send(parcel);
      // First the news, then the removal: the page never shows a moment in which the entry is nowhere.
      // A file has been sent; the other tabs need not get it.
      this.#broadcast({ sent: { parcel: { ...parcel, body: {} }, answer } });
      this.#sent.forEach((tell) => tell({ parcel, answer }));
      await store.remove(parcel.seq);
      this.#drop(parcel.seq);
      this.#pauseMs = firstPauseMs;
      return 'sent';
    } catch (error) {
      if (isFinal(error)) {
        await store.put({ ...parcel, refused: error.message });
        await this.#news();
        return 'aside';
      }
      if (!isStumble(error)) return 'later';
      const stumbles = (parcel.stumbles ?? 0) + 1;
      const aside = stumbles >= stumblesBefore;
      await store.put({ ...parcel, stumbles, ...(aside ? { notBefore: this.#now() + asideMs } : {}) });
      await this.#news();
      return aside ? 'aside' : 'later';
    }
  }

  async #sendUnkept(parcel: Parcel): Promise<void> {
    let answer: unknown;
    try {
      answer = await this.#around.alone(() => this.#around.send(parcel));
    } catch (error) {
      throw isFinal(error) ? error : new NotKept();
    }
    this.#sent.forEach((tell) => tell({ parcel, answer }));
  }

  #later(wait: number): void {
    clearTimeout(this.#timer);
    if (!this.#closed) this.#timer = setTimeout(() => void this.flush(), wait);
  }

  #hear = ({ data }: MessageEvent<Word>): void => {
    if ('sent' in data) {
      const own = this.#parcels.find(({ id }) => id === data.sent.parcel.id);
      this.#sent.forEach((tell) => tell(own ? { ...data.sent, parcel: own } : data.sent));
      if (own) this.#drop(own.seq);
    } else void this.refresh();
  };

  async #news(): Promise<void> {
    await this.refresh();
    this.#broadcast({ changed: true });
  }

  #broadcast(word: Word): void {
    if (!this.#closed) this.#around.channel?.postMessage(word);
  }

  async #read(): Promise<void> {
    try {
      do {
        this.#readAgain = false;
        this.#parcels = await this.#around.store.all();
      } while (this.#readAgain);
    } catch {
      // This browser keeps nothing: what is in sight is all there is.
    } finally {
      this.#reading = undefined;
    }
    this.#tell();
  }

  #drop(seq: number): void {
    this.#parcels = this.#parcels.filter((parcel) => parcel.seq !== seq);
    this.#tell();
  }

  #tell(): void {
    this.#changed.forEach((tell) => tell());
  }
}
