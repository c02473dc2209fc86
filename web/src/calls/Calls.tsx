import { endpoints } from '@green-beam/contract';
import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { clock } from '../ui/clock';
import { reasonWords } from './words';

export const callsOf = (classId: string) =>
  queryOptions({
    queryKey: ['calls', classId],
    queryFn: () => call(endpoints.calls, { params: { classId } }),
  });

/** Benches that call, the longest waiting first; nothing while nobody does. */
export function Calls({ classId }: { readonly classId: string }) {
  const queries = useQueryClient();
  const asked = callsOf(classId);
  const open = useQuery(asked);
  const answer = useMutation({
    mutationFn: (callId: string) => call(endpoints.answerCall, { params: { classId, callId } }),
    onSuccess: (calls) => queries.setQueryData(asked.queryKey, calls),
  });
  const calls = open.data?.calls ?? [];
  return (
    <div aria-live="polite">
      {calls.length > 0 && (
        <ul aria-label="Benches that call" className="mb-5 divide-y divide-rule border-y-2 border-brass-line">
          {calls.map(({ id, reason, at, by, bench, logbookId }) => (
            <li key={id} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
              <span className="font-mono text-sm">{clock(at)}</span>
              <span>
                <strong>{bench ?? by}:</strong> {reasonWords[reason]}
                {bench && <span className="text-soft">, {by}</span>}
              </span>
              <span className="ml-auto flex gap-x-4">
                {logbookId && (
                  <Link to={`/logbook/${logbookId}/check`} className="font-bold underline underline-offset-4">
                    {reason === 'check' ? 'Look it through' : 'Open the logbook'}
                  </Link>
                )}
                <Button look="quiet" disabled={answer.isPending} onClick={() => answer.mutate(id)}>
                  Been there<span className="sr-only">: {bench ?? by}</span>
                </Button>
              </span>
            </li>
          ))}
        </ul>
      )}
      {answer.isError && <p role="alert">{sentenceFor(answer.error)}</p>}
    </div>
  );
}
