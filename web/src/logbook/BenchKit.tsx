import {
  instrumentOf,
  modelOf,
  piecesIn,
  pieceText,
  promisedPlusMinus,
  tagInUse,
  type KitItem,
  type PieceInUse,
} from '@green-beam/core';
import type { StockedPiece } from '@green-beam/contract';
import { useKeeping } from '../outbox/useKeeping';
import { sameTag, useStock } from '../stock/useStock';
import { FieldTrouble } from '../ui/FieldTrouble';
import type { Book } from './book';
import { CorrectionOffer } from './CorrectionOffer';
import { FoundOfPieces } from './FoundOfPieces';

/** The kit of a logbook: on which piece of the stockroom each is read, what is known of that, and what was found of it here. */
export function BenchKit({ book }: { readonly book: Book }) {
  const stock = useStock();
  const pieces = stock.data?.pieces ?? [];
  return (
    <section aria-label="Kit">
      <h2 className="mb-2">Kit</h2>
      <ul className="flex flex-col gap-3">
        {book.plan.kit.map((item) => (
          <li key={item.tag} className="break-inside-avoid">
            <Role book={book} item={item} pieces={pieces} />
          </li>
        ))}
      </ul>
      <FoundOfPieces book={book} pieces={pieces} />
    </section>
  );
}

function Role({
  book,
  item,
  pieces,
}: {
  readonly book: Book;
  readonly item: KitItem;
  readonly pieces: readonly StockedPiece[];
}) {
  const { table, answer } = book;
  const [keep, trouble] = useKeeping();
  const tag = tagInUse(table, item.tag);
  const usedPieces = piecesIn(table);
  const used = usedPieces.get(tag);
  /** What else the role was read on, or may have been: what is known of that stays in sight. */
  const before = [
    ...new Set([item.tag, ...[...usedPieces].flatMap(([own, { role }]) => (role === item.tag ? own : []))]),
  ].filter((own) => own !== tag);
  const stocked = pieces.find((own) => sameTag(own.tag, tag));
  const { name, unit, division } = modelOf(instrumentOf(item.kind), used?.piece.model ?? item.model);
  const others = pieces.filter(
    (own) => own.kind === item.kind && !own.outOfUse && !sameTag(own.tag, item.tag),
  );
  /** Written down as it is now, so that what is changed in the stockroom later does not change the record. */
  const take = async (piece: PieceInUse['piece'], corrected: boolean) =>
    book.say({ kind: 'piece', piece: piece.tag }, pieceText({ role: item.tag, piece, corrected }));
  const readOn = async (other: string) => {
    const piece = others.find((own) => own.tag === other);
    if (piece && !usedPieces.has(other)) await take(piece, false);
    await book.say({ kind: 'kit', role: item.tag }, other);
  };
  return (
    <>
      <p>
        <span className="font-mono">{tag}</span> {name}
        <span className="block text-sm text-soft">
          divisions of {division} {unit}, ±{promisedPlusMinus({ certified: null, ...item, ...used?.piece })}{' '}
          {unit}
          {tag !== item.tag && `, in place of ${item.tag}`}
        </span>
      </p>
      {answer.mayWrite && others.length > 0 && (
        <label className="flex flex-wrap items-center gap-2 text-sm">
          Read on
          <select
            aria-label={`Read ${item.tag} on`}
            value={tag}
            onChange={(event) => void keep(readOn(event.target.value))}
            className="rounded-sm border border-edge bg-white px-1 py-0.5 font-mono"
          >
            {!others.some((own) => own.tag === tag) && tag !== item.tag && <option>{tag}</option>}
            <option>{item.tag}</option>
            {others.map((own) => (
              <option key={own.id}>{own.tag}</option>
            ))}
          </select>
        </label>
      )}
      {stocked?.outOfUse && <p className="text-sm text-vermilion">{tag} is out of use: take another.</p>}
      {stocked?.faults && <p className="text-sm text-brass">{stocked.faults}</p>}
      {[tag, ...before].map((own) => (
        <CorrectionOffer
          key={own}
          book={book}
          role={item.tag}
          used={usedPieces.get(own)}
          stocked={pieces.find((one) => sameTag(one.tag, own))}
          keep={keep}
          take={take}
          unit={unit}
        />
      ))}
      <FieldTrouble says={trouble} />
    </>
  );
}
