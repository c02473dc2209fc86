import { ApiProblem } from '../api';

/** Something to be sent: kept until the server has said that it is stored. */
export interface Parcel {
  /** Made here; the server takes the same id only once, so that sending again is harmless. */
  readonly id: string;
  readonly path: string;
  readonly body: object;
  /** Set when the server refused it: the sentence it gave. */
  readonly refused?: string;
}

export interface Keep {
  getItem(key: string): string | null;
  setItem(key: string, value: string): void;
}

type Send = (path: string, body: object) => Promise<unknown>;
type Outcome = { readonly parcel: Parcel; readonly answer: unknown };

const firstPauseMs = 1_000;
const longestPauseMs = 8_000;

/**
 * What waits to be sent, in order, for one person on this device. It lives in the browser's storage, shared by all
 * tabs: a reload, a lost connection or a server restart loses nothing.
 */
export class Outbox {
  readonly #key: string;
  readonly #keep: Keep;
  readonly #send: Send;
  readonly #changed = new Set<() => void>();
  readonly #sent = new Set<(outcome: Outcome) => void>();
  #snapshot: readonly Parcel[];
  #sending = false;
  #pauseMs = firstPauseMs;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(personId: string, keep: Keep, send: Send) {
    this.#key = `green-beam/outbox/${personId}`;
    this.#keep = keep;
    this.#send = send;
    this.#snapshot = this.#read();
  }

  /** The parcels as they stand; the same array until something changes. */
  get parcels(): readonly Parcel[] {
    return this.#snapshot;
  }

  add(parcel: Parcel): void {
    this.#write([...this.#read(), parcel]);
    this.#pauseMs = firstPauseMs;
    void this.flush();
  }

  /** Takes back a parcel that was refused. */
  discard(id: string): void {
    this.#write(this.#read().filter((parcel) => parcel.id !== id));
  }

  /** Looks again at the storage: another tab may have changed it. */
  refresh(): void {
    this.#snapshot = this.#read();
    this.#changed.forEach((tell) => tell());
  }

  onChange(tell: () => void): () => void {
    this.#changed.add(tell);
    return () => this.#changed.delete(tell);
  }

  /** Told of every parcel that the server took, with its answer. */
  onSent(tell: (outcome: Outcome) => void): () => void {
    this.#sent.add(tell);
    return () => this.#sent.delete(tell);
  }

  /** Sends what waits, first come first sent; pauses and tries again while the server cannot be reached. */
  async flush(): Promise<void> {
    if (this.#sending) return;
    this.#sending = true;
    clearTimeout(this.#timer);
    try {
      for (let next = this.#next(); next; next = this.#next()) {
        if (!(await this.#sendOne(next))) {
          this.#timer = setTimeout(() => void this.flush(), this.#pauseMs);
          this.#pauseMs = Math.min(longestPauseMs, this.#pauseMs * 2);
          return;
        }
      }
    } finally {
      this.#sending = false;
    }
  }

  #next = (): Parcel | undefined => this.#read().find(({ refused }) => refused === undefined);

  /** False when it has to be tried again later. */
  async #sendOne(parcel: Parcel): Promise<boolean> {
    try {
      const answer = await this.#send(parcel.path, parcel.body);
      // First the news, then the removal: the page never shows a moment in which the entry is nowhere.
      this.#sent.forEach((tell) => tell({ parcel, answer }));
      this.#write(this.#read().filter(({ id }) => id !== parcel.id));
      this.#pauseMs = firstPauseMs;
      return true;
    } catch (error) {
      if (!isFinal(error)) return false;
      this.#write(
        this.#read().map((other) => (other.id === parcel.id ? { ...other, refused: error.message } : other)),
      );
      return true;
    }
  }

  #read(): readonly Parcel[] {
    try {
      const parcels: unknown = JSON.parse(this.#keep.getItem(this.#key) ?? '[]');
      return Array.isArray(parcels) ? (parcels as Parcel[]) : [];
    } catch {
      return [];
    }
  }

  #write(parcels: readonly Parcel[]): void {
    this.#keep.setItem(this.#key, JSON.stringify(parcels));
    this.refresh();
  }
}

/** A refusal that sending again would not change. Signing in again or waiting may change the others. */
const isFinal = (error: unknown): error is ApiProblem =>
  error instanceof ApiProblem &&
  error.status >= 400 &&
  error.status < 500 &&
  ![401, 408, 429].includes(error.status);
