import { bookState } from '@green-beam/core';
import { sentenceFor } from '../api';
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
