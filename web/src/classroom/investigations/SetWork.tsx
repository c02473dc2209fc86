import { endpoints, type InvestigationLine } from '@green-beam/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { call, sentenceFor } from '../../api';
import { Button } from '../../ui/Button';
import { download, fileName } from '../../ui/download';
import { Stated } from '../../ui/Figure';
import { Symbol } from '../../ui/Symbol';

/** One that is set, with its logbooks. */
export function SetWork({ classId, line }: { readonly classId: string; readonly line: InvestigationLine }) {
  const queries = useQueryClient();
  const change = useMutation({
    mutationFn: (retired: boolean) =>
      call(endpoints.changeInvestigation, {
        params: { classId, investigationId: line.id },
        body: { retired },
      }),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['investigations', classId] }),
  });
  const { body, version, retired, logbooks } = line;
  const handedIn = logbooks.filter((book) => book.handedIn).length;
  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h3 className={retired ? 'text-lg text-soft' : 'text-lg font-bold'}>{body.title}</h3>
        <span className="text-sm text-soft">
          version {version} · {logbooks.length} {logbooks.length === 1 ? 'logbook' : 'logbooks'}, {handedIn}{' '}
          handed in
          {retired && ' · not set'}
        </span>
      </div>
      <p className="max-w-[70ch] text-soft">{body.aim}</p>
      <div className="mt-2 flex flex-wrap gap-x-5">
        <Link to={`edit?from=${line.id}`} className="py-1 underline underline-offset-4">
          Adapt
        </Link>
        {logbooks.length > 0 && (
          <Link to={`/class/${classId}/compare/${line.id}`} className="py-1 underline underline-offset-4">
            Compare
          </Link>
        )}
        <Button
          look="quiet"
          onClick={() =>
            download(`${fileName(body.title)}.json`, 'application/json', JSON.stringify(body, null, 2))
          }
        >
          Save as a file
        </Button>
        <Button look="quiet" disabled={change.isPending} onClick={() => change.mutate(!retired)}>
          {retired ? 'Set it again' : 'Take it off the list'}
        </Button>
      </div>
      {change.isError && <p role="alert">{sentenceFor(change.error)}</p>}
      {logbooks.length > 0 && (
        <ul className="mt-2 grid gap-x-6 gap-y-1 sm:grid-cols-2">
          {logbooks.map((book) => (
            <li key={book.logbookId}>
              <Link
                to={`/logbook/${book.logbookId ?? ''}`}
                className="underline decoration-edge underline-offset-4"
              >
                {book.readers.join(', ')}
              </Link>
              <span className="block text-sm text-soft">
                {book.resultText ? (
                  <>
                    <Symbol text={book.resultSymbol} /> = <Stated text={book.resultText} />
                  </>
                ) : (
                  `${book.completeTrials} of ${book.trialsWanted} trials`
                )}
                {book.handedIn && ' · handed in'}
              </span>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
