import { endpoints } from '@green-beam/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { call, sentenceFor } from '../api';
import { useWho } from '../session/who';
import { Button } from '../ui/Button';

/** What the teacher shows just now, for a student to read. */
export function ShowLine() {
  const { role } = useWho();
  const navigate = useNavigate();
  const show = useQuery({
    queryKey: ['show'],
    queryFn: () => call(endpoints.show),
    enabled: role === 'student',
  }).data?.show;
  const take = useMutation({
    mutationFn: (showId: string) =>
      call(endpoints.takeShow, { params: { showId }, body: { id: crypto.randomUUID() } }),
    onSuccess: ({ id }) => void navigate(`/bench/${id}`),
  });
  if (!show) return null;
  return (
    <section
      aria-label="Your teacher shows"
      className="mb-6 flex flex-wrap items-center gap-4 border-l-4 border-beam pl-4"
    >
      <p>
        <strong>{show.tag ? `Station ${show.tag}` : 'Your teacher shows a setting'}</strong>: {show.modelName}
        . Everyone reads it.
      </p>
      <Button look="main" disabled={take.isPending} onClick={() => take.mutate(show.id)}>
        Read it
      </Button>
      {take.isError && <p role="alert">{sentenceFor(take.error)}</p>}
    </section>
  );
}
