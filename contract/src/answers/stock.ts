import type { Piece } from '@green-beam/core';

/** A piece as it is kept. */
export interface StockedPiece extends Piece {
  readonly id: string;
  /** Counts up at every change. */
  readonly revision: number;
}

/** What the school has, by tag. */
export interface StockAnswer {
  readonly pieces: readonly StockedPiece[];
}
