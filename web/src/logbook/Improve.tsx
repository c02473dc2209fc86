import { improvements, type Result } from '@green-beam/core';
import { useMemo } from 'react';
import type { Book } from './book';

/** What would make a result more certain, the best first. */
export function Improve({ book, result }: { readonly book: Book; readonly result: Result }) {
  const { investigation, conventions } = book.answer;
  const told = useMemo(
    () => improvements(investigation, book.table, conventions, result).slice(0, 5),
    [investigation, book.table, conventions, result],
  );
  if (result.uncertainty === null) return null;
  if (told.length === 0)
    return (
      <p className="text-soft">
        No finer make that is at hand, and no few more trials, would change anything that is written.
      </p>
    );
  return (
    <div>
      <h3 className="mb-1 font-bold">What would improve it</h3>
      <ul className="ml-5 list-disc">
        {told.map(({ what, text }) => (
          <li key={what}>{text}</li>
        ))}
      </ul>
      <p className="text-sm text-soft">Reckoned anew for each, with your own readings.</p>
    </div>
  );
}
