import type { InstrumentKind } from '../conventions/kinds';
import type { Correction } from './correction';

/** What a piece was found to show of something that was known, in its unit. */
export interface Check {
  /** The day, as `2026-11-03`. */
  readonly on: string;
  readonly by: string;
  readonly known: string;
  readonly shown: string;
}

/** A piece that the school has, by the tag that is on it. Numbers are decimal texts, in the unit of its make. */
export interface Piece {
  readonly tag: string;
  readonly kind: InstrumentKind;
  readonly model: string;
  /** Where it is kept. */
  readonly place: string;
  /** How many there are of it under this tag. */
  readonly count: number;
  /** What its certificate promises, as ±, in place of the maker's tolerance; with whose it is. */
  readonly certified: { readonly plusMinus: string; readonly source: string } | null;
  readonly correction: Correction | null;
  /** Oldest first. */
  readonly checks: readonly Check[];
  /** What is wrong with it, in words; empty where nothing is. */
  readonly faults: string;
  readonly outOfUse: boolean;
}

/** A piece of which nothing is known but what it is; with whatever else is. */
export const pieceOf = (piece: Pick<Piece, 'tag' | 'kind' | 'model'> & Partial<Piece>): Piece => ({
  place: '',
  count: 1,
  certified: null,
  correction: null,
  checks: [],
  faults: '',
  outOfUse: false,
  ...piece,
});

/** Pieces of one stockroom at most. */
export const mostPieces = 2000;
