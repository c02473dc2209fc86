import { cellKey, clockMinutes, type Table } from '@green-beam/core';
import { useEffect, useState } from 'react';
import { clockWithSeconds } from '../ui/clock';
import type { Book } from './book';

/** The clock beside a table with clock times: what it shows, how long since the last reading, when the next is due. */
export function Timer({ book, table }: { readonly book: Book; readonly table: Table }) {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date()), 1000);
    return () => clearInterval(timer);
  }, []);
  const column = table.columns.find(({ kind }) => kind === 'clock');
  const wait = Math.max(0, ...book.answer.investigation.steps.map(({ waitMinutes = 0 }) => waitMinutes));
  const last = (book.outcome.trials[table.key] ?? [])
    .flatMap(({ trial }) => book.table.get(cellKey(trial, column?.key ?? ''))?.current.text ?? [])
    .at(-1);
  const since = last === undefined ? null : secondsSince(last, now);
  return (
    <p className="mb-2 font-mono" role="timer" aria-label="Clock">
      {clockWithSeconds(now)}
      {since !== null && (
        <span className="ml-4 text-soft">
          {Math.floor(since / 60)} min {String(since % 60).padStart(2, '0')} s since the last reading
          {wait > 0 &&
            (since >= wait * 60 ? '; the next is due' : `; next in ${Math.ceil(wait - since / 60)} min`)}
        </span>
      )}
    </p>
  );
}

/** Across midnight too; null for what is no time of day. */
function secondsSince(text: string, now: Date): number | null {
  try {
    return Math.round(clockMinutes(text, clockWithSeconds(now)).times(60).toNumber());
  } catch {
    return null;
  }
}
