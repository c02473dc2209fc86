import { endpoints, type PoolAnswer } from '@green-beam/contract';
import {
  comparable,
  comparisonOf,
  outcomeOf,
  cellsIn,
  withoutLeftOut,
  withPieces,
  type PooledBook,
} from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { call } from '../api';
import { Loading, Page, Trouble } from '../ui/Notice';
import { Choice, useChoice } from './Choice';
import { Comparing } from './Comparing';
import { LeaveOut, useLeftOut } from './LeaveOut';

/** How often a class's logbooks are asked for while somebody looks. */
const everyMs = 4000;

/** The logbooks of a class for one investigation, pooled while they are written. */
export function ClassCompare() {
  const { classId = '', investigationId = '' } = useParams();
  const pool = useQuery({
    queryKey: ['pool', classId, investigationId],
    queryFn: () => call(endpoints.pool, { params: { classId, investigationId } }),
    refetchInterval: everyMs,
  });
  if (pool.data === undefined)
    return pool.isError ? (
      <Trouble error={pool.error} again={() => void pool.refetch()} />
    ) : (
      <Loading what="the class’s logbooks" />
    );
  return <Pooled answer={pool.data} investigationId={investigationId} />;
}

function Pooled({
  answer,
  investigationId,
}: {
  readonly answer: PoolAnswer;
  readonly investigationId: string;
}) {
  const { investigation, conventions } = answer;
  const plans = comparable(investigation);
  const choice = useChoice(plans, investigation.tables, 'row');
  const books = useMemo(
    () =>
      answer.books.map(({ id, readers, entries }): PooledBook => {
        const cells = cellsIn(investigation, entries);
        const own = withPieces(investigation, cells);
        return {
          id,
          bench: readers.join(', '),
          investigation: own,
          cells,
          outcome: outcomeOf(own, cells, conventions),
        };
      }),
    [answer, investigation, conventions],
  );
  const key = choice.plan?.key ?? '';
  const comparison = useMemo(
    () => comparisonOf(books, key, choice.by, choice.row),
    [books, key, choice.by, choice.row],
  );
  const { leftOut, set } = useLeftOut(`${investigationId}/${key}`);
  const own = useMemo(() => withoutLeftOut(comparison, leftOut), [comparison, leftOut]);
  return (
    <Page title={`Compare: ${investigation.title}`} aside={`${answer.class.name} · ${books.length} logbooks`}>
      <p className="no-print mb-4 flex flex-wrap gap-x-6">
        <Link to={`/class/${answer.class.id}/investigations`} className="underline underline-offset-4">
          Back to the investigations
        </Link>
        <Link to="/compare/try" className="underline underline-offset-4">
          Try it with pretended vessels
        </Link>
        <button type="button" className="underline underline-offset-4" onClick={() => print()}>
          Print this page
        </button>
      </p>
      {plans.length === 0 ? (
        <p>Nothing here is a mean of trials: there is nothing to compare.</p>
      ) : (
        <>
          <Choice choice={choice} plans={plans} />
          <Comparing
            name={choice.plan?.name ?? ''}
            comparison={own}
            conventions={conventions}
            causes={investigation.causes}
          />
          <LeaveOut comparison={comparison} leftOut={leftOut} set={set} />
        </>
      )}
    </Page>
  );
}
