import { isAnswered, type Investigation } from '@green-beam/core';
import clsx from 'clsx';
import { Fold } from '../ui/Fold';
import { useOpenBook, type Book } from './book';
import { said } from './said';
import { widthOf } from './ColumnHeading';
import { BenchKit } from './BenchKit';
import { Exchange } from './Exchange';
import { KeptCalculations } from './KeptCalculations';
import { Method } from './Method';
import { Questions, SaidField } from './Questions';
import { ResultCard } from './ResultCard';
import { TrialTable } from './TrialTable';

/** Where readings are written, with what to do beside them, and what they come to below. */
export function Measure() {
  const book = useOpenBook();
  const { investigation, calculations } = book.answer;
  const [first] = book.outcome.results;
  // A wide table has the page for itself; what to do then folds away above it.
  const wide = investigation.tables.some((table) => widthOf(table) > besideMethod);
  return (
    <>
      <p className="mb-6 max-w-[70ch]">{investigation.aim}</p>
      <div className={clsx('grid gap-x-10 gap-y-8', !wide && 'xl:grid-cols-[minmax(0,1fr)_20rem]')}>
        <div className="flex min-w-0 flex-col gap-8">
          {wide && (
            <Fold title="What to do" startsOpen={book.outcome.complete === 0}>
              <div className="gap-10 *:mb-6 md:columns-2">
                <WhatToDo book={book} />
              </div>
            </Fold>
          )}
          <Before book={book} />
          {investigation.tables.map((table) => (
            <TrialTable key={table.key} book={book} table={table} />
          ))}
          {first && <ResultCard book={book} state={first} />}
          {book.outcome.results.slice(1).map((state) => (
            <ResultCard key={state.plan.key} book={book} state={state} brief />
          ))}
          <Exchange book={book} />
          <KeptCalculations calculations={calculations} />
        </div>
        {!wide && (
          <div className="flex flex-col gap-6">
            <WhatToDo book={book} />
          </div>
        )}
      </div>
    </>
  );
}

/** How many rem of table find room beside the method. */
const besideMethod = 52;

const WhatToDo = ({ book }: { readonly book: Book }) => (
  <>
    <Method investigation={book.plan} />
    <BenchKit book={book} />
    <ModelTrial investigation={book.plan} />
  </>
);

/** What is asked before anything is measured: predictions, and questions on the method. It folds away once there are readings. */
function Before({ book }: { readonly book: Book }) {
  const { predictions, questions } = book.answer.investigation;
  const asked = questions.filter(({ when }) => when === 'before');
  if (predictions.length === 0 && asked.length === 0) return null;
  const left =
    predictions.filter(({ key }) => said(book.table, { kind: 'prediction', question: key }) === '').length +
    asked.filter((question) => !isAnswered(question, book.table)).length;
  return (
    <Fold
      title="Before you measure"
      aside={left === 0 ? 'all written' : `${left} to write`}
      startsOpen={book.outcome.complete === 0}
    >
      {predictions.map(({ key, text, unit }) => (
        <SaidField
          key={key}
          book={book}
          subject={{ kind: 'prediction', question: key }}
          label={text}
          unit={unit}
        />
      ))}
      <Questions book={book} when="before" />
    </Fold>
  );
}

/** A trial that the teacher worked, as a model. */
function ModelTrial({ investigation: { model, tables } }: { readonly investigation: Investigation }) {
  if (!model) return null;
  const columns = tables.flatMap((table) => table.columns);
  return (
    <section aria-label="A worked trial" className="border-l-4 border-beam pl-3">
      <h2 className="mb-1">A worked trial</h2>
      <dl className="grid grid-cols-[1fr_auto] gap-x-4">
        {columns.map((column) => {
          const text = model.cells[column.key];
          return text === undefined ? null : (
            <div key={column.key} className="contents">
              <dt>{column.heading}</dt>
              <dd className="font-mono">
                {text} {'unit' in column ? column.unit : ''}
              </dd>
            </div>
          );
        })}
      </dl>
      <p className="mt-1 text-sm text-soft">{model.words}</p>
    </section>
  );
}
