import type { StockedPiece } from '@green-beam/contract';
import { correctionWords, instrumentOf, stockCsv } from '@green-beam/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Button } from '../ui/Button';
import { download } from '../ui/download';
import { TextField } from '../ui/fields';
import { Headings } from '../ui/Headings';
import { Loading, Page, Trouble } from '../ui/Notice';
import { StockFile } from './StockFile';
import { makeOf, useStock } from './useStock';

const link = 'underline decoration-edge underline-offset-4 hover:decoration-ink';

/** What the school has: every piece by its tag, with what is known of it. */
export function Stockroom() {
  const stock = useStock();
  const [words, setWords] = useState('');
  if (stock.data === undefined)
    return stock.isError ? (
      <Trouble error={stock.error} again={() => void stock.refetch()} />
    ) : (
      <Loading what="the stockroom" />
    );
  const { pieces } = stock.data;
  const shown = pieces.filter((piece) => matches(piece, words));
  return (
    <Page title="Stockroom" aside={`${pieces.length} pieces`}>
      <TextField
        label="Find by tag, kind, place or fault"
        value={words}
        onChange={setWords}
        className="mb-3 max-w-sm"
      />
      <div className="mb-5 flex flex-wrap items-baseline gap-x-6 gap-y-2">
        <Link to="/stock/new" className={link}>
          Add a piece
        </Link>
        {pieces.some(({ checks }) => checks.length > 0) && (
          <Link to="/stock/compare" className={link}>
            Compare by their checks
          </Link>
        )}
        <Link to="/stock/labels" className={link}>
          Labels to print
        </Link>
        <Link to="/stock/materials" className={link}>
          Materials
        </Link>
        <Button
          look="quiet"
          onClick={() => download('stockroom.csv', 'text/csv', stockCsv(pieces))}
          disabled={pieces.length === 0}
        >
          Take it out as CSV
        </Button>
        <StockFile pieces={pieces} />
      </div>
      <div className="overflow-x-auto">
        <table className="w-full min-w-[44rem]">
          <Headings of={['Tag', 'What it is', 'Where', 'What is known of it', 'State']} />
          <tbody>
            {shown.map((piece) => (
              <PieceRow key={piece.id} piece={piece} />
            ))}
          </tbody>
        </table>
      </div>
      {shown.length === 0 && (
        <p className="py-4 text-soft">
          {pieces.length === 0
            ? 'Nothing yet. Add a piece, or read a CSV file of what the school has.'
            : 'No piece has these words.'}
        </p>
      )}
    </Page>
  );
}

function PieceRow({ piece }: { readonly piece: StockedPiece }) {
  const { tag, place, count, correction, certified, checks, faults, outOfUse } = piece;
  const { name, unit } = makeOf(piece);
  const last = checks.at(-1);
  return (
    <tr className="border-b border-rule align-top">
      <th scope="row" className="py-1.5 pr-4 text-left font-mono font-normal whitespace-nowrap">
        <Link to={`/stock/${encodeURIComponent(tag)}`} className={link}>
          {tag}
        </Link>
        {count > 1 && <span className="text-soft"> × {count}</span>}
      </th>
      <td className="py-1.5 pr-4">{name}</td>
      <td className="py-1.5 pr-4">{place}</td>
      <td className="py-1.5 pr-4 text-sm">
        {correction && (
          <p>
            {correctionWords(correction, unit)}; ±{correction.plusMinus} {unit}
          </p>
        )}
        {certified && (
          <p>
            certified ±{certified.plusMinus} {unit}
          </p>
        )}
        {last && <p className="text-soft">checked {last.on}</p>}
      </td>
      <td className="py-1.5 text-sm">
        {outOfUse && <p className="text-vermilion">Out of use</p>}
        {faults && <p className={outOfUse ? 'text-soft' : 'text-brass'}>{faults}</p>}
      </td>
    </tr>
  );
}

/** Whether all words are somewhere in what is written of a piece. */
function matches(piece: StockedPiece, words: string): boolean {
  const { tag, kind, place, faults, outOfUse } = piece;
  const all =
    `${tag} ${instrumentOf(kind).name} ${makeOf(piece).name} ${place} ${faults} ${outOfUse ? 'out of use' : ''}`.toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => all.includes(word));
}
