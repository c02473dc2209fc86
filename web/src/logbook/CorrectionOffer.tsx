import type { StockedPiece } from '@green-beam/contract';
import { changedBy, correctionWords, type PieceInUse } from '@green-beam/core';
import { useDeferredValue, useMemo } from 'react';
import type { useKeeping } from '../outbox/useKeeping';
import { Button } from '../ui/Button';
import type { Book } from './book';

/** A correction that is known of a piece, with what it would change: taken with one press, and never in silence. */
export function CorrectionOffer({
  book,
  role,
  used,
  stocked,
  keep,
  take,
  unit,
}: {
  readonly book: Book;
  readonly role: string;
  readonly used: PieceInUse | undefined;
  readonly stocked: StockedPiece | undefined;
  readonly keep: ReturnType<typeof useKeeping>[0];
  readonly take: (piece: PieceInUse['piece'], corrected: boolean) => Promise<void>;
  readonly unit: string;
}) {
  const { plan, table, answer, outcome } = book;
  const corrected = used?.corrected === true;
  const piece = corrected ? used.piece : (stocked ?? used?.piece);
  const correction = piece?.correction ?? null;
  // Two whole outcomes: after what the hands do.
  const cells = useDeferredValue(table);
  const changes = useMemo(
    () =>
      correction && piece && !corrected
        ? changedBy({ role, piece, corrected: true }, plan, cells, answer.conventions)
        : [],
    [correction, piece, corrected, role, plan, cells, answer.conventions],
  );
  if (!correction || !piece) return null;
  return (
    <div className="mt-1 border-l-4 border-brass-line pl-2 text-sm">
      <p>
        {corrected ? `Readings on ${piece.tag} are corrected: ` : `Known of ${piece.tag}: `}
        {correctionWords(correction, unit)}, ±{correction.plusMinus} {unit}; found {correction.on}
        {correction.by && ` by ${correction.by}`}.
      </p>
      {changes.map(({ name, before, after }) => (
        <p key={name}>
          {name} would be <span className="font-mono">{after}</span> in place of{' '}
          <span className="font-mono">{before}</span>.
        </p>
      ))}
      {!corrected && changes.length === 0 && outcome.results.some(({ state }) => state === 'reckoned') && (
        <p className="text-soft">It would change nothing that is stated here: it cancels, or is too small.</p>
      )}
      {answer.mayWrite && (
        <Button look="quiet" className="text-sm" onClick={() => void keep(take(piece, !corrected))}>
          {corrected ? `Leave the readings on ${piece.tag} as shown` : `Correct the readings on ${piece.tag}`}
        </Button>
      )}
    </div>
  );
}
