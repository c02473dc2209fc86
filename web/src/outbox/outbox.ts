import { isFinal } from './order';
import type { KeptParcel, Parcel } from '../browser/parcel';
import { Sender, type Sending } from './sender';

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

interface Around extends Sending {
  /** Reaches the other tabs; null where there are none. */
  readonly channel: BroadcastChannel | null;
}

/**
 * What waits to be sent, in order, for one person in this browser. Each parcel is a record in the browser's database, shared by
 * all tabs, and one tab at a time sends: a reload, a lost connection or a server restart loses nothing and doubles nothing.
 */
export class Outbox {
  readonly #around: Around;
  readonly #sender: Sender;
  readonly #changed = new Set<() => void>();
  readonly #sent = new Set<(outcome: Outcome) => void>();
  #parcels: readonly KeptParcel[] = [];
  /** Sent already, though another tab may not have let go of them yet. */
  #gone: ReadonlySet<number> = new Set();
  #reading: Promise<void> | undefined;
  #readAgain = false;
  #closed = false;

  constructor(around: Around) {
    this.#around = around;
    this.#sender = new Sender({
      ...around,
      took: (parcel, answer) => {
        // A file has been sent; the other tabs need not get it.
        this.#broadcast({ sent: { parcel: { ...parcel, body: {} }, answer } });
        this.#sent.forEach((tell) => tell({ parcel, answer }));
      },
      gone: ({ seq }) => this.#drop(seq),
      changed: () => this.#news(),
    });
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
    let kept: KeptParcel;
    try {
      kept = await this.#around.store.add(parcel);
    } catch {
      await this.#sendUnkept(parcel);
      return;
    }
    const others = this.#parcels.filter(({ seq }) => seq !== kept.seq);
    this.#parcels = [...others, kept].sort((a, b) => a.seq - b.seq);
    this.#tell();
    this.#broadcast({ changed: true });
    void this.#sender.flush(true);
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
    await this.#sender.flush(true);
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

  /** Sends what waits. */
  flush = (): Promise<void> => this.#sender.flush();

  /** Stops sending and listening. */
  close(): void {
    this.#closed = true;
    this.#sender.close();
    this.#around.channel?.removeEventListener('message', this.#hear);
    this.#around.channel?.close();
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
        const all = await this.#around.store.all();
        this.#parcels = all.filter(({ seq }) => !this.#gone.has(seq));
        this.#gone = new Set(all.flatMap(({ seq }) => (this.#gone.has(seq) ? [seq] : [])));
      } while (this.#readAgain);
    } catch {
      // This browser keeps nothing: what is in sight is all there is.
    } finally {
      this.#reading = undefined;
    }
    this.#tell();
  }

  #drop(seq: number): void {
    this.#gone = new Set([...this.#gone, seq]);
    this.#parcels = this.#parcels.filter((parcel) => parcel.seq !== seq);
    this.#tell();
  }

  #tell(): void {
    this.#changed.forEach((tell) => tell());
  }
}
