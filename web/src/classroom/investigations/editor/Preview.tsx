import { outcomeOf, type Investigation } from '@green-beam/core';
import { useDeferredValue, useMemo } from 'react';
import { useHouseRules } from '../../../answers/conventions';
import type { Book } from '../../../logbook/book';
import { Method } from '../../../logbook/Method';
import { TrialTable } from '../../../logbook/TrialTable';

const nothing = () => Promise.resolve();

/** The page as a student will see it, before anything is written. */
export function Preview({
  classId,
  body,
}: {
  readonly classId: string;
  readonly body: Investigation | null;
}) {
  const conventions = useHouseRules(classId).data?.versions[0]?.rules;
  // What the hands do is drawn first.
  const shown = useDeferredValue(body);
  const book = useMemo((): Book | null => {
    if (!shown || !conventions) return null;
    const table = new Map();
    return {
      plan: shown,
      answer: {
        id: 'preview',
        investigation: shown,
        conventions,
        readers: [],
        entries: [],
        last: 0,
        calculations: [],
        mayWrite: false,
      },
      entries: [],
      table,
      outcome: outcomeOf(shown, table, conventions),
      initialled: null,
      waiting: new Set(),
      refused: [],
      write: nothing,
      say: nothing,
      add: nothing,
      addPhoto: nothing,
      writeBlock: nothing,
    };
  }, [shown, conventions]);
  return (
    <section
      aria-label="As a student will see it"
      className="h-fit border-l-4 border-beam pl-4 xl:sticky xl:top-4 xl:max-h-[94vh] xl:overflow-y-auto"
      tabIndex={0}
    >
      <p className="mb-2 text-sm text-soft">As a student will see it</p>
      {book ? (
        <div className="flex flex-col gap-6">
          <p className="text-xl font-bold">{book.plan.title}</p>
          <p>{book.plan.aim}</p>
          {book.plan.tables.map((table) => (
            <TrialTable key={table.key} book={book} table={table} />
          ))}
          <Method investigation={book.plan} called="Method, as a student will see it" />
        </div>
      ) : (
        <p className="text-soft">It appears here as soon as nothing stands in its way.</p>
      )}
    </section>
  );
}
