import {
  columnOf,
  initials,
  pieceFrom,
  type Entry,
  type Investigation,
  type SubjectKind,
} from '@green-beam/core';
import { useState } from 'react';
import { dayAndTime } from '../ui/clock';
import { Headings } from '../ui/Headings';
import { useOpenBook } from './book';

/** Everything that was ever written here, in the order in which it arrived. Nothing of it can be changed. */
export function History() {
  const { entries, answer } = useOpenBook();
  const [filter, setFilter] = useState('');
  const wanted = filter.trim().toLowerCase();
  const shown = entries.filter((entry) =>
    `${entry.reader} ${whatOf(entry, answer.investigation)} ${entry.text} ${entry.reason ?? ''}`
      .toLowerCase()
      .includes(wanted),
  );
  return (
    <section aria-label="History">
      <label className="mb-3 flex items-center gap-2">
        Find
        <input
          value={filter}
          onChange={(event) => setFilter(event.target.value)}
          className="w-60 rounded-sm border border-edge bg-white px-2 py-1.5"
        />
        <span className="text-soft">
          {shown.length} of {entries.length}
        </span>
      </label>
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Entries">
        <table className="w-full border-collapse">
          <Headings of={['When', 'Who', 'What', 'Text', 'Instrument', 'Why']} />
          <tbody>
            {shown.map((entry) => (
              <tr key={entry.id} className="border-b border-rule align-top">
                <td className="py-1 pr-4 font-mono text-sm whitespace-nowrap">
                  {dayAndTime(entry.writtenAt)}
                  <Arrival entry={entry} />
                </td>
                <td className="py-1 pr-4">{entry.reader}</td>
                <td className="py-1 pr-4">
                  {whatOf(entry, answer.investigation)}
                  {entry.replaces && <span className="text-soft">, strikes what stood there</span>}
                </td>
                <td className="py-1 pr-4 font-mono break-words">{shownText(entry)}</td>
                <td className="py-1 pr-4 font-mono">{entry.tag}</td>
                <td className="py-1">{entry.reason}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

const lateMs = 2 * 60_000;

/** How it is with the time: whose clock it is by, where not the writer's, and when it arrived, where that was later. */
function Arrival({ entry: { writtenAt, receivedAt, timedBy } }: { readonly entry: Entry }) {
  if (timedBy === 'receipt')
    return <span className="block font-sans text-soft">by the server’s clock: the writer’s cannot be</span>;
  if (!receivedAt || Date.parse(receivedAt) - Date.parse(writtenAt) < lateMs) return null;
  return <span className="block font-sans text-soft">arrived {dayAndTime(receivedAt)}</span>;
}

/** A piece is kept whole; what is read of it is whether it is corrected. */
const shownText = (entry: Entry): string => {
  if (entry.kind === 'initials') return initials(entry.reader);
  if (entry.kind === 'kit') return `${entry.role}: ${entry.text}`;
  if (entry.kind !== 'piece') return entry.text;
  const own = pieceFrom(entry.text);
  return own ? `${own.piece.tag} for ${own.role}, ${own.corrected ? 'corrected' : 'as shown'}` : entry.piece;
};

const subjectWords: Readonly<Record<Exclude<SubjectKind, 'reading'>, string>> = {
  standing: 'whether it counts',
  remark: 'remark',
  photo: 'photograph',
  run: 'abandoned run',
  initials: 'looked through',
  'hand-in': 'handed in',
  answer: 'answer',
  prediction: 'prediction',
  mean: 'mean',
  claim: 'claim',
  piece: 'piece taken to the bench',
  kit: 'read on from now on',
};

function whatOf(entry: Entry, investigation: Investigation): string {
  const heading =
    entry.kind === 'reading'
      ? (columnOf(investigation, entry.column)?.column.heading ?? entry.column)
      : subjectWords[entry.kind];
  return 'trial' in entry
    ? `trial ${entry.trial}, ${heading.charAt(0).toLowerCase()}${heading.slice(1)}`
    : heading;
}
