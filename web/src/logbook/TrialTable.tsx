import { cellKey, type Column, type TrialState } from '@green-beam/core';
import { Fragment } from 'react';
import { Figure } from '../ui/Figure';
import type { Book } from './book';
import { EmptyCell } from './EmptyCell';
import { WrittenCell } from './WrittenCell';

/** The table of trials: readings as they were written, and what follows from them. */
export function TrialTable({ book }: { readonly book: Book }) {
  const { investigation } = book.answer;
  const filled = Math.max(0, ...[...book.table.values()].map(({ current }) => current.trial));
  const full = book.outcome.trialsWanted === 0;
  const rows = Math.max(investigation.trials, filled + (full && book.answer.mayWrite ? 1 : 0));
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse">
        <caption className="sr-only">Trials</caption>
        <thead>
          <tr className="border-b-2 border-ink text-left align-bottom">
            <th scope="col" className="py-2 pr-3 font-bold">
              Trial
            </th>
            {investigation.columns.map((column) => (
              <ColumnHeading key={column.key} column={column} />
            ))}
            <DerivedHeading name="Volume" symbol="V₂ − V₁" unit="mL" />
            <DerivedHeading name="Density" symbol="ρ" unit="g/cm³" />
          </tr>
        </thead>
        <tbody>
          {Array.from({ length: rows }, (_, at) => at + 1).map((trial) => (
            <tr key={trial} className="border-b border-rule align-top">
              <th scope="row" className="py-3 pr-3 text-left font-mono font-normal">
                {trial}
              </th>
              {investigation.columns.map((column) => {
                const cell = book.table.get(cellKey(trial, column.key));
                return (
                  <td key={column.key} className="py-1.5 pr-3">
                    {cell ? (
                      <WrittenCell book={book} cell={cell} column={column} />
                    ) : (
                      <EmptyCell book={book} trial={trial} column={column} />
                    )}
                  </td>
                );
              })}
              <Derived state={book.outcome.trials.find((state) => state.trial === trial)} />
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function ColumnHeading({ column }: { readonly column: Column }) {
  return (
    <th scope="col" className="w-[9.5rem] py-2 pr-3 font-bold">
      {column.heading}
      <span className="block font-normal">
        <Symbol text={column.symbol} /> in {column.unit}
        <span className="ml-2 rounded-sm border border-rule bg-white px-1 font-mono text-sm">
          {column.tag}
        </span>
      </span>
    </th>
  );
}

function DerivedHeading({
  name,
  symbol,
  unit,
}: {
  readonly name: string;
  readonly symbol: string;
  readonly unit: string;
}) {
  return (
    <th scope="col" className="py-2 pr-3 font-bold">
      {name}
      <span className="block font-normal">
        <i>{symbol}</i> in {unit}
      </span>
    </th>
  );
}

/** `V_1` as V with its index. */
function Symbol({ text }: { readonly text: string }) {
  const [letter, index] = text.split('_');
  return (
    <i>
      {letter}
      {index && <sub>{index}</sub>}
    </i>
  );
}

function Derived({ state }: { readonly state: TrialState | undefined }) {
  if (state?.state === 'refused') {
    return (
      <td colSpan={2} className="py-3 text-sm text-vermilion">
        {state.reason}
      </td>
    );
  }
  const values = state?.state === 'complete' ? [state.volumeText, state.densityText] : ['', ''];
  return (
    <Fragment>
      {values.map((text, at) => (
        <td key={at} className="py-3 pr-3 text-lg">
          {text === '' ? <span className="text-soft">–</span> : <Figure text={text} />}
        </td>
      ))}
    </Fragment>
  );
}
