import { subjectKey, type Subject } from '@green-beam/core';
import { useId, type FormEvent } from 'react';
import { useDraft } from '../outbox/useDraft';
import { useKeeping } from '../outbox/useKeeping';
import { FieldTrouble } from '../ui/FieldTrouble';
import { Button } from '../ui/Button';
import { said, type Book } from './book';

/** The questions before or after measuring; statements are called true or put right. */
export function Questions({ book, when }: { readonly book: Book; readonly when: 'before' | 'after' }) {
  return book.answer.investigation.questions
    .filter((question) => question.when === when)
    .map(({ key, text, kind }) => (
      <SaidField
        key={key}
        book={book}
        subject={{ kind: 'answer', question: key }}
        label={text}
        hint={kind === 'statement' ? 'True? Or put it right.' : ''}
        long
      />
    ));
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
