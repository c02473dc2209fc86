import { csvIn, csvOf, jsonOf } from '@green-beam/core';
import { useId, useState } from 'react';
import { Button } from '../ui/Button';
import { download } from '../ui/download';
import { BlockDialog, type Block } from './BlockDialog';
import type { Book } from './book';

/** Data out and in: each table as CSV with a row of units, the whole as JSON. */
export function Exchange({ book }: { readonly book: Book }) {
  const { investigation, conventions, mayWrite } = book.answer;
  const [block, setBlock] = useState<Block | null>(null);
  const inputId = useId();
  const name = investigation.title.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
  return (
    <section aria-label="Data out and in" className="no-print border-t border-rule pt-3">
      <h2 className="mb-2">Data out and in</h2>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        {investigation.tables.map((table) => (
          <span key={table.key} className="flex items-center gap-3">
            <Button
              look="quiet"
              onClick={() =>
                download(`${name}-${table.key}.csv`, 'text/csv', csvOf(table, book.table, book.outcome))
              }
            >
              “{table.title}” as CSV
            </Button>
            {mayWrite && (
              <label className="cursor-pointer underline decoration-edge underline-offset-4 focus-within:outline-3 focus-within:outline-water">
                Read a CSV into “{table.title}”
                <input
                  id={`${inputId}${table.key}`}
                  type="file"
                  accept=".csv,text/csv"
                  className="sr-only"
                  onChange={async (event) => {
                    const { currentTarget } = event;
                    const file = currentTarget.files?.[0];
                    if (!file) return;
                    const read = csvIn(await file.text(), table, investigation, book.table, conventions);
                    setBlock({ title: `${file.name} into “${table.title}”`, ...read });
                    currentTarget.value = '';
                  }}
                />
              </label>
            )}
          </span>
        ))}
        <Button
          look="quiet"
          onClick={() =>
            download(
              `${name}.json`,
              'application/json',
              JSON.stringify(jsonOf(investigation, conventions, book.entries, book.outcome), null, 2),
            )
          }
        >
          Everything as JSON
        </Button>
      </div>
      <BlockDialog block={block} onClose={() => setBlock(null)} onWrite={book.writeBlock} />
    </section>
  );
}
