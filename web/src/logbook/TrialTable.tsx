import {
  besides,
  cellKey,
  checkWorked,
  pastedBlock,
  unitOf,
  writeTracked,
  type Cell,
  type Column,
  type Derived,
  type Table,
  type Trial,
} from '@green-beam/core';
import clsx from 'clsx';
import { memo, useCallback, useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { Figure } from '../ui/Figure';
import { Symbol } from '../ui/Symbol';
import { BlockDialog, type Block } from './BlockDialog';
import { isSupplied } from './supplied';
import { saidIn, type Book, type Writing } from './book';
import { EmptyCell } from './EmptyCell';
import { Rows } from './Rows';
import { Timer } from './Timer';
import { TrialMenu } from './TrialMenu';
import { WrittenCell } from './WrittenCell';

/** A table of trials: readings as they were written, and what follows from them. Arrow keys go from cell to cell. */
export function TrialTable({ book, table }: { readonly book: Book; readonly table: Table }) {
  const { answer, outcome } = book;
  const trials = useMemo(() => outcome.trials[table.key] ?? [], [outcome, table.key]);
  const byNumber = useMemo(() => new Map(trials.map((trial) => [trial.trial, trial])), [trials]);
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
  const onRun = useCallback(
    (trial: number, text: string) => latest.current.add(trial, besides.run(table.key), text),
    [table.key],
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
        className="overflow-x-auto"
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
            <col style={{ width: `${trialRem}rem` }} />
            {table.columns.map((column) => (
              <col key={column.key} style={{ width: `${columnRem(column)}rem` }} />
            ))}
          </colgroup>
          <thead>
            <tr className="border-b-2 border-ink text-left align-bottom">
              <th scope="col" className="py-2 pr-3 font-bold">
                Trial
              </th>
              {table.columns.map((column) => (
                <ColumnHeading key={column.key} column={column} />
              ))}
            </tr>
          </thead>
          <Rows count={rows}>
            {(number) => (
              <Row
                key={number}
                number={number}
                answer={answer}
                table={table}
                trial={byNumber.get(number)}
                cells={table.columns.map(({ key }) => book.table.get(cellKey(number, key)))}
                waiting={table.columns.map(({ key }) => waits(book, number, key)).join()}
                besideKey={besideKey(book, table.key, number)}
                book={latest}
                next={next === number}
                write={write}
                onBlock={onBlock}
                onRun={onRun}
              />
            )}
          </Rows>
          <Means book={book} table={table} trials={trials} />
        </table>
      </div>
      <BlockDialog
        block={block}
        onClose={() => setBlock(null)}
        onWrite={(cells) => latest.current.writeBlock(cells)}
      />
    </section>
  );
}

const trialRem = 7;
const columnRem = (column: Column): number =>
  column.kind !== 'derived' ? 10.2 : column.by === 'student' ? 9 : 6.5;
const widthOf = ({ columns }: Table): number =>
  columns.reduce((sum, column) => sum + columnRem(column), trialRem);

/** The mean of each column over the trials that count, to the place that its values justify. */
function Means({
  book: { answer, outcome },
  table,
  trials,
}: {
  readonly book: Book;
  readonly table: Table;
  readonly trials: readonly Trial[];
}) {
  const counting = trials.filter(({ standing }) => standing === 'counts').length;
  if (counting < 2) return null;
  return (
    <tfoot>
      <tr className="border-t-2 border-ink">
        <th scope="row" className="py-2 pr-3 text-left font-bold">
          Mean
        </th>
        {table.columns.map((column) => {
          // A student who works a column works its mean too; a time of day has none.
          const own = column.kind !== 'clock' && !(column.kind === 'derived' && column.by === 'student');
          const mean = own ? outcome.means[column.key] : undefined;
          return (
            <td key={column.key} className="py-2 pr-3 text-lg">
              {mean && <Figure text={writeTracked(roughly(mean), answer.conventions.rounding)} />}
            </td>
          );
        })}
      </tr>
    </tfoot>
  );
}

/** The mean of counts is no count: it gets a decimal of its own. */
const roughly = <Q extends { readonly lastPlace: number | null }>(mean: Q): Q =>
  mean.lastPlace === null ? { ...mean, lastPlace: -1 } : mean;

const waits = (book: Book, trial: number, key: string): boolean => {
  const current = book.table.get(cellKey(trial, key))?.current;
  return current !== undefined && book.waiting.has(current.id);
};

/** Changes whenever something is said besides the readings of a trial. */
const besideKey = ({ table: cells }: Book, table: string, trial: number): string =>
  [besides.standing, besides.remark, besides.photo, besides.run]
    .map((column) => cells.get(cellKey(trial, column(table)))?.current.id ?? '')
    .join();

interface RowProps {
  readonly number: number;
  readonly answer: Book['answer'];
  readonly table: Table;
  readonly trial: Trial | undefined;
  readonly cells: readonly (Cell | undefined)[];
  readonly waiting: string;
  readonly besideKey: string;
  readonly book: { readonly current: Book };
  readonly next: boolean;
  readonly write: (writing: Writing) => void;
  readonly onBlock: (text: string, trial: number, column: string) => void;
  readonly onRun: (trial: number, text: string) => void;
}

const sameCell = (a: Cell | undefined, b: Cell | undefined): boolean =>
  a?.current.id === b?.current.id && a?.struck.length === b?.struck.length && a?.collided === b?.collided;

/** One trial. Cells are made anew at every turn, so they are compared by what stands in them. */
const Row = memo(DrawnRow, ({ cells: before, ...old }, { cells: now, ...fresh }) => {
  const keys = Object.keys(fresh) as (keyof typeof fresh)[];
  return keys.every((key) => old[key] === fresh[key]) && now.every((cell, at) => sameCell(before[at], cell));
});

function DrawnRow({
  number,
  answer,
  table,
  trial,
  cells,
  waiting,
  book,
  next,
  write,
  onBlock,
  onRun,
}: RowProps) {
  const waitingCells = waiting.split(',');
  const standing = trial?.standing ?? 'counts';
  return (
    <tr
      data-index={number - 1}
      className={clsx(
        'isolate relative border-b border-rule align-top',
        standing !== 'counts' && 'bg-rule/30',
      )}
    >
      <th scope="row" className="py-2 pr-3 text-left font-normal">
        <span className="whitespace-nowrap">
          <span className={clsx('font-mono', standing !== 'counts' && 'struck')}>{number}</span>
          {(trial || answer.mayWrite) && (
            <TrialMenu book={book.current} table={table.key} number={number} trial={trial} />
          )}
        </span>
        {standing !== 'counts' && (
          <span className="block text-sm text-soft">
            {standing}: {trial?.reason}
          </span>
        )}
        <Said book={book.current} table={table.key} number={number} />
      </th>
      {table.columns.map((column, at) => {
        const cell = cells[at];
        const verdict =
          column.kind === 'derived' && cell
            ? checkWorked(
                cell.current.text,
                column,
                trial?.derived[column.key],
                valuesOf(trial),
                answer.conventions,
              )
            : null;
        return (
          <td key={column.key} data-row={number} data-col={at} className="py-1.5 pr-3">
            {column.kind === 'derived' && column.by === 'app' ? (
              <DerivedCell cell={trial?.derived[column.key]} />
            ) : cell ? (
              <WrittenCell
                {...{ answer, cell, column, verdict, write }}
                waits={waitingCells[at] === 'true'}
              />
            ) : (
              <EmptyCell {...{ answer, column, next, write, onBlock, onRun }} trial={number} />
            )}
          </td>
        );
      })}
    </tr>
  );
}

const valuesOf = (trial: Trial | undefined) => ({
  ...trial?.read,
  ...Object.fromEntries(
    Object.entries(trial?.derived ?? {}).flatMap(([key, cell]) =>
      cell.state === 'reckoned' ? [[key, cell.value]] : [],
    ),
  ),
});

/** Remarks, photographs and abandoned runs of a trial, under its number. */
function Said({
  book,
  table,
  number,
}: {
  readonly book: Book;
  readonly table: string;
  readonly number: number;
}) {
  const remark = saidIn(book.table, number, besides.remark(table)).at(-1)?.text;
  const runs = saidIn(book.table, number, besides.run(table));
  const photos = saidIn(book.table, number, besides.photo(table));
  return (
    <>
      {remark && <span className="block max-w-40 text-sm text-soft">{remark}</span>}
      {runs.length > 0 && (
        <span className="block text-sm text-soft">abandoned: {runs.map(({ text }) => text).join(', ')}</span>
      )}
      {photos.map(({ id, text }, at) => (
        <a key={id} href={`/api/logbooks/${book.answer.id}/photos/${text}`} target="_blank" rel="noreferrer">
          <img
            src={`/api/logbooks/${book.answer.id}/photos/${text}`}
            alt={`Photograph ${at + 1} of trial ${number}`}
            className="mt-1 size-16 border border-rule object-cover"
          />
        </a>
      ))}
    </>
  );
}

function DerivedCell({ cell }: { readonly cell: Derived | undefined }) {
  if (cell?.state === 'refused') return <p className="py-1.5 text-sm text-vermilion">{cell.reason}</p>;
  return (
    <p className="py-1.5 text-lg">
      {cell?.state === 'reckoned' ? <Figure text={cell.text} /> : <span className="text-soft">–</span>}
    </p>
  );
}

function ColumnHeading({ column }: { readonly column: Column }) {
  const unit = column.kind === 'clock' ? 'h:min' : unitOf(column);
  return (
    <th scope="col" className="py-2 pr-3 font-bold break-words">
      {column.heading}
      <span className="block font-normal">
        <Symbol text={column.symbol} />
        {unit !== '' && ` in ${unit}`}
        {column.kind === 'measured' && (
          <span className="ml-2 rounded-sm border border-rule bg-white px-1 font-mono text-sm">
            {column.tag}
          </span>
        )}
        {column.kind === 'derived' && column.by === 'student' && (
          <span className="ml-2 text-sm text-soft">worked by you</span>
        )}
      </span>
    </th>
  );
}

const ways: Readonly<Record<string, readonly [down: number, across: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

/** Arrow keys go to the next cell; sideways only from the end of what is typed. */
function moveBetweenCells(event: KeyboardEvent<HTMLTableElement>): void {
  const way = ways[event.key];
  const target = event.target as HTMLElement;
  const cell = target.closest<HTMLElement>('td[data-row]');
  if (!way || !cell || event.ctrlKey || event.metaKey || event.altKey) return;
  const [down, across] = way;
  if (across !== 0 && target instanceof HTMLInputElement) {
    const { selectionStart, selectionEnd, value } = target;
    if (selectionStart !== selectionEnd || selectionStart !== (across < 0 ? 0 : value.length)) return;
  }
  const [row, column] = [Number(cell.dataset['row']), Number(cell.dataset['col'])];
  for (let step = 1; step < 20; step += 1) {
    const next = event.currentTarget.querySelector<HTMLElement>(
      `td[data-row="${row + down * step}"][data-col="${column + across * step}"]`,
    );
    if (!next) return;
    const field = next.querySelector<HTMLElement>('input, button');
    if (field) {
      event.preventDefault();
      field.focus();
      return;
    }
  }
}
