import { endpoints, type CallReason, type NewCall } from '@green-beam/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMatch } from 'react-router';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { clock } from '../ui/clock';
import { Hanging } from '../ui/Hanging';
import { reasonWords } from './words';

const key = ['call'];

/** Calls the teacher to the bench, from any page; a logbook that is open can be looked through. */
export function CallTeacher() {
  const logbookId = useMatch('/logbook/:logbookId/*')?.params.logbookId ?? null;
  const queries = useQueryClient();
  const own = useQuery({ queryKey: key, queryFn: () => call(endpoints.ownCall) });
  const change = useMutation({
    mutationFn: (body: NewCall | null) =>
      body ? call(endpoints.callTeacher, { body }) : call(endpoints.takeCallBack),
    onSuccess: (answer) => queries.setQueryData(key, answer),
  });
  const open = own.data?.call;
  const ask = (reason: CallReason, close: () => void) =>
    change.mutate({ id: crypto.randomUUID(), reason, logbookId }, { onSuccess: close });
  return (
    <Hanging
      label={open ? `Called at ${clock(open.at)}: ${reasonWords[open.reason]}` : 'Call your teacher'}
      called="Call your teacher"
      button={open ? `Called ${clock(open.at)}` : 'Call'}
      buttonLook={
        open
          ? 'rounded-sm bg-brass px-2 py-0.5 font-bold text-white'
          : 'underline decoration-rule underline-offset-4 hover:decoration-ink'
      }
      look="w-72"
    >
      {(close) => (
        <div className="flex flex-col items-start gap-3">
          {open ? (
            <>
              <p>
                {open.by} called at {clock(open.at)}: {reasonWords[open.reason]}.
              </p>
              <Button disabled={change.isPending} onClick={() => change.mutate(null, { onSuccess: close })}>
                Take it back
              </Button>
            </>
          ) : (
            <>
              <p>Your teacher sees which bench calls.</p>
              <Button disabled={change.isPending} onClick={() => ask('help', close)}>
                We need help
              </Button>
              <Button disabled={change.isPending || !logbookId} onClick={() => ask('check', close)}>
                Check our data
              </Button>
              {!logbookId && <p className="text-sm text-soft">Open the logbook to have its data checked.</p>}
            </>
          )}
          {change.isError && <p role="alert">{sentenceFor(change.error)}</p>}
        </div>
      )}
    </Hanging>
  );
}
