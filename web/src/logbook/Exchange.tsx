import { csvIn, csvOf, jsonOf } from '@green-beam/core';
import { useState } from 'react';
import { Button } from '../ui/Button';
import { download, fileName } from '../ui/download';
import { FileChoice } from '../ui/FileChoice';
import { BlockDialog, type Block } from './BlockDialog';
import type { Book } from './book';

/** Data out and in: each table as CSV with a row of units, the whole as JSON. */
export function Exchange({ book }: { readonly book: Book }) {
  const { investigation, conventions, mayWrite } = book.answer;
  const [block, setBlock] = useState<Block | null>(null);
  const name = fileName(investigation.title);
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
              <FileChoice
                label={`Read a CSV into “${table.title}”`}
                accept=".csv,text/csv"
                onFile={async (file) =>
                  setBlock({
                    title: `${file.name} into “${table.title}”`,
                    ...csvIn(await file.text(), table, investigation, book.table, conventions),
                  })
                }
              />
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
