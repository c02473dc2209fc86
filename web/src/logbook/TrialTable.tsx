import type { Review } from '@green-beam/contract';
import { cellKey, pastedBlock, type Table } from '@green-beam/core';
import clsx from 'clsx';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { BlockDialog, type Block } from './BlockDialog';
import type { Book, Writing } from './book';
import { isSince } from './said';
import { useSheet } from './sheet';
import { ColumnHeading, columnRem, trialRem, widthOf } from './ColumnHeading';
import { Foot } from './Foot';
import { moveBetweenCells } from './moveBetweenCells';
import { placeInWords } from './places';
import { useReviews } from './reviews';
import { Rows } from './Rows';
import { isSupplied } from './supplied';
import { Timer } from './Timer';
import { wholeDigits } from './padding';
import { remarksOf, TrialRow } from './TrialRow';
import { useTooWide } from './wide';

/** A table of trials: readings as they were written, and what follows from them. Arrow keys go from cell to cell. */
export function TrialTable({ book, table }: { readonly book: Book; readonly table: Table }) {
  const { answer, outcome } = book;
  const sheet = useSheet(book);
  const remarks = useReviews(answer.id).data?.reviews[0]?.remarks ?? [];
  const trials = useMemo(() => outcome.trials[table.key] ?? [], [outcome, table.key]);
  const byNumber = useMemo(() => new Map(trials.map((trial) => [trial.trial, trial])), [trials]);
  const pads = wholeDigits(table, book.table, trials).join();
  const [box, tooWide] = useTooWide(widthOf(table));
  const [block, setBlock] = useState<Block | null>(null);
  const filled = Math.max(0, ...trials.map(({ trial }) => trial));
  const counting = trials.filter(({ complete, standing }) => complete && standing === 'counts').length;
  // A row more than is wanted for every trial that does not count, and one to go on with.
  const left = trials.filter(({ standing }) => standing !== 'counts').length;
  const rows = Math.max(table.trials + left, filled + (counting >= table.trials && answer.mayWrite ? 1 : 0));
  const next = Array.from({ length: rows }, (_, at) => at + 1).find(
    (number) => !(byNumber.get(number)?.complete ?? false),
  );
  // The rows get the same functions at every turn, so that a key press draws one of them again.
  const latest = useRef(book);
  useEffect(() => {
    latest.current = book;
  });
  const write = useCallback(
    (writing: Writing) =>
      latest.current.write({
        ...writing,
        supplied: isSupplied(latest.current.answer.id, table.key, writing.trial),
      }),
    [table.key],
  );
  const say = useCallback<Book['say']>((...what) => latest.current.say(...what), []);
  const add = useCallback<Book['add']>((...what) => latest.current.add(...what), []);
  const addPhoto = useCallback<Book['addPhoto']>((...what) => latest.current.addPhoto(...what), []);
  const onRun = useCallback(
    (trial: number, text: string) => void add({ kind: 'run', trial: trial, table: table.key }, text),
    [add, table.key],
  );
  const onBlock = useCallback(
    (text: string, trial: number, column: string) => {
      const { answer: now, table: cells } = latest.current;
      setBlock({
        title: 'Paste into the logbook',
        cells: pastedBlock(text, { trial, column }, table, now.investigation, cells, now.conventions),
        problems: [],
      });
    },
    [table],
  );
  return (
    <section aria-label={table.title}>
      {answer.investigation.tables.length > 1 && <h2 className="mb-1">{table.title}</h2>}
      {table.columns.some(({ kind }) => kind === 'clock') && answer.mayWrite && (
        <Timer book={book} table={table} />
      )}
      <div
        ref={box}
        className={clsx('-mb-14 pb-14', tooWide && 'overflow-x-auto')}
        {...(answer.mayWrite ? {} : { tabIndex: 0, role: 'group', 'aria-label': `Readings: ${table.title}` })}
      >
        {/* Widths are fixed, so that a key press lays out its own row and not the whole table. */}
        <table
          className="w-full table-fixed border-collapse"
          style={{ minWidth: `${widthOf(table)}rem` }}
          onKeyDown={moveBetweenCells}
        >
          <caption className="sr-only">{table.title}</caption>
          <colgroup>
            <col style={{ width: `${trialRem(table)}rem` }} />
            {table.columns.map((column) => (
              <col key={column.key} style={{ width: `${columnRem(column)}rem` }} />
            ))}
          </colgroup>
          {/* In sight while the page goes on below; where the table itself scrolls sideways, the rows keep their names in sight. */}
          <thead className={clsx(!tooWide && 'sticky top-0 z-20 bg-page')}>
            <tr className="border-b-2 border-ink text-left align-bottom">
              <th scope="col" className="sticky left-0 z-10 bg-page py-2 pr-3 font-bold">
                {table.rows ? 'Row' : 'Trial'}
              </th>
              {table.columns.map((column) => (
                <ColumnHeading key={column.key} column={column} />
              ))}
            </tr>
          </thead>
          <Rows count={rows}>
            {(number) => (
              <TrialRow
                key={number}
                number={number}
                sheet={sheet}
                table={table}
                trial={byNumber.get(number)}
                cells={table.columns.map(({ key }) => book.table.get(cellKey(number, key)))}
                notes={notesOf(table.columns.map(({ key }) => noteOn(book, remarks, number, key)))}
                waiting={table.columns.map(({ key }) => waits(book, number, key)).join()}
                pads={pads}
                remarks={remarksOf(book.table, table.key, number)}
                next={next === number}
                write={write}
                say={say}
                addPhoto={addPhoto}
                onBlock={onBlock}
                onRun={onRun}
              />
            )}
          </Rows>
          <Foot book={book} table={table} trials={trials} />
        </table>
      </div>
      {answer.mayWrite && trials.length > 0 && (
        <p className="mt-1 text-sm text-soft">
          Press a reading to correct it. What was written before stays readable.
        </p>
      )}
      <BlockDialog
        block={block}
        onClose={() => setBlock(null)}
        onWrite={(cells) => latest.current.writeBlock(cells)}
      />
    </section>
  );
}

/** What the staff's eyes left at a cell: that it was written after they had looked; what they remarked when they handed it back. */
const noteOn = (book: Book, remarks: Review['remarks'], trial: number, key: string): string =>
  [
    isSince(book, trial, key) ? 'after it was checked' : '',
    ...remarks.flatMap(({ about, text }) =>
      about === placeInWords(book.plan, trial, key) ? [`Remark: ${text}`] : [],
    ),
  ]
    .filter(Boolean)
    .join('\n');

/** One text, the same as long as the notes are. */
const notesOf = (notes: readonly string[]): string => (notes.some(Boolean) ? JSON.stringify(notes) : '');

const waits = (book: Book, trial: number, key: string): boolean => {
  const current = book.table.get(cellKey(trial, key))?.current;
  return current !== undefined && book.waiting.has(current.id);
};
