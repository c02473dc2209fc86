import { adviseOn, initials, type Cell, type Column } from '@green-beam/core';
import { Popover } from 'radix-ui';
import { useId, useState, type FormEvent } from 'react';
import { useDraft } from '../outbox/useDraft';
import { Button } from '../ui/Button';
import { Figure } from '../ui/Figure';
import { ReadingField } from '../ui/ReadingField';
import type { Book } from './book';

interface Props {
  readonly book: Book;
  readonly cell: Cell;
  readonly column: Column;
}

/** A reading in ink: struck ones stay readable above it, with initials, time and reason. */
export function WrittenCell({ book, cell, column }: Props) {
  const { current, struck, collided } = cell;
  const advice = adviseOn(current.text, column, book.answer.investigation, book.answer.conventions);
  return (
    <div className="py-1">
      {struck.map(({ entry, by }) => (
        <p key={entry.id} className="text-sm leading-tight">
          <s className="struck font-mono">{entry.text}</s>{' '}
          <span className="text-soft">
            {initials(by.reader)} {clock(by.writtenAt)}
            {by.reason ? `, ${by.reason}` : ', written at the same time'}
          </span>
        </p>
      ))}
      <p className="flex items-baseline gap-2 text-lg">
        <Figure text={current.text} />
        <span className="text-xs text-soft" title={`${current.reader}, ${clock(current.writtenAt)}`}>
          {initials(current.reader)}
        </span>
        {current.origin === 'balance' && <span className="text-xs text-beam">from the balance</span>}
        {book.waiting.has(current.id) && <span className="text-xs text-brass">waits</span>}
        {book.answer.mayWrite && <Correction {...{ book, cell, column }} />}
      </p>
      {collided && (
        <p className="text-sm text-vermilion">Two of you wrote this cell. Decide, then strike and rewrite.</p>
      )}
      {advice && <p className="text-sm text-brass">{advice}</p>}
    </div>
  );
}

function Correction({ book, cell: { current }, column }: Props) {
  const [open, setOpen] = useState(false);
  const [text, setText] = useDraft(`${current.id}/rewrite`);
  const [reason, setReason] = useDraft(`${current.id}/reason`);
  const reasonId = useId();
  const ready = text.trim() !== '' && reason.trim() !== '';
  const strike = (event: FormEvent) => {
    event.preventDefault();
    if (!ready) return;
    book.write({
      trial: current.trial,
      column: column.key,
      text,
      strikes: { id: current.id, reason: reason.trim() },
    });
    setText('');
    setReason('');
    setOpen(false);
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        className="ml-auto rounded-sm border border-rule bg-white px-1.5 text-sm text-soft hover:border-ink hover:text-ink"
        aria-label={`Correct ${column.heading} of trial ${current.trial}, ${current.text}`}
      >
        Correct
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          className="z-30 w-72 border border-ink bg-white p-4"
          aria-label="Correction"
        >
          <form onSubmit={strike} className="flex flex-col gap-3">
            <p>
              <s className="struck font-mono">{current.text}</s> stays readable. What is right?
            </p>
            <ReadingField
              aria-label={`New ${column.heading} in ${column.unit}`}
              autoFocus
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
            <div>
              <label htmlFor={reasonId} className="mb-1 block">
                Why
              </label>
              <input
                id={reasonId}
                value={reason}
                maxLength={200}
                onChange={(event) => setReason(event.target.value)}
                className="w-full rounded-sm border border-edge px-2 py-1.5"
              />
            </div>
            <Button look="main" type="submit" disabled={!ready}>
              Strike and rewrite
            </Button>
          </form>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

const clock = (iso: string): string =>
  new Date(iso).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
