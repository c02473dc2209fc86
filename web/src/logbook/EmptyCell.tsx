import { adviseOn, type Column } from '@green-beam/core';
import { useId, type KeyboardEvent } from 'react';
import type { TakenReading } from '@green-beam/contract';
import { useDraft } from '../outbox/useDraft';
import { ReadingField } from '../ui/ReadingField';
import type { Book } from './book';
import { TakeReading } from './TakeReading';

/** Kinds of instrument that a connected balance can stand in for. */
const takesFromFeed: ReadonlySet<string> = new Set(['electronic-balance']);

/** A cell to write in. What is typed is kept at every key press and written down with Enter or on leaving. */
export function EmptyCell({
  book,
  trial,
  column,
}: {
  readonly book: Book;
  readonly trial: number;
  readonly column: Column;
}) {
  const { investigation, conventions, mayWrite, id } = book.answer;
  const [text, setText] = useDraft(`${id}/${trial}/${column.key}`);
  const adviceId = useId();
  if (!mayWrite) return <span className="block py-2 text-soft">–</span>;
  const advice = adviseOn(text, column, investigation, conventions);
  const mayTake = investigation.kit.some(({ tag, kind }) => tag === column.tag && takesFromFeed.has(kind));
  const writeDown = () => {
    if (text.trim() === '') return;
    book.write({ trial, column: column.key, text });
    setText('');
  };
  const take = ({ id: takenId, text: shown }: TakenReading) => {
    book.write({ trial, column: column.key, text: shown, takenId });
    setText('');
  };
  // Leaving the cell writes it down, so Enter only has to leave it, for the next one if there is one.
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key !== 'Enter') return;
    const cells = [...(event.currentTarget.closest('table')?.querySelectorAll('input') ?? [])];
    const next = cells[cells.indexOf(event.currentTarget) + 1];
    if (next) next.focus();
    else event.currentTarget.blur();
  };
  return (
    <>
      <ReadingField
        aria-label={`Trial ${trial}, ${column.heading} in ${column.unit}`}
        aria-describedby={advice ? adviceId : undefined}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={writeDown}
        onKeyDown={onKeyDown}
      />
      {mayTake && <TakeReading unit={column.unit} onTaken={take} />}
      {advice && (
        <p id={adviceId} className="mt-1 text-sm text-brass">
          {advice}
        </p>
      )}
    </>
  );
}
