import { endpoints, type LogbookLine } from '@green-beam/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { Link, useNavigate } from 'react-router';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { Stated } from '../ui/Figure';
import { Loading, Page, Trouble } from '../ui/Notice';
import { Symbol } from '../ui/Symbol';

const ObjectDrawing = lazy(async () => ({
  default: (await import('@green-beam/drawing/objects')).ObjectDrawing,
}));

export const useLogbooks = (enabled = true) =>
  useQuery({ queryKey: ['logbooks'], queryFn: () => call(endpoints.logbooks), enabled });

/** The student's investigations. */
export function LogbookIndex() {
  const books = useLogbooks();
  if (books.data === undefined) {
    return books.isError ? (
      <Trouble error={books.error} again={() => void books.refetch()} />
    ) : (
      <Loading what="your logbooks" />
    );
  }
  return (
    <Page title="Logbook">
      {books.data.logbooks.length === 0 ? (
        <p>
          Your teacher has not set an investigation yet. Until then the Bench is a good place to practise.
        </p>
      ) : (
        <ul className="divide-y divide-rule border-y border-rule">
          {books.data.logbooks.map((line) => (
            <li key={line.investigationId} className="py-5">
              <LogbookSummary line={line} />
            </li>
          ))}
        </ul>
      )}
    </Page>
  );
}

export function LogbookSummary({ line }: { readonly line: LogbookLine }) {
  const navigate = useNavigate();
  const open = useMutation({
    mutationFn: () =>
      call(endpoints.openLogbook, { params: { investigationId: line.investigationId }, body: {} }),
    onSuccess: ({ logbookId }) => navigate(`/logbook/${logbookId}`),
  });
  return (
    <div className="flex flex-wrap items-center gap-4">
      <span className="h-20 w-24 shrink-0 rounded-sm bg-bench p-1">
        <Suspense>
          <ObjectDrawing object={line.object} className="size-full" />
        </Suspense>
      </span>
      <div className="mr-auto min-w-40 flex-1">
        <h2>{line.title}</h2>
        <p className="text-soft">
          {line.logbookId === null
            ? 'Not opened yet.'
            : `${line.completeTrials} of ${line.trialsWanted} trials · ${line.readers.join(', ')}`}
        </p>
        {line.resultText && (
          <p>
            <Symbol text={line.resultSymbol} /> = <Stated text={line.resultText} />
            {line.handedIn && <span className="ml-3 text-beam">handed in</span>}
          </p>
        )}
        {open.isError && <p role="alert">{sentenceFor(open.error)}</p>}
      </div>
      {line.logbookId === null ? (
        <Button look="main" onClick={() => open.mutate()} disabled={open.isPending}>
          Open the logbook
        </Button>
      ) : (
        <Link
          to={`/logbook/${line.logbookId}`}
          className="rounded-sm border border-edge bg-white px-4 py-2.5 font-bold hover:border-ink"
        >
          {line.completeTrials < line.trialsWanted ? 'Go on' : 'Look at it'}
        </Link>
      )}
    </div>
  );
}
