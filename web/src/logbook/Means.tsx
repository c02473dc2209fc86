import {
  checkMean,
  isWords,
  variesByPlan,
  writtenFoot,
  type Column,
  type Table,
  type Trial,
} from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { useDraft } from '../outbox/useDraft';
import { useKeeping } from '../outbox/useKeeping';
import { FieldTrouble } from '../ui/FieldTrouble';
import { Figure } from '../ui/Figure';
import { ReadingField } from '../ui/ReadingField';
import { said, type Book } from './book';
import { padding, wholeDigits } from './padding';
import { Worked } from './Worked';

interface Props {
  readonly book: Book;
  readonly table: Table;
  readonly trials: readonly Trial[];
}

/** The mean of each column over the trials that count, to the place that its values justify. */
export function Means({ book, table, trials }: Props) {
  const whole = wholeDigits(table, book.table, trials);
  return (
    <MeanRow table={table} trials={trials}>
      {(column) => (
        <span
          className="block font-mono text-lg"
          style={padding(meanText(book, column, table), whole[table.columns.indexOf(column)] ?? 0)}
        >
          {column.kind === 'derived' && column.by === 'student' ? (
            <WorkedMean {...{ book, table, column, trials }} />
          ) : (
            <Figure text={meanText(book, column, table)} />
          )}
        </span>
      )}
    </MeanRow>
  );
}

/** The row under a table, once at least two of its trials count. */
export function MeanRow({
  table,
  trials,
  children,
}: Omit<Props, 'book'> & { readonly children: (column: Column) => ReactNode }) {
  const counting = trials.filter(({ standing }) => standing === 'counts').length;
  // Rows with names are of different things: their means stand among the results.
  if (counting < 2 || table.rows) return null;
  return (
    <tfoot>
      <tr className="border-t-2 border-ink align-top">
        <th scope="row" className="py-2 pr-3 text-left font-bold">
          Mean
        </th>
        {table.columns.map((column) => (
          <td key={column.key} className="py-2 pr-3">
            {children(column)}
          </td>
        ))}
      </tr>
    </tfoot>
  );
}

/** A mean as it is written; empty for a time of day and for what differs by plan, which have none, and for one that a student has yet to work. */
export function meanText({ answer, outcome, table }: Book, column: Column, of: Table): string {
  if (column.kind === 'derived' && column.by === 'student')
    return said(table, { kind: 'mean', column: column.key });
  if (column.kind === 'clock' || isWords(column) || variesByPlan(column, of)) return '';
  return writtenFoot(column, outcome, answer.conventions);
}

/** Whoever works a column works its mean too: it is checked, not replaced. Pressed, it is written anew. */
function WorkedMean({
  book,
  column,
  trials,
  table,
}: Props & { readonly column: Extract<Column, { kind: 'derived' }> }) {
  const { answer, outcome } = book;
  const [text, setText] = useDraft(`${answer.id}/0/mean ${column.key}`);
  const [again, setAgain] = useState(false);
  const now = meanText(book, column, table);
  const [keep, trouble] = useKeeping();
  const writeDown = async () => {
    setAgain(false);
    if (text.trim() === '') return;
    if (await keep(book.say({ kind: 'mean', column: column.key }, text.trim()))) setText('');
  };
  if (answer.mayWrite && (now === '' || again || text !== ''))
    return (
      <>
        <ReadingField
          aria-label={`Mean of ${column.heading}${column.unit === '' ? '' : ` in ${column.unit}`}`}
          autoFocus={again}
          value={text}
          onChange={(event) => setText(event.target.value)}
          onBlur={() => void writeDown()}
          onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
        />
        <FieldTrouble says={trouble} />
      </>
    );
  const verdict =
    now === '' ? null : checkMean(now, column, outcome.means[column.key], trials, answer.conventions);
  return (
    <>
      {answer.mayWrite ? (
        <button
          type="button"
          className="-mx-1 rounded-sm px-1 hover:bg-white hover:outline-1 hover:outline-ink"
          aria-label={`Write the mean of ${column.heading} anew, ${now}`}
          onClick={() => setAgain(true)}
        >
          <Figure text={now} />
        </button>
      ) : (
        <Figure text={now} />
      )}
      {verdict && <Worked verdict={verdict} />}
    </>
  );
}
