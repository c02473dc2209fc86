import { create } from 'qrcode';
import { useState } from 'react';
import { Link } from 'react-router';
import { Button } from '../ui/Button';
import { CheckField, TextField } from '../ui/fields';
import { Loading, Page, Trouble } from '../ui/Notice';
import { makeOf, useStock } from './useStock';

/** Labels to print and stick on: each with its tag, and a code that opens the piece. */
export function Labels() {
  const stock = useStock();
  const [words, setWords] = useState('');
  const [each, setEach] = useState(false);
  if (stock.data === undefined)
    return stock.isError ? <Trouble error={stock.error} /> : <Loading what="the stockroom" />;
  const shown = stock.data.pieces
    .filter(({ tag, place }) => `${tag} ${place}`.toLowerCase().includes(words.toLowerCase()))
    .flatMap((piece) => Array.from({ length: each ? piece.count : 1 }, (_, nth) => ({ piece, nth })));
  return (
    <Page title="Labels" aside={`${shown.length} to print`}>
      <div className="no-print mb-5 flex flex-wrap items-end gap-x-6 gap-y-3">
        <Link to="/stock" className="underline underline-offset-4">
          Back to the stockroom
        </Link>
        <TextField label="Only with this tag or place" value={words} onChange={setWords} className="w-60" />
        <CheckField label="One for each of several" checked={each} onChange={setEach} />
        <Button look="main" onClick={() => print()} disabled={shown.length === 0}>
          Print the labels
        </Button>
      </div>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-2">
        {shown.map(({ piece, nth }) => (
          <li
            key={`${piece.id} ${nth}`}
            className="flex break-inside-avoid items-center gap-3 border border-dashed border-ink bg-white p-2"
          >
            <Code text={`${location.origin}/stock/${encodeURIComponent(piece.tag)}`} of={piece.tag} />
            <div className="min-w-0">
              <p className="font-mono text-2xl font-bold break-words">{piece.tag}</p>
              <p className="text-sm">{makeOf(piece).name}</p>
              <p className="text-sm text-soft">{piece.place}</p>
            </div>
          </li>
        ))}
      </ul>
    </Page>
  );
}

/** A square code of an address. */
function Code({ text, of }: { readonly text: string; readonly of: string }) {
  const { size, data } = create(text, { errorCorrectionLevel: 'M' }).modules;
  const dark = Array.from({ length: size * size }, (_, at) => at).filter((at) => data[at]);
  return (
    <svg
      viewBox={`-2 -2 ${size + 4} ${size + 4}`}
      className="size-20 shrink-0"
      role="img"
      aria-label={`Code that opens ${of}`}
      shapeRendering="crispEdges"
    >
      <path d={dark.map((at) => `M${at % size} ${Math.floor(at / size)}h1v1h-1z`).join('')} />
    </svg>
  );
}
