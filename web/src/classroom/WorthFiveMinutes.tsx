import { endpoints, type BoardAnswer } from '@green-beam/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { call, sentenceFor } from '../api';
import { inTheirWords } from './inTheirWords';
import { Button } from '../ui/Button';

type Topic = NonNullable<BoardAnswer['worthFiveMinutes']>;

/** The one misconception that most of the class shares this week. */
export function WorthFiveMinutes({
  classId,
  topic,
  instruments,
}: {
  readonly classId: string;
  readonly topic: Topic;
  readonly instruments: BoardAnswer['instruments'];
}) {
  const instrument = instruments.find(({ kind }) => kind === topic.kind)?.name ?? topic.kind;
  const count = topic.students.length;
  const queries = useQueryClient();
  const navigate = useNavigate();
  const ask = useMutation({
    mutationFn: () =>
      call(endpoints.newClassQuestion, {
        params: { classId },
        body: {
          id: crypto.randomUUID(),
          kind: topic.kind,
          aim: topic.code,
          model: null,
          indicates: null,
          options: {},
        },
      }),
    onSuccess: async (answer) => {
      queries.setQueryData(['classShow', classId], answer);
      await navigate(`/class/${classId}/question`);
    },
  });
  return (
    <section aria-label="Worth five minutes" className="mb-6 border-l-4 border-brass-line pl-4">
      <h2>Worth five minutes: {inTheirWords(topic.title)}</h2>
      <p>
        {count} students this week, with the {instrument}. <span className="text-soft">{topic.hint}</span>
      </p>
      <p className="mb-2 text-sm text-soft">{topic.students.join(', ')}</p>
      <Button look="main" disabled={ask.isPending} onClick={() => ask.mutate()}>
        Ask the class
      </Button>
      {ask.isError && <p role="alert">{sentenceFor(ask.error)}</p>}
    </section>
  );
}
