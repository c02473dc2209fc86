import { isAnswered, leanOf, likelyCauses, secondLookAt, type TableFinding } from '@green-beam/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useWho } from '../session/who';
import { useKeeping } from '../outbox/useKeeping';
import { Button } from '../ui/Button';
import { FieldTrouble } from '../ui/FieldTrouble';
import { clock } from '../ui/clock';
import { useOpenBook, type Book } from './book';
import { isHandedIn, saidIn } from './said';
import { placeInWords } from './places';
import { Questions } from './Questions';

/** Everything done over, the way a careful teacher would; then the questions, and the hand-in. */
export function SecondLook() {
  const book = useOpenBook();
  const findings = useFindings(book);
  const { questions } = book.answer.investigation;
  const left = unanswered(book);
  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
      <div className="flex flex-col gap-8">
        {findings === null ? (
          <p>Your teacher takes the second look here, after you have handed in.</p>
        ) : (
          <Findings book={book} findings={findings} />
        )}
        <Causes book={book} findings={findings ?? []} />
      </div>
      <div className="flex flex-col gap-8">
        {questions.some(({ when }) => when === 'after') && (
          <section aria-label="Questions" className="flex flex-col gap-4">
            <h2>Questions</h2>
            <Questions book={book} when="after" />
          </section>
        )}
        <HandIn book={book} findings={findings?.length ?? 0} left={left} />
      </div>
    </div>
  );
}

/** Null where only the teacher is to see them. */
export function useFindings(book: Book): readonly TableFinding[] | null {
  const { role } = useWho();
  const { investigation, conventions } = book.answer;
  return useMemo(
    () =>
      role === 'student' && investigation.secondLook === 'teacher'
        ? null
        : secondLookAt(investigation, book.table, book.outcome, conventions),
    [role, investigation, conventions, book.table, book.outcome],
  );
}

export function Findings({
  book,
  findings,
}: {
  readonly book: Book;
  readonly findings: readonly TableFinding[];
}) {
  return (
    <section aria-label="Second look">
      <h2 className="mb-2">Second look</h2>
      {findings.length === 0 ? (
        <p className="text-beam">Nothing found: units, digits, differences and directions fit together.</p>
      ) : (
        <ul className="divide-y divide-rule border-y border-rule">
          {findings.map(({ code, place, sentence, sure, table }) => (
            <li key={`${code}${table}${place.trial}${place.column}`} className="py-2">
              <p className="text-sm text-soft">
                {placeInWords(book.answer.investigation, place.trial, place.column)} · {sure}
              </p>
              <p>{sentence}</p>
            </li>
          ))}
        </ul>
      )}
      {findings.length > 0 && book.answer.mayWrite && (
        <p className="mt-2">
          <Link to=".." relative="path" className="underline underline-offset-4">
            Back to the tables
          </Link>{' '}
          to strike and rewrite what was wrong. What was right stays as it is.
        </p>
      )}
    </section>
  );
}

function Causes({ book, findings }: { readonly book: Book; readonly findings: readonly TableFinding[] }) {
  const told = likelyCauses(
    book.answer.investigation.causes,
    new Set(findings.map(({ code }) => code)),
    leanOf(book.outcome, book.answer.conventions),
  );
  if (told.length === 0) return null;
  return (
    <section aria-label="Causes of error">
      <h2 className="mb-2">What may be behind an error here</h2>
      <ul className="divide-y divide-rule border-y border-rule">
        {told.map(({ cause, why }) => (
          <li key={cause.code} className="py-2">
            <p>
              {cause.cause}: {cause.effect}. <span className="text-soft">({cause.kind})</span>
            </p>
            <p className="text-sm text-soft">
              {cause.test} {why && <strong className="text-ink">{why}</strong>}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}

const unanswered = ({ table, answer }: Book): number =>
  answer.investigation.questions.filter((asked) => !isAnswered(asked, table)).length;

function HandIn({
  book,
  findings,
  left,
}: {
  readonly book: Book;
  readonly findings: number;
  readonly left: number;
}) {
  const handed = saidIn(book.table, { kind: 'hand-in' }).at(-1);
  const [keep, trouble] = useKeeping();
  if (!book.answer.mayWrite && !handed) return <p className="text-soft">It has not been handed in yet.</p>;
  const wanted = book.outcome.trialsWanted;
  const open = [
    wanted > 0 && `${wanted} ${wanted === 1 ? 'trial is' : 'trials are'} still wanted`,
    left > 0 && `${left} ${left === 1 ? 'question has' : 'questions have'} no answer`,
    findings > 0 && `${findings} ${findings === 1 ? 'finding stands' : 'findings stand'}`,
    book.waiting.size > 0 && 'something still waits to be sent',
  ].filter((words) => words !== false);
  return (
    <section aria-label="Hand in">
      <h2 className="mb-2">Hand in</h2>
      {handed && (
        <p className="mb-2 border-l-4 border-beam pl-3">
          Handed in by {handed.reader} at {clock(handed.writtenAt)}. What is written later shows its time.
        </p>
      )}
      {book.answer.mayWrite && (
        <>
          {open.length > 0 && <p className="mb-2 text-brass">Before you do: {open.join('; ')}.</p>}
          <FieldTrouble says={trouble} />
          <Button look="main" onClick={() => void keep(book.say({ kind: 'hand-in' }, 'handed in'))}>
            {isHandedIn(book.table) ? 'Hand in again' : 'Hand in'}
          </Button>
        </>
      )}
    </section>
  );
}
