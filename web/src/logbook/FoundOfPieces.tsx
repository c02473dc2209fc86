import type { StockedPiece } from '@green-beam/contract';
import {
  asCorrection,
  correctionWords,
  instrumentOf,
  modelOf,
  piecesFound,
  type PieceFound,
  isoDay,
} from '@green-beam/core';
import { sentenceFor } from '../api';
import { useWho } from '../session/who';
import { pieceIn, sameTag, useKeepPieces } from '../stock/useStock';
import { Button } from '../ui/Button';
import type { Book } from './book';

/** What was found here of a piece, for its teacher to keep with it. */
export function FoundOfPieces({
  book,
  pieces,
}: {
  readonly book: Book;
  readonly pieces: readonly StockedPiece[];
}) {
  const { role } = useWho();
  const found =
    role === 'teacher' ? piecesFound(book.answer.investigation, book.outcome, book.answer.conventions) : [];
  return found.map((own) => {
    const piece = pieces.find(({ tag }) => sameTag(tag, own.tag));
    return piece && <Keep key={own.tag} book={book} found={own} piece={piece} />;
  });
}

function Keep({
  book,
  found,
  piece,
}: {
  readonly book: Book;
  readonly found: PieceFound;
  readonly piece: StockedPiece;
}) {
  const keep = useKeepPieces();
  const on = isoDay(book.entries.at(-1)?.writtenAt ?? new Date());
  const by = book.answer.readers.join(', ').slice(0, 80);
  const { unit } = modelOf(instrumentOf(piece.kind), piece.model);
  const correction = asCorrection(found, on, by);
  const { revision } = piece;
  const own = pieceIn(piece);
  const checks = [...own.checks, ...found.checks.map((check) => ({ ...check, on, by }))];
  const send = (rest: Partial<typeof own>) => keep.mutate({ pieces: [{ ...own, ...rest }], revision });
  return (
    <div className="mt-3 border-l-4 border-beam pl-3">
      <p>
        This logbook found of {found.tag}: {correctionWords(correction, unit)}, ±{correction.plusMinus} {unit}
        .
      </p>
      {keep.isSuccess ? (
        <p role="status">Kept with {found.tag} in the stockroom.</p>
      ) : (
        <p className="flex flex-wrap gap-x-4">
          <Button
            look="quiet"
            className="text-sm"
            disabled={keep.isPending}
            onClick={() => send({ correction, checks })}
          >
            Keep it as the correction of {found.tag}
          </Button>
          <Button look="quiet" className="text-sm" disabled={keep.isPending} onClick={() => send({ checks })}>
            Keep it among its checks
          </Button>
        </p>
      )}
      {keep.isError && (
        <p role="alert" className="text-sm text-vermilion">
          {sentenceFor(keep.error)}
        </p>
      )}
    </div>
  );
}
