import type { Comparison, LeftOut } from '@green-beam/core';
import { Link, useLocation } from 'react-router';
import { useWho } from '../../session/who';
import { Button } from '../../ui/Button';
import { Fold } from '../../ui/Fold';
import { addressOf } from './picked';
import { togetherAt, useBasket } from './useBasket';

/** Puts groups aside, to be compared with others from elsewhere. */
export function PutTogether({
  comparison,
  leftOut,
  classId,
}: {
  readonly comparison: Comparison;
  readonly leftOut: LeftOut;
  /** The class in whose room they are compared; any of one’s own where what is seen here is of none. */
  readonly classId: string | undefined;
}) {
  const location = useLocation();
  const { addresses, put, takeOut } = useBasket();
  const classes = useWho().classes;
  const room = classId ?? classes.find(({ putAway }) => !putAway)?.id;
  if (location.pathname.endsWith('/together') || room === undefined) return null;
  const own = comparison.groups.map(({ key, name }) => ({
    name,
    address: addressOf(location, comparison, key, leftOut),
  }));
  const more = own.filter(({ address }) => !addresses.includes(address));
  return (
    <Fold
      title="Compare with groups from elsewhere"
      aside={
        addresses.length === 0
          ? 'another logbook, readings, a question, pieces'
          : `${addresses.length} put aside`
      }
      startsOpen={false}
    >
      <ul className="grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
        {own.map(({ name, address }) => (
          <li key={address}>
            <Button
              look="quiet"
              aria-pressed={addresses.includes(address)}
              onClick={() => (addresses.includes(address) ? takeOut(address) : put([address]))}
            >
              {addresses.includes(address) ? `${name} is put aside` : `Put ${name} aside`}
            </Button>
          </li>
        ))}
      </ul>
      <p className="flex flex-wrap items-center gap-x-6 gap-y-2">
        {more.length > 1 && (
          <Button onClick={() => put(more.map(({ address }) => address))}>Put all {more.length} aside</Button>
        )}
        {addresses.length > 0 && (
          <Link to={togetherAt(room, addresses)} className="underline underline-offset-4">
            Compare the {addresses.length} that are put aside
          </Link>
        )}
      </p>
    </Fold>
  );
}
