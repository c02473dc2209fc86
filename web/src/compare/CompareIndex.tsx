import { endpoints } from '@green-beam/contract';
import { comparable } from '@green-beam/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { useInvestigations } from '../answers/investigations';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { wholeDay } from '../ui/clock';
import { Loading, Page, Trouble } from '../ui/Notice';
import { readingsOf } from './sources/readings';
import { togetherAt, useBasket } from './together/useBasket';
import { keptKey, useKept } from './useKept';

const link = 'underline decoration-edge underline-offset-4 hover:decoration-ink';

/** From where groups can come, and which comparisons are kept. */
export function CompareIndex() {
  const { classId = '' } = useParams();
  const readings = useQuery(readingsOf(classId, null, null));
  const investigations = useInvestigations(classId);
  const error = readings.error ?? investigations.error;
  if (readings.data === undefined || investigations.data === undefined)
    return error ? <Trouble error={error} /> : <Loading what="what can be compared" />;
  const { kinds, questions, class: own } = readings.data;
  const lines = investigations.data.investigations.filter(
    ({ body, logbooks }) => logbooks.length > 0 && comparable(body).length > 0,
  );
  return (
    <Page
      title="Compare"
      aside={`${own.name}: which is more accurate, which more precise, and how do you know?`}
    >
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <Source title="Logbooks" none="No logbook has a mean of trials yet.">
          {lines.map(({ id, body, logbooks }) => (
            <Line key={id} to={`/class/${classId}/compare/${id}`} name={body.title}>
              {logbooks.length} {logbooks.length === 1 ? 'logbook' : 'logbooks'}
            </Line>
          ))}
        </Source>
        <div className="flex flex-col gap-8">
          <PutAside classId={classId} />
          <Kept classId={classId} />
        </div>
        <Source title="Readings at the bench" none="Nobody has read anything yet.">
          {kinds.map(({ kind, name, readings: count }) => (
            <Line key={kind} to={`/class/${classId}/compare/readings?kind=${kind}`} name={name}>
              {count} first readings
            </Line>
          ))}
        </Source>
        <Source title="Questions to the class" none="No question has been answered yet.">
          {questions.map(({ id, at, instrumentName, makeName, answers }) => (
            <Line
              key={id}
              to={`/class/${classId}/compare/readings?question=${id}`}
              name={`${instrumentName}, ${wholeDay(at)}`}
            >
              {makeName} · {answers} answers
            </Line>
          ))}
        </Source>
        <section aria-label="Elsewhere">
          <p className="flex flex-wrap gap-x-6">
            <Link to="/stock/compare" className={link}>
              Pieces of the stockroom, by their checks
            </Link>
            <Link to="/compare/try" className={link}>
              Try it with pretended vessels
            </Link>
          </p>
        </section>
      </div>
    </Page>
  );
}

function Source({
  title,
  none,
  children,
}: {
  readonly title: string;
  readonly none: string;
  readonly children: readonly ReactNode[];
}) {
  return (
    <section aria-label={title}>
      <h2 className="mb-2 border-b border-ink">{title}</h2>
      {children.length === 0 ? <p className="text-soft">{none}</p> : <ul>{children}</ul>}
    </section>
  );
}

function Line({
  to,
  name,
  children,
}: {
  readonly to: string;
  readonly name: string;
  readonly children: ReactNode;
}) {
  return (
    <li className="flex flex-wrap items-baseline justify-between gap-x-4 py-1">
      <Link to={to} className={link}>
        {name}
      </Link>
      <span className="text-sm text-soft">{children}</span>
    </li>
  );
}

/** Groups that wait for others to stand beside them. */
function PutAside({ classId }: { readonly classId: string }) {
  const { addresses, hold } = useBasket();
  if (addresses.length === 0) return null;
  return (
    <section aria-label="Put aside">
      <h2 className="mb-2 border-b border-ink">Put aside</h2>
      <p className="flex flex-wrap items-baseline justify-between gap-x-4 py-1">
        <Link to={togetherAt(classId, addresses)} className={link}>
          Compare the {addresses.length} that are put aside
        </Link>
        <Button look="quiet" className="text-sm" onClick={() => hold([])}>
          Put none aside
        </Button>
      </p>
      <p className="text-sm text-soft">
        Open another comparison and put its groups aside too: they are compared together.
      </p>
    </section>
  );
}

function Kept({ classId }: { readonly classId: string }) {
  const queries = useQueryClient();
  const kept = useKept(classId);
  const remove = useMutation({
    mutationFn: (comparisonId: string) =>
      call(endpoints.removeComparison, { params: { classId, comparisonId } }),
    onSuccess: (now) => queries.setQueryData(keptKey(classId), now),
  });
  return (
    <section aria-label="Kept">
      <h2 className="mb-2 border-b border-ink">Kept</h2>
      {kept.data === undefined ? (
        <p className="text-soft">…</p>
      ) : kept.data.comparisons.length === 0 ? (
        <p className="text-soft">A comparison can be kept under a name, at its foot.</p>
      ) : (
        <ul>
          {kept.data.comparisons.map(({ id, name, address }) => (
            <li key={id} className="flex flex-wrap items-baseline justify-between gap-x-4 py-1">
              <Link to={address} className={link}>
                {name}
              </Link>
              <Button look="quiet" className="text-sm" onClick={() => remove.mutate(id)}>
                Take it out<span className="sr-only"> {name}</span>
              </Button>
            </li>
          ))}
        </ul>
      )}
      {(kept.isError || remove.isError) && (
        <p role="alert" className="text-vermilion">
          {sentenceFor(kept.error ?? remove.error)}
        </p>
      )}
    </section>
  );
}
