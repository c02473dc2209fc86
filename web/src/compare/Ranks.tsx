import { byPrecision, byTrueness, type Shown } from '@green-beam/core';

const most = 8;

/** Ranked by trueness and by precision, apart; of two there is nothing to rank. */
export function Ranks({ shown }: { readonly shown: readonly Shown[] }) {
  return (
    <dl className="mt-2 text-sm">
      <Rank called="By trueness" order={byTrueness(shown)} />
      <Rank called="By precision" order={byPrecision(shown)} />
    </dl>
  );
}

function Rank({ called, order }: { readonly called: string; readonly order: readonly Shown[] }) {
  if (order.length < 3) return null;
  return (
    <div>
      <dt className="inline text-soft">{called}: </dt>
      <dd className="inline">
        {order
          .slice(0, most)
          .map(({ name }) => name)
          .join(', ')}
        {order.length > most && ' …'}
      </dd>
    </div>
  );
}
