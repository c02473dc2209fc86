import {
  checkMean,
  coveredFor,
  footNames,
  footOf,
  footText,
  subjectKey,
  type Column,
  type FootKind,
  type Table,
  type Trial,
} from '@green-beam/core';
import clsx from 'clsx';
import { useState, type ReactNode } from 'react';
import { useDraft } from '../outbox/useDraft';
import { useWho } from '../session/who';
import { useKeeping } from '../outbox/useKeeping';
import { FieldTrouble } from '../ui/FieldTrouble';
import { Figure } from '../ui/Figure';
import { ReadingField } from '../ui/ReadingField';
import type { Book } from './book';
import { said } from './said';
import { onlookerOf } from './sheet';
import { padding, wholeDigits } from './padding';
import { Worked } from './Worked';

interface Props {
  readonly book: Book;
  readonly table: Table;
  readonly trials: readonly Trial[];
}

/** What stands under each column, as the table has it; what a student works stands there as they wrote it. */
export function Foot({ book, table, trials }: Props) {
  const whole = wholeDigits(table, book.table, trials);
  return (
    <FootRows book={book} table={table} trials={trials}>
      {(column, text, kind) => (
        <span
          className={clsx(
            'block font-mono',
            kind === 'mean' && 'text-lg',
            kind === 'plus minus' && 'text-sm',
          )}
          style={padding(text, whole[table.columns.indexOf(column)] ?? 0)}
        >
          {kind === 'mean' && column.kind === 'derived' && column.by === 'student' ? (
            <WorkedMean {...{ book, table, column, trials }} />
          ) : (
            <FootFigure kind={kind} text={text} />
          )}
        </span>
      )}
    </FootRows>
  );
}

/** A count is exact: none of its digits is doubtful. */
export const FootFigure = ({ kind, text }: { readonly kind: FootKind; readonly text: string }) =>
  kind === 'n' ? <span className="font-mono">{text}</span> : <Figure text={text} />;

/** The lines under a table, once at least two of its trials count. */
export function FootRows({
  book,
  table,
  trials,
  children,
}: Props & { readonly children: (column: Column, text: string, kind: FootKind) => ReactNode }) {
  const counting = trials.filter(({ standing }) => standing === 'counts').length;
  const kinds = footOf(table);
  if (counting < 2 || kinds.length === 0) return null;
  return (
    <tfoot>
      {kinds.map((kind, at) => (
        <tr key={kind} className={clsx('align-top', at === 0 && 'border-t-2 border-ink')}>
          <th scope="row" className="py-1 pr-3 text-left font-bold first:last:py-2">
            {footNames[kind]}
          </th>
          {table.columns.map((column) => (
            <td key={column.key} className="py-1 pr-3">
              {children(column, underColumn(book, column, table, kind), kind)}
            </td>
          ))}
        </tr>
      ))}
    </tfoot>
  );
}

/** As it is written; a mean that a student works, as they wrote it. */
function underColumn({ answer, outcome, table }: Book, column: Column, of: Table, kind: FootKind): string {
  if (kind === 'mean' && column.kind === 'derived' && column.by === 'student')
    return said(table, { kind: 'mean', column: column.key });
  return footText(kind, column, of, { ...answer, outcome });
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
  const { name: reader } = useWho();
  const cell = book.table.get(subjectKey({ kind: 'mean', column: column.key }));
  const covered =
    cell &&
    coveredFor(
      onlookerOf(answer.mayWrite, reader),
      cell,
      column,
      table,
      answer.investigation,
      () => undefined,
    );
  const now = covered ? '' : underColumn(book, column, table, 'mean');
  const [keep, trouble] = useKeeping();
  const writeDown = async () => {
    setAgain(false);
    if (text.trim() === '') return;
    const subject = { kind: 'mean', column: column.key } as const;
    // What is covered is not struck: both stand, and agree or not.
    if (await keep(covered ? book.add(subject, text.trim()) : book.say(subject, text.trim()))) setText('');
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
        {covered && <span className="block font-sans text-sm text-soft">{covered}</span>}
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
