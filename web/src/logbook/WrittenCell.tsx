import {
  adviseOn,
  cellInWriting,
  columnAsRead,
  correctedText,
  flatSubject,
  isSuppliedCell,
  initials,
  unitOf,
  type Cell,
  type Column,
  type WorkedVerdict,
} from '@green-beam/core';
import { useState, type FormEvent } from 'react';
import { useDraft } from '../outbox/useDraft';
import { useKeeping } from '../outbox/useKeeping';
import { FieldTrouble } from '../ui/FieldTrouble';
import { Button } from '../ui/Button';
import { clock } from '../ui/clock';
import { Figure } from '../ui/Figure';
import { TextField } from '../ui/fields';
import { Hanging } from '../ui/Hanging';
import { ReadingField } from '../ui/ReadingField';
import type { Writing } from './book';
import type { Sheet } from './sheet';
import { padding } from './padding';
import { Worked } from './Worked';

interface Props {
  readonly sheet: Sheet;
  readonly cell: Cell;
  readonly column: Column;
  readonly waits: boolean;
  /** Digits before the point in its column. */
  readonly whole: number;
  /** What is said of a value that was worked by hand; null for a reading. */
  readonly verdict: WorkedVerdict | null;
  readonly write: (writing: Writing) => Promise<void>;
}

const origins = {
  own: null,
  partner: 'partner’s',
  teacher: 'supplied',
  simulated: 'from the bench',
  balance: 'from the balance',
} as const;

/** A reading in ink: struck ones stay readable above it, with initials, time and reason. */
export function WrittenCell({ sheet, cell, column, waits, whole, verdict, write }: Props) {
  const { current, struck, collided, agreed = [] } = cell;
  const { investigation, conventions } = sheet;
  const asRead = columnAsRead(column, current.tag, investigation);
  const advice = adviseOn(current.text, asRead, investigation, conventions);
  const corrected = correctedText(current.text, asRead, investigation, conventions);
  const comesTo = cellInWriting(current.text, asRead, investigation, conventions);
  const origin = origins[current.origin ?? 'own'];
  const otherTag = column.kind === 'measured' && current.tag !== column.tag ? current.tag : null;
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
      <p
        className="flex flex-wrap items-baseline gap-x-2 font-mono text-lg"
        style={padding(current.text, whole)}
      >
        {sheet.mayWrite && !isSuppliedCell(investigation, flatSubject(current).trial, column.key) ? (
          <Correction {...{ cell, column, write }} />
        ) : (
          <Figure text={current.text} />
        )}
        <span
          className="font-sans text-xs text-soft"
          title={`${current.reader}, ${clock(current.writtenAt)}`}
        >
          {[current, ...agreed].map(({ reader }) => initials(reader)).join(' ')}
        </span>
        {origin && <span className="font-sans text-xs text-beam">{origin}</span>}
        {otherTag && (
          <span className="rounded-sm border border-rule bg-white px-1 font-mono text-xs">{otherTag}</span>
        )}
        {comesTo !== null && (
          <span className="font-sans text-xs text-soft">
            is <span className="font-mono">{comesTo}</span>
          </span>
        )}
        {corrected !== null && (
          <span className="font-sans text-xs text-soft">
            corrected <span className="font-mono">{corrected}</span>
          </span>
        )}
        {waits && <span className="font-sans text-xs text-brass">waits</span>}
      </p>
      {collided && (
        <p className="text-sm text-vermilion">Two of you wrote this cell. Decide, then strike and rewrite.</p>
      )}
      {advice && <p className="text-sm text-brass">{advice}</p>}
      {verdict && <Worked verdict={verdict} />}
    </div>
  );
}

/** The reading itself is what one presses to correct it. */
function Correction({ cell: { current }, column, write }: Pick<Props, 'cell' | 'column' | 'write'>) {
  return (
    <Hanging
      label={`Correct ${column.heading} of trial ${flatSubject(current).trial}, ${current.text}`}
      called="Correction"
      button={<Figure text={current.text} />}
      buttonLook="-mx-1 rounded-sm px-1 text-left hover:bg-white hover:outline-1 hover:outline-ink"
      look="w-72"
    >
      {(close) => <CorrectionForm {...{ current, column, write }} onDone={close} />}
    </Hanging>
  );
}

function CorrectionForm({
  current,
  column,
  write,
  onDone,
}: Pick<Props, 'column' | 'write'> & { readonly current: Cell['current']; readonly onDone: () => void }) {
  const [text, setText] = useDraft(`${current.id}/rewrite`);
  const [reason, setReason] = useDraft(`${current.id}/reason`);
  const [tag, setTag] = useState(current.tag);
  const [keep, trouble] = useKeeping();
  const ready = text.trim() !== '' && reason.trim() !== '';
  const strike = async (event: FormEvent) => {
    event.preventDefault();
    if (!ready) return;
    const kept = await keep(
      write({
        trial: flatSubject(current).trial,
        column: column.key,
        text,
        strikes: { id: current.id, reason: reason.trim() },
        tag,
      }),
    );
    if (!kept) return;
    setText('');
    setReason('');
    onDone();
  };
  const unit = unitOf(column);
  return (
    <form onSubmit={(event) => void strike(event)} className="flex flex-col gap-3">
      <p>
        <s className="struck font-mono">{current.text}</s> stays readable. What is right?
      </p>
      <ReadingField
        aria-label={`New ${column.heading}${unit === '' ? '' : ` in ${unit}`}`}
        autoFocus
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      {column.kind === 'measured' && (
        <TextField label="Read on" mono longest={40} value={tag} onChange={setTag} />
      )}
      <TextField label="Why" longest={200} value={reason} onChange={setReason} />
      <FieldTrouble says={trouble} />
      <Button look="main" type="submit" disabled={!ready}>
        Strike and rewrite
      </Button>
    </form>
  );
}
