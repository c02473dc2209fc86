import type { CallReason } from '../requests';

/** A bench calls its teacher. */
export interface BenchCall {
  readonly id: string;
  readonly reason: CallReason;
  readonly at: string;
  readonly logbookId: string | null;
  /** Who called. */
  readonly by: string;
}

/** The open call of one's own bench. */
export interface OwnCallAnswer {
  readonly call: BenchCall | null;
}

/** Open calls of a class, the longest waiting first. */
export interface CallsAnswer {
  readonly calls: readonly (BenchCall & { readonly bench: string | null })[];
}
