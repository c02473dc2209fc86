import {
  cellInWriting,
  cellKey,
  givenIn,
  initials,
  trialName,
  unitOf,
  type Column,
  type Table,
} from '@green-beam/core';
import clsx from 'clsx';
import { clock } from '../ui/clock';
import { Figure } from '../ui/Figure';
import type { Book } from './book';
import { isSince, said, saidIn } from './said';
import { givenText } from './Given';
import { FootFigure, FootRows } from './Foot';

/** The table with everything that was struck, and why trials were left out. */
export function ReportReadings({ book, table }: { readonly book: Book; readonly table: Table }) {
  const trials = book.outcome.trials[table.key] ?? [];
  const { investigation, conventions } = book.answer;
  const comesTo = (text: string, column: Column) => {
    const written = cellInWriting(text, column, investigation, conventions);
    return written === null ? '' : ` = ${written}`;
  };
  return (
    <div className="mb-4 overflow-x-auto" tabIndex={0} role="group" aria-label={`Readings: ${table.title}`}>
      <table className="w-full border-collapse">
        <caption className="text-left font-bold">{table.title}</caption>
        <thead>
          <tr className="border-b-2 border-ink text-left align-bottom">
            <th scope="col" className="pr-3">
              {table.rows ? 'Row' : 'Trial'}
            </th>
            {table.columns.map((column) => (
              <th key={column.key} scope="col" className="pr-3 font-bold">
                {column.heading}
                <span className="block font-normal">{heading(column)}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {trials.map((trial) => (
            <tr key={trial.trial} className="break-inside-avoid border-b border-rule align-top">
              <th scope="row" className="py-1 pr-3 text-left font-normal">
                <span className={trial.standing === 'counts' ? 'font-mono' : 'struck font-mono'}>
                  {trialName(table, trial.trial)}
                </span>
                {trial.standing !== 'counts' && (
                  <span className="block text-sm">
                    {trial.standing}: {trial.reason}
                  </span>
                )}
                {said(book.table, { kind: 'remark', trial: trial.trial, table: table.key }) && (
                  <span className="block max-w-48 text-sm">
                    {said(book.table, { kind: 'remark', trial: trial.trial, table: table.key })}
                  </span>
                )}
                {saidIn(book.table, { kind: 'run', trial: trial.trial, table: table.key }).map(
                  ({ id, text }) => (
                    <span key={id} className="block text-sm">
                      abandoned: {text}
                    </span>
                  ),
                )}
              </th>
              {table.columns.map((column) => {
                const cell = book.table.get(cellKey(trial.trial, column.key));
                const derived = trial.derived[column.key];
                const since = isSince(book, trial.trial, column.key);
                return (
                  <td
                    key={column.key}
                    className={clsx('py-1 pr-3', since && 'border-l-4 border-brass-line pl-2')}
                  >
                    {cell?.struck.map(({ entry, by }) => (
                      <span key={entry.id} className="block text-sm">
                        <s className="struck font-mono">{entry.text}</s> {initials(by.reader)}{' '}
                        {clock(by.writtenAt)}
                        {by.reason && `, ${by.reason}`}
                      </span>
                    ))}
                    {cell ? (
                      <>
                        <Figure text={cell.current.text} />
                        {comesTo(cell.current.text, column)}{' '}
                        <span className="text-xs text-soft">{initials(cell.current.reader)}</span>
                        {since && <span className="block text-xs text-brass">after it was checked</span>}
                      </>
                    ) : (
                      <Figure
                        text={
                          column.kind === 'given'
                            ? givenText(givenIn(column, table, trial.trial))
                            : derived?.state === 'reckoned'
                              ? derived.text
                              : '–'
                        }
                      />
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
        <FootRows book={book} table={table} trials={trials}>
          {(_, text, kind) => <FootFigure kind={kind} text={text} />}
        </FootRows>
      </table>
    </div>
  );
}

const heading = (column: Column): string =>
  [
    column.kind === 'clock' ? 'h:min' : unitOf(column),
    column.kind === 'measured' ? `on ${column.tag}` : column.kind === 'derived' ? column.formula : '',
  ]
    .filter(Boolean)
    .join(', ');
