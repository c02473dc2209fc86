import type { BoardReading, BoardStudent } from '@green-beam/contract';
import { inWords } from '@green-beam/core';
import { ReadersMark } from '@green-beam/drawing';
import { useState } from 'react';
import { Link } from 'react-router';
import { clock, weekday } from '../ui/clock';
import { Figure, Stated } from '../ui/Figure';
import type { AtHand } from './useAtHand';

/** One student: marks, the last reading with its verdict and cause, the logbook; the earlier readings unfold. */
export function StudentRow({
  student,
  atHand,
  kinds,
}: {
  readonly student: BoardStudent;
  /** What lies before them at this moment. */
  readonly atHand: AtHand | undefined;
  readonly kinds: readonly string[];
}) {
  const [open, setOpen] = useState(false);
  const { name, group, latest, logbooks } = student;
  // Each under its own heading, whatever order they come in.
  const marks = kinds.flatMap((kind) => student.marks.filter((of) => of.kind === kind));
  const shown = open ? latest : latest.slice(0, 1);
  return (
    <tr className="border-b border-rule align-top">
      <th scope="row" className="py-2 pr-4 text-left font-normal">
        <Link
          to={`students/${student.id}`}
          className="underline decoration-rule underline-offset-4 hover:decoration-ink"
        >
          {name}
        </Link>{' '}
        {group && <span className="text-sm whitespace-nowrap text-soft">{group}</span>}
      </th>
      {marks.map(({ kind, mark, skill }) => (
        <td key={kind} className="py-2 pr-4">
          {mark ? (
            <ReadersMark mark={mark} shaky={skill.state === 'shaky'} />
          ) : (
            <span className="text-sm whitespace-nowrap text-soft">{skill.state}</span>
          )}
        </td>
      ))}
      <td className="py-2 pr-4 [&>p:first-of-type]:inline">
        {atHand && (
          <span className="block text-sm">
            <strong>{atHand.name}</strong> since {clock(new Date(atHand.since))}
            {atHand.tries > 0 && `, ${atHand.tries === 1 ? 'one try' : `${atHand.tries} tries`}`}
          </span>
        )}
        {latest.length === 0 && <span className="text-sm text-soft">no reading this week</span>}
        {shown.map((reading) => (
          <ReadingLine key={reading.at} reading={reading} />
        ))}
        {latest.length > 1 && (
          <button
            type="button"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
            className="ml-2 text-sm text-soft underline underline-offset-4"
          >
            {open ? 'Fewer' : `${latest.length - 1} earlier`}
            <span className="sr-only"> of {name}</span>
          </button>
        )}
      </td>
      <td className="py-2">
        {logbooks.map((line) => (
          <LogbookCell key={line.investigationId} line={line} />
        ))}
      </td>
    </tr>
  );
}

function ReadingLine({ reading: { text, unit, right, causes, at } }: { readonly reading: BoardReading }) {
  return (
    <p>
      <Figure text={text.trim()} /> {unit}{' '}
      <strong className={right ? 'text-beam' : 'text-vermilion'}>{right ? 'right' : 'wrong'}</strong>
      {causes.length > 0 && <span>: {causes.map(inWords).join(' or ')}</span>}{' '}
      <time dateTime={at} className="text-sm text-soft">
        {when(at)}
      </time>
    </p>
  );
}

function LogbookCell({ line }: { readonly line: BoardStudent['logbooks'][number] }) {
  const { count, weight, sentence } = line.found;
  return (
    <span className="block">
      <Link
        to={`/logbook/${line.logbookId ?? ''}`}
        className="inline-block underline decoration-rule underline-offset-4 hover:decoration-ink"
      >
        {line.resultText ? (
          <Stated text={line.resultText} />
        ) : (
          `${line.completeTrials} of ${line.trialsWanted} trials`
        )}
        <span className="sr-only">, {line.title}</span>
      </Link>
      {count > 0 && (
        <span
          title={sentence ?? ''}
          className={`ml-2 text-sm whitespace-nowrap ${weight > 1 ? 'font-bold text-vermilion' : 'text-brass'}`}
        >
          {count} found
        </span>
      )}
    </span>
  );
}

function when(iso: string): string {
  const time = new Date(iso);
  return time.toDateString() === new Date().toDateString() ? clock(time) : `${weekday(time)} ${clock(time)}`;
}
