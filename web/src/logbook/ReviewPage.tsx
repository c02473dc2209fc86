import { bookState } from '@green-beam/core';
import { Link } from 'react-router';
import { sentenceFor } from '../api';
import { Stated } from '../ui/Figure';
import { useWho } from '../session/who';
import { useOpenBook } from './book';
import { HandBackForm } from './HandBackForm';
import { HandedBack } from './HandedBack';
import { useReviews } from './reviews';

/** What the teacher said of a logbook; for staff, where it is said. */
export function ReviewPage() {
  const book = useOpenBook();
  const { id } = book.answer;
  const { role } = useWho();
  const reviews = useReviews(id);
  const all = reviews.data?.reviews ?? [];
  const state = bookState(book.entries, all[0]?.at ?? null);
  return (
    <div className="flex flex-col gap-8">
      {reviews.isError && <p role="alert">{sentenceFor(reviews.error)}</p>}
      {role === 'teacher' && reviews.data && (
        <HandBackForm key={all[0]?.id ?? ''} book={book} state={state} />
      )}
      {reviews.data?.others && reviews.data.others.length > 0 && (
        <section aria-label="Other benches">
          <h2 className="mb-1">Other benches</h2>
          <ul className="grid gap-x-10 sm:grid-cols-2 lg:grid-cols-3">
            {reviews.data.others.map(({ logbookId, readers, resultText }) => (
              <li key={logbookId} className="border-b border-rule py-1">
                <Link
                  to={`/logbook/${logbookId}/review`}
                  className="block text-sm text-soft underline underline-offset-4"
                >
                  {readers.join(', ')}
                </Link>
                {resultText ? <Stated text={resultText} /> : <span className="text-soft">no result yet</span>}
              </li>
            ))}
          </ul>
        </section>
      )}
      {role === 'student' && (
        <p>
          {state === 'begun'
            ? 'Not handed in yet.'
            : state === 'handed in'
              ? 'Handed in. Your teacher’s remarks appear here.'
              : 'It has come back. Strike and rewrite what you would change; then hand it in again.'}
        </p>
      )}
      {all.map((review) => (
        <HandedBack key={review.id} review={review} />
      ))}
    </div>
  );
}
