import type { StockAnswer } from '@green-beam/contract';
import { checksCompared, instruments } from '@green-beam/core';
import type { Seen } from './seen';

/** The pieces of one kind that were checked: that of an address, or the first there is. */
export function piecesChosen({ pieces }: StockAnswer, search: URLSearchParams) {
  const checked = pieces.filter(({ checks }) => checks.length > 0);
  const kinds = instruments.filter(({ kind }) => checked.some((own) => own.kind === kind));
  const kind = kinds.find((own) => own.kind === search.get('kind')) ?? kinds[0];
  return { kinds, kind, comparison: checksCompared(checked.filter((own) => own.kind === kind?.kind)) };
}

/** The groups of which an address speaks. */
export function piecesSeen(answer: StockAnswer, search: URLSearchParams): Seen {
  const { kind, comparison } = piecesChosen(answer, search);
  return { comparison, name: kind?.name ?? 'Pieces', trials: 'checks', causes: [] };
}
