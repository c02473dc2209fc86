import { endpoints } from '@green-beam/contract';
import { drills as drillList } from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { call } from '../api';
import { Button } from '../ui/Button';

/** Where one stands in every drill; each is one press away. */
export function OtherDrills({
  current,
  onTake,
}: {
  readonly current: string;
  readonly onTake: (kind: string) => void;
}) {
  const drills = useQuery({ queryKey: ['drills'], queryFn: () => call(endpoints.drills) });
  const rows = drills.data?.drills.filter(({ kind }) => isDrill.has(kind)) ?? [];
  if (rows.length === 0) return null;
  return (
    <section aria-label="Where you stand" className="mt-12">
      <h2 className="mb-1 border-b border-ink">Where you stand</h2>
      <ul className="grid gap-x-10 sm:grid-cols-2 lg:grid-cols-3">
        {rows.map(({ kind, name, skill }) => (
          <li key={kind} className="flex items-baseline justify-between gap-3 border-b border-rule py-1">
            {kind === current ? (
              <strong>{name}</strong>
            ) : (
              <Button look="quiet" className="-ml-1" onClick={() => onTake(kind)}>
                {name}
              </Button>
            )}
            <span className="text-sm text-soft">{skill.state}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What is practised on pages of their own is not taken here. */
const isDrill = new Set(drillList.map(({ kind }) => kind));
