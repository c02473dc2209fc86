import {
  checkWorked,
  besideOf,
  coveredFor,
  trialName,
  type Cell,
  type Derived,
  type Entry,
  type Table,
  type Trial,
} from '@green-beam/core';
import clsx from 'clsx';
import { memo, type ReactNode } from 'react';
import { Figure } from '../ui/Figure';
import type { Book, Writing } from './book';
import { said, saidIn } from './said';
import type { Sheet } from './sheet';
import { EmptyCell } from './EmptyCell';
import { Given } from './Given';
import { padding } from './padding';
import { Photograph } from './Photograph';
import { TrialMenu } from './TrialMenu';
import { WrittenCell } from './WrittenCell';

interface RowProps {
  readonly number: number;
  readonly sheet: Sheet;
  readonly table: Table;
  readonly trial: Trial | undefined;
  readonly cells: readonly (Cell | undefined)[];
  readonly waiting: string;
  /** What the staff's eyes left at each cell, as JSON; empty for nothing. */
  readonly notes: string;
  readonly remarks: Remarks;
  /** Digits before the point in each column. */
  readonly pads: string;
  readonly next: boolean;
  readonly say: Book['say'];
  readonly addPhoto: Book['addPhoto'];
  readonly write: (writing: Writing) => Promise<void>;
  readonly onBlock: (text: string, trial: number, column: string) => void;
  readonly onRun: (trial: number, text: string) => void;
}

/** What is said of a trial besides its readings. */
export interface Remarks {
  readonly remark: string;
  readonly runs: readonly Entry[];
  readonly photos: readonly Entry[];
}

export const remarksOf = (cells: Book['table'], table: string, trial: number): Remarks => ({
  remark: said(cells, { kind: 'remark', trial: trial, table: table }),
  runs: saidIn(cells, { kind: 'run', trial: trial, table: table }),
  photos: saidIn(cells, { kind: 'photo', trial: trial, table: table }),
});

const sameRemarks = (a: Remarks, b: Remarks): boolean =>
  a.remark === b.remark && a.runs.length === b.runs.length && a.photos.length === b.photos.length;

const sameCell = (a: Cell | undefined, b: Cell | undefined): boolean =>
  a?.current.id === b?.current.id &&
  a?.struck.length === b?.struck.length &&
  a?.agreed?.length === b?.agreed?.length &&
  a?.collided === b?.collided;

/** One trial. Cells are made anew at every turn, so they are compared by what stands in them. */
export const TrialRow = memo(
  DrawnRow,
  ({ cells: before, remarks: saidBefore, ...old }, { cells: now, remarks: saidNow, ...fresh }) => {
    const keys = Object.keys(fresh) as (keyof typeof fresh)[];
    return (
      keys.every((key) => old[key] === fresh[key]) &&
      now.every((cell, at) => sameCell(before[at], cell)) &&
      sameRemarks(saidBefore, saidNow)
    );
  },
);

