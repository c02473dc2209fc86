import type { PoolAnswer } from '@green-beam/contract';
import { alikePairs, comparable, comparisonOf, type AlikePair } from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { Loading, Trouble } from '../ui/Notice';
import { Choice, useChoice } from './Choice';
import { named } from './named';
import { booksIn, poolOf } from './sources/logbooks';
import { Whole } from './Whole';

/** The logbooks of a class for one investigation, pooled while they are written. */
export function ClassCompare() {
  const { classId = '', investigationId = '' } = useParams();
  const pool = useQuery(poolOf(classId, investigationId));
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
  const books = booksIn(answer);
  const key = choice.plan?.key ?? '';
  const comparison = useMemo(
    () => named(comparisonOf(books, key, choice.by, choice.row), choice.by),
    [books, key, choice.by, choice.row],
  );
  const alike = useMemo(() => alikePairs(books), [books]);
  return (
    <Whole
      title={`Compare: ${investigation.title}`}
      aside={`${answer.class.name} · ${books.length} ${books.length === 1 ? 'logbook' : 'logbooks'}`}
      back={{ to: `/class/${answer.class.id}/compare`, name: 'Back to Compare' }}
      name={choice.plan?.name ?? ''}
      place={`${investigationId}/${key}`}
      comparison={comparison}
      conventions={conventions}
      causes={investigation.causes}
      classId={answer.class.id}
      choice={
        plans.length > 0 ? (
          <Choice choice={choice} plans={plans} />
        ) : (
          <p>Nothing here is a mean of trials: there is nothing to compare.</p>
        )
      }
    >
      <Alike pairs={alike} />
    </Whole>
  );
}

/** Logbooks that agree where noise should make them differ. */
function Alike({ pairs }: { readonly pairs: readonly AlikePair[] }) {
  if (pairs.length === 0) return null;
  return (
    <section aria-label="Logbooks that agree" className="mt-6">
      <h2 className="mb-1">Worth a look: logbooks that agree</h2>
      <p className="max-w-[70ch] text-sm text-soft">
        You alone see this. It proves nothing: who shares an object, a balance or a friend may well read the
        same. Ask how they worked.
      </p>
      <ul>
        {pairs.map(({ books: [a, b], cells, same, chance }) => (
          <li key={`${a.id} ${b.id}`} className="my-1 border-l-4 border-brass-line pl-3">
            <Link to={`/logbook/${a.id}`} className="underline underline-offset-4">
              {a.bench}
            </Link>{' '}
            and{' '}
            <Link to={`/logbook/${b.id}`} className="underline underline-offset-4">
              {b.bench}
            </Link>
            : {same} of {cells} readings are the same to the last digit. With their own scatter chance does
            that in fewer than 1 of {oneIn(chance)} classes.
          </li>
        ))}
      </ul>
    </section>
  );
}

/** `0.00003` → `30 000`. */
const oneIn = (chance: number): string =>
  Number((1 / Math.max(chance, 1e-9)).toPrecision(1))
    .toLocaleString('en')
    .replaceAll(',', '\u202f');
