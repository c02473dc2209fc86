import { comparable, floatAnswers, subjectKey, type AskedQuestion, type Subject } from '@green-beam/core';
import { useId, useState, type FormEvent } from 'react';
import { ClaimAsked } from './Claims';
import { useDraft } from '../outbox/useDraft';
import { useKeeping } from '../outbox/useKeeping';
import { FieldTrouble } from '../ui/FieldTrouble';
import { Button } from '../ui/Button';
import type { Book } from './book';
import { said } from './said';

/** The questions before or after measuring; statements are called true or put right. */
export function Questions({ book, when }: { readonly book: Book; readonly when: 'before' | 'after' }) {
  return book.answer.investigation.questions
    .filter((question) => question.when === when)
    .map(({ key, text, kind, answer, compares }) => (
      <div key={key}>
        {kind === 'compares' ? (
          <Compares book={book} label={text} compares={compares} />
        ) : kind === 'floats' ? (
          <FloatField book={book} subject={{ kind: 'answer', question: key }} label={text} />
        ) : (
          <SaidField
            book={book}
            subject={{ kind: 'answer', question: key }}
            label={text}
            hint={kind === 'statement' ? 'True? Or put it right.' : ''}
            long
          />
        )}
        {answer && (
          <p className="mt-1 max-w-[70ch] text-sm text-soft">
            <strong>For staff:</strong> {answer}
          </p>
        )}
      </div>
    ));
}

/** Which of several is best: a claim, with how one knows. */
function Compares({
  book,
  label,
  compares,
}: {
  readonly book: Book;
  readonly label: string;
  readonly compares: AskedQuestion['compares'];
}) {
  const plan = comparable(book.answer.investigation).find(({ key }) => key === compares?.of);
  return plan && compares ? (
    <ClaimAsked book={book} plan={plan} question={compares.question} label={label} />
  ) : null;
}

/** Whether it floats, in one press; a second look holds it against the density. */
function FloatField({
  book,
  subject,
  label,
}: {
  readonly book: Book;
  readonly subject: Subject;
  readonly label: string;
}) {
  const now = said(book.table, subject);
  const [keep, trouble] = useKeeping();
  // What was pressed is marked at once, as long as the logbook still says what it said then.
  const [pressed, setPressed] = useState<{ readonly words: string; readonly over: string } | null>(null);
  const shown = pressed?.over === now ? pressed.words : now;
  const choose = async (words: string) => {
    setPressed({ words, over: now });
    if (!(await keep(book.say(subject, words)))) setPressed(null);
  };
  return (
    <fieldset className="max-w-[70ch]" disabled={!book.answer.mayWrite}>
      <legend>{label}</legend>
      <div className="flex gap-6">
        {floatAnswers.map((words) => (
          <label key={words} className="flex items-center gap-2 py-1">
            <input
              type="radio"
              name={subjectKey(subject)}
              checked={shown === words}
              onChange={() => void choose(words)}
            />
            {words}
          </label>
        ))}
      </div>
      <FieldTrouble says={trouble} />
    </fieldset>
  );
}

/** Something that is said of the logbook as a whole: written once, and rewritten with the old text kept. */
export function SaidField({
  book,
  subject,
  label,
  unit = '',
  hint = '',
  long = false,
}: {
  readonly book: Book;
  readonly subject: Subject;
  readonly label: string;
  readonly unit?: string;
  readonly hint?: string;
  readonly long?: boolean;
}) {
  const now = said(book.table, subject);
  const [text, setText, , unkept] = useDraft(`${book.answer.id}/${subjectKey(subject)}`);
  const id = useId();
  const [keep, trouble] = useKeeping();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (text.trim() === '') return;
    if (await keep(book.say(subject, text.trim()))) setText('');
  };
  const field = { id, value: text, className: 'w-full rounded-sm border border-edge bg-white px-2 py-1.5' };
  return (
    <form onSubmit={(event) => void submit(event)} className="max-w-[70ch]">
      <label htmlFor={id} className="block">
        {label} {hint && <span className="text-soft">{hint}</span>}
      </label>
      {now !== '' && (
        <p className="border-l-4 border-beam pl-3">
          {now} {unit}
        </p>
      )}
      <FieldTrouble says={trouble ?? unkept} />
      {book.answer.mayWrite && (
        <div className="mt-1 flex items-start gap-3">
          {long ? (
            <textarea
              {...field}
              rows={2}
              maxLength={2000}
              onChange={(event) => setText(event.target.value)}
            />
          ) : (
            <>
              <input {...field} maxLength={60} onChange={(event) => setText(event.target.value)} />
              <span className="self-center">{unit}</span>
            </>
          )}
          <Button type="submit" disabled={text.trim() === ''}>
            {now === '' ? 'Write' : 'Rewrite'}
          </Button>
        </div>
      )}
    </form>
  );
}
