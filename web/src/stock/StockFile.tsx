import type { StockedPiece } from '@green-beam/contract';
import { stockIn, type StockRow } from '@green-beam/core';
import { useState } from 'react';
import { sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { FileChoice } from '../ui/FileChoice';
import { sameTag, useKeepPieces } from './useStock';

/** Pieces out of a CSV file: what they are, line by line, before anything is kept. */
export function StockFile({ pieces }: { readonly pieces: readonly StockedPiece[] }) {
  const [rows, setRows] = useState<readonly StockRow[] | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const keep = useKeepPieces();
  const good = (rows ?? []).flatMap(({ piece }) => piece ?? []);
  const bad = (rows ?? []).filter(({ piece }) => piece === null);
  const there = good.filter(({ tag }) => pieces.some((own) => sameTag(own.tag, tag)));
  return (
    <>
      <FileChoice
        label="Read a CSV file"
        accept=".csv,text/csv"
        onFile={async (file) => {
          setTrouble(null);
          keep.reset();
          try {
            setRows(stockIn(await file.text()));
          } catch (error) {
            setRows(null);
            setTrouble(error instanceof Error ? error.message : 'The file could not be read.');
          }
        }}
      />
      {trouble && (
        <p role="alert" className="basis-full border-l-4 border-vermilion pl-3">
          {trouble}
        </p>
      )}
      {keep.isSuccess && rows === null && (
        <p role="status" className="basis-full">
          Kept. What stood under the same tags was replaced.
        </p>
      )}
      {rows && (
        <section aria-label="What the file holds" className="basis-full border-l-4 border-beam pl-4">
          <p className="mb-2">
            {good.length} {good.length === 1 ? 'piece' : 'pieces'} can be kept
            {there.length > 0 && `, ${there.length} of them in place of one that is there`}.{' '}
            {bad.length > 0 && `${bad.length} ${bad.length === 1 ? 'line' : 'lines'} cannot:`}
          </p>
          {bad.length > 0 && (
            <ul className="mb-2 text-sm">
              {bad.map(({ line, tag, problems }) => (
                <li key={line}>
                  Line {line}
                  {tag && `, ${tag}`}: {problems.join(' ')}
                </li>
              ))}
            </ul>
          )}
          {keep.isError && (
            <p role="alert" className="mb-2 text-vermilion">
              {sentenceFor(keep.error)}
            </p>
          )}
          <div className="flex gap-3">
            <Button
              look="main"
              disabled={good.length === 0 || keep.isPending}
              onClick={() =>
                keep.mutate({ pieces: good, revision: null }, { onSuccess: () => setRows(null) })
              }
            >
              Keep {good.length} {good.length === 1 ? 'piece' : 'pieces'}
            </Button>
            <Button onClick={() => setRows(null)}>Leave it</Button>
          </div>
        </section>
      )}
    </>
  );
}
