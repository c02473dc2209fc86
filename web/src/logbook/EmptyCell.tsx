import {
  adviseOn,
  columnAsRead,
  instrumentOf,
  modelOf,
  trialName,
  unitOf,
  type Column,
  type KitItem,
  type Table,
} from '@green-beam/core';
import type { TakenReading } from '@green-beam/contract';
import { useId, useRef, type ClipboardEvent, type KeyboardEvent } from 'react';
import { useCarried } from '../bench/carried';
import { useDraft } from '../outbox/useDraft';
import { useKeeping } from '../outbox/useKeeping';
import { Button } from '../ui/Button';
import { clockWithSeconds } from '../ui/clock';
import { ReadingField } from '../ui/ReadingField';
import type { Writing } from './book';
import type { Sheet } from './sheet';
import { DropCounter } from './DropCounter';
import { TakeReading } from './TakeReading';

/** Kinds of instrument that a connected balance can stand in for. */
const takesFromFeed: ReadonlySet<string> = new Set(['electronic-balance']);

interface Props {
  readonly sheet: Sheet;
  readonly table: Table;
  readonly trial: number;
  readonly column: Column;
  /** True in the first row that is not full: what can be taken from elsewhere is offered there. */
  readonly next: boolean;
  readonly write: (writing: Writing) => Promise<void>;
  readonly onBlock: (text: string, trial: number, column: string) => void;
  readonly onRun: (trial: number, text: string) => void;
}

/**
 * A cell to write in. What is typed is kept at every key press and written down with Enter or on leaving. Tab goes to the next
 * cell, always: what helps to fill this one is reached with F2.
 */
export function EmptyCell({ sheet, table, trial, column, next, write, onBlock, onRun }: Props) {
  const { investigation, conventions, mayWrite, id, inUse } = sheet;
  const [text, setText, letGo, unkept] = useDraft(`${id}/${trial}/${column.key}`);
  const [keep, trouble] = useKeeping();
  const given = useRef(false);
  const adviceId = useId();
  const choicesId = useId();
  if (!mayWrite) return <span className="block py-2 text-soft">–</span>;
  const asRead =
    column.kind === 'measured'
      ? columnAsRead(column, inUse[column.tag] ?? column.tag, investigation)
      : column;
  const advice = adviseOn(text, asRead, investigation, conventions);
  const wrong = trouble ?? unkept;
  const said = wrong ?? advice;
  const item =
    asRead.kind === 'measured' ? investigation.kit.find(({ tag }) => tag === asRead.tag) : undefined;
  const put = (writing: Omit<Writing, 'trial' | 'column'>) => {
    if (given.current) return;
    given.current = true;
    // The text is let go only when it is kept elsewhere.
    void keep(write({ trial, column: column.key, ...writing })).then((kept) => {
      if (kept) letGo();
      else given.current = false;
    });
  };
  const writeDown = () => {
    if (text.trim() !== '') put({ text });
  };
  // Leaving the cell writes it down, so Enter only has to leave it, for the next one if there is one.
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'F2') {
      event.preventDefault();
      event.currentTarget.closest('td')?.querySelector('button')?.focus();
    }
    if (event.key !== 'Enter') return;
    const cells = [...(event.currentTarget.closest('table')?.querySelectorAll('input') ?? [])];
    const following = cells[cells.indexOf(event.currentTarget) + 1];
    if (following) following.focus();
    else event.currentTarget.blur();
  };
  const onPaste = (event: ClipboardEvent<HTMLInputElement>) => {
    const pasted = event.clipboardData.getData('text/plain');
    if (!/[\t\n]/.test(pasted.trim())) return;
    event.preventDefault();
    onBlock(pasted, trial, column.key);
  };
  return (
    <div className="relative">
      <ReadingField
        aria-label={`${table.rows ? trialName(table, trial) : `Trial ${trial}`}, ${column.heading}${unitWords(column)}`}
        list={column.kind === 'choice' ? choicesId : undefined}
        aria-describedby={said ? adviceId : undefined}
        value={text}
        onChange={(event) => {
          given.current = false;
          setText(event.target.value);
        }}
        onBlur={writeDown}
        onKeyDown={onKeyDown}
        onPaste={onPaste}
      />
      {column.kind === 'choice' && (
        <datalist id={choicesId}>
          {column.options.map((option) => (
            <option key={option} value={option} />
          ))}
        </datalist>
      )}
      {next && item && takesFromFeed.has(item.kind) && (
        <TakeReading
          unit={unitOf(column)}
          division={modelOf(instrumentOf(item.kind), item.model).division}
          onTaken={({ id: takenId, text: shown }: TakenReading) => put({ text: shown, takenId })}
        />
      )}
      {next && item && <FromBench item={item} unit={unitOf(column)} onTaken={put} />}
      {next && column.kind === 'clock' && (
        <Button
          look="quiet"
          className="text-sm"
          tabIndex={-1}
          onClick={() => put({ text: clockWithSeconds(new Date()) })}
        >
          Now
        </Button>
      )}
      {column.kind === 'count' && column.unit === 'drops' && (
        <DropCounter
          name={`${id}/${trial}/${column.key}/drops`}
          trial={trial}
          onCounted={(count) => put({ text: String(count) })}
          onAbandoned={(count) => onRun(trial, `${count} drops`)}
        />
      )}
      {/* It hangs over what is below, from a box without size: nothing moves while one types, and nothing is laid out anew. */}
      <div className="absolute top-full left-0 z-20 h-0 w-52 [contain:size_layout]">
        {said && (
          <p
            id={adviceId}
            role={wrong ? 'alert' : undefined}
            className={
              wrong
                ? 'border border-vermilion bg-white px-2 py-1 text-sm text-vermilion'
                : 'border border-brass-line bg-white px-2 py-1 text-sm text-brass'
            }
          >
            {said}
          </p>
        )}
      </div>
    </div>
  );
}

/** The last right reading from the bench, where it is of the same make of instrument. */
function FromBench({
  item,
  unit,
  onTaken,
}: {
  readonly item: KitItem;
  readonly unit: string;
  readonly onTaken: (writing: { readonly text: string; readonly attemptId: string }) => void;
}) {
  const [carried, letGo] = useCarried();
  if (carried?.kind !== item.kind || carried.model !== item.model || carried.unit !== unit) return null;
  return (
    <Button
      look="quiet"
      className="text-sm"
      tabIndex={-1}
      onClick={() => {
        onTaken({ text: carried.text, attemptId: carried.attemptId });
        letGo();
      }}
    >
      From the bench ({carried.text} {unit})
    </Button>
  );
}

const unitWords = (column: Column): string =>
  column.kind === 'clock' ? ' as hours and minutes' : unitOf(column) === '' ? '' : ` in ${unitOf(column)}`;
