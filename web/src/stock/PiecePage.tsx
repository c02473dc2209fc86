import { correctionWords, promisedPlusMinus } from '@green-beam/core';
import { Link, useParams } from 'react-router';
import { useWho } from '../session/who';
import { Loading, Page, Trouble } from '../ui/Notice';
import { PieceForm } from './PieceForm';
import { makeOf, sameTag, useStock } from './useStock';

/** One piece: for a teacher to keep, for everybody else to read what is known of it. */
export function PiecePage() {
  const { tag = '' } = useParams();
  const { role } = useWho();
  const stock = useStock();
  if (stock.data === undefined)
    return stock.isError ? (
      <Trouble error={stock.error} again={() => void stock.refetch()} />
    ) : (
      <Loading what="the piece" />
    );
  const piece = stock.data.pieces.find((own) => sameTag(own.tag, tag));
  const isNew = tag === 'new' && !piece;
  if (!piece && !isNew)
    return (
      <Page title="Not in the stockroom">
        <p className="mb-3">Nothing here is tagged {tag}.</p>
        <Link to={role === 'teacher' ? '/stock' : '/'} className="underline underline-offset-4">
          {role === 'teacher' ? 'To the stockroom' : 'To today'}
        </Link>
      </Page>
    );
  if (role === 'teacher')
    return (
      <Page title={piece ? piece.tag : 'A new piece'} aside={piece ? makeOf(piece).name : undefined}>
        <p className="mb-5">
          <Link to="/stock" className="underline underline-offset-4">
            Back to the stockroom
          </Link>
        </p>
        <PieceForm key={`${piece?.id} ${piece?.revision}`} piece={piece ?? null} />
      </Page>
    );
  if (!piece) return null;
  const { name, unit, division } = makeOf(piece);
  return (
    <Page title={piece.tag} aside={name}>
      <p>
        Divisions of {division} {unit}, ±{promisedPlusMinus(piece)} {unit}.
      </p>
      {piece.correction && (
        <p>
          Found {piece.correction.on}: {correctionWords(piece.correction, unit)}.
        </p>
      )}
      {piece.faults && <p className="text-brass">{piece.faults}</p>}
      {piece.outOfUse && <p className="text-vermilion">It is out of use: take another.</p>}
    </Page>
  );
}
