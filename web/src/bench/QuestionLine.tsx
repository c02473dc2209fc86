import { endpoints } from '@green-beam/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { shownNow } from '../answers/own';
import { call, sentenceFor } from '../api';
import { useWho } from '../session/who';
import { Button } from '../ui/Button';

/** What the teacher shows just now, for a student to read. */
export function QuestionLine() {
  const { role } = useWho();
  const navigate = useNavigate();
  const question = useQuery({
    ...shownNow,
    enabled: role === 'student',
  }).data?.question;
  const take = useMutation({
    mutationFn: (questionId: string) =>
      call(endpoints.takeQuestion, { params: { questionId }, body: { id: crypto.randomUUID() } }),
    onSuccess: ({ id }) => void navigate(`/bench/${id}`),
  });
  if (!question) return null;
  return (
    <section
      aria-label="Your teacher shows"
      className="mb-6 flex flex-wrap items-center gap-4 border-l-4 border-beam pl-4"
    >
      <p>
        <strong>{question.tag ? `Station ${question.tag}` : 'Your teacher shows a setting'}</strong>:{' '}
        {question.modelName}. Everyone reads it.
      </p>
      <Button look="main" disabled={take.isPending} onClick={() => take.mutate(question.id)}>
        Read it
      </Button>
      {take.isError && <p role="alert">{sentenceFor(take.error)}</p>}
    </section>
  );
}
