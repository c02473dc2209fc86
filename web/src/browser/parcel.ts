/** Something to be sent: kept until the server has said that it is stored. */
export interface Parcel {
  /** Made here; the server takes the same id only once, so that sending again is harmless. */
  readonly id: string;
  readonly path: string;
  /** Plain data, or a file. */
  readonly body: object;
  /** Parcels that have to arrive before it. */
  readonly needs?: readonly string[];
  /** Set when the server refused it: the sentence it gave. */
  readonly refused?: string;
  /** How often the server stumbled over it. */
  readonly stumbles?: number;
  /** Not to be sent before this time, so that others can go. */
  readonly notBefore?: number;
}

/** A parcel in its place in the order. */
export interface KeptParcel extends Parcel {
  readonly seq: number;
}

/** Where parcels are kept, each as one record, for one person. */
export interface ParcelStore {
  all(): Promise<KeptParcel[]>;
  add(parcel: Parcel): Promise<KeptParcel>;
  put(parcel: KeptParcel): Promise<void>;
  remove(seq: number): Promise<void>;
}

/** What a parcel holds, in words for its writer. */
export function wordsOf({ body }: Parcel): string {
  if (body instanceof Blob) return 'a photograph';
  const { entries, text, expression } = body as {
    readonly entries?: readonly { readonly text: string }[];
    readonly text?: string;
    readonly expression?: string;
  };
  if (entries) return entries.map((entry) => entry.text).join(', ');
  return text ?? expression ?? 'something that you wrote';
}