function DrawnRow({
  number,
  sheet,
  table,
  trial,
  cells,
  waiting,
  notes,
  remarks,
  pads,
  next,
  write,
  say,
  addPhoto,
  onBlock,
  onRun,
}: RowProps) {
  const afresh = (writing: Writing) => write({ ...writing, afresh: true });
  const waitingCells = waiting.split(',');
  const noted = notes === '' ? [] : (JSON.parse(notes) as string[]);
  const standing = trial?.standing ?? 'counts';
  const whole = pads.split(',').map(Number);
  return (
    <tr
      data-index={number - 1}
      className={clsx(
        'isolate relative focus-within:z-10 border-b border-rule align-top',
        standing !== 'counts' && 'bg-rule/30',
      )}
    >
      <th
        scope="row"
        data-row={number}
        data-col={-1}
        className="sticky left-0 z-[5] bg-page pt-3 pb-2 pr-3 text-left font-normal"
      >
        {/* Placed by itself: a row that has such a part is not painted anew when another one is. */}
        <span className="relative whitespace-nowrap">
          <span
            className={clsx(
              table.rows ? 'mr-1 whitespace-normal' : 'font-mono',
              standing !== 'counts' && 'struck',
            )}
          >
            {trialName(table, number)}
          </span>
          {(trial || sheet.mayWrite) && (
            <TrialMenu
              {...{ sheet, number, trial, say, addPhoto }}
              table={table.key}
              remark={remarks.remark}
            />
          )}
        </span>
        {standing !== 'counts' && (
          <span className="block text-sm text-soft">
            {standing}: {trial?.reason}
          </span>
        )}
        <Said remarks={remarks} logbookId={sheet.id} number={number} />
      </th>
      {table.columns.map((column, at) => {
        const cell = cells[at];
        const verdict =
          column.kind === 'derived' && cell && trial
            ? checkWorked(
                cell.current.text,
                column,
                besideOf(table, column, trial, (key) => textIn(table, cells, key)),
                sheet.conventions,
              )
            : null;
        const covered =
          cell &&
          coveredFor(sheet.onlooker, cell, column, table, sheet.investigation, (key) =>
            textIn(table, cells, key),
          );
        return (
          <td key={column.key} data-row={number} data-col={at} className="py-1.5 pr-3">
            {column.kind === 'given' ? (
              <Given {...{ column, table }} trial={number} />
            ) : column.kind === 'derived' && column.by === 'app' ? (
              <DerivedCell cell={trial?.derived[column.key]} whole={whole[at] ?? 0} />
            ) : covered ? (
              <Covered says={covered}>
                {column.kind === 'derived' && (
                  <EmptyCell
                    {...{ sheet, table, column, next, onBlock, onRun }}
                    trial={number}
                    write={afresh}
                  />
                )}
              </Covered>
            ) : cell ? (
              <>
                <WrittenCell
                  {...{ sheet, cell, column, verdict, write }}
                  whole={whole[at] ?? 0}
                  waits={waitingCells[at] === 'true'}
                />
                <Refusal of={trial?.derived[column.key]} />
                {noted[at] && (
                  <p className="border-l-4 border-brass-line pl-2 text-sm whitespace-pre-line">{noted[at]}</p>
                )}
              </>
            ) : (
              <EmptyCell {...{ sheet, table, column, next, write, onBlock, onRun }} trial={number} />
            )}
          </td>
        );
      })}
    </tr>
  );
}

const textIn = ({ columns }: Table, cells: RowProps['cells'], key: string): string | undefined =>
  cells[columns.findIndex((other) => other.key === key)]?.current.text;

/** A number that is there and not shown yet, and why. */
const Covered = ({ says, children }: { readonly says: string; readonly children: ReactNode }) => (
  <>
    {children}
    <p className="py-1 text-sm text-soft">{says}</p>
  </>
);

/** Remarks, photographs and abandoned runs of a trial, under its number. */
function Said({
  remarks: { remark, runs, photos },
  logbookId,
  number,
}: {
  readonly remarks: Remarks;
  readonly logbookId: string;
  readonly number: number;
}) {
  return (
    <>
      {remark && <span className="block max-w-40 text-sm text-soft">{remark}</span>}
      {runs.length > 0 && (
        <span className="block text-sm text-soft">abandoned: {runs.map(({ text }) => text).join(', ')}</span>
      )}
      {photos.map(({ id, text }, at) => (
        <Photograph
          key={id}
          logbookId={logbookId}
          id={text}
          words={`Photograph ${at + 1} of trial ${number}`}
        />
      ))}
    </>
  );
}

/** Why nothing can follow from the readings of a trial, whoever works the value. */
const Refusal = ({ of }: { readonly of: Derived | undefined }) =>
  of?.state === 'refused' ? <p className="py-1 text-sm text-vermilion">{of.reason}</p> : null;

function DerivedCell({ cell, whole }: { readonly cell: Derived | undefined; readonly whole: number }) {
  if (cell?.state === 'refused') return <Refusal of={cell} />;
  return (
    <p
      className="py-1 font-mono text-lg"
      style={cell?.state === 'reckoned' ? padding(cell.text, whole) : undefined}
    >
      {cell?.state === 'reckoned' ? <Figure text={cell.text} /> : <span className="text-soft">–</span>}
    </p>
  );
}
