import type { Comparison } from '@green-beam/core';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { CheckField } from '../ui/fields';
import { Fold } from '../ui/Fold';

/** Which groups are compared, kept in the address; all of them where it does not say. */
export function useGroupChoice(comparison: Comparison) {
  const [search, setSearch] = useSearchParams();
  const only = search.getAll('only').join('\n');
  const chosen = useMemo((): Comparison => {
    const keys = only === '' ? [] : only.split('\n');
    const groups = comparison.groups.filter(({ key }) => keys.includes(key));
    return groups.length === 0 ? comparison : { ...comparison, groups };
  }, [comparison, only]);
  const choose = (keys: readonly string[]) =>
    setSearch(
      (before) => {
        before.delete('only');
        if (keys.length < comparison.groups.length) for (const key of keys) before.append('only', key);
        return before;
      },
      { replace: true },
    );
  return { chosen, choose };
}

export function GroupChoice({
  comparison: { groups },
  chosen,
  choose,
}: { readonly comparison: Comparison } & ReturnType<typeof useGroupChoice>) {
  if (groups.length < 3) return null;
  const keys = chosen.groups.map(({ key }) => key);
  return (
    <Fold
      title="Groups"
      aside={
        keys.length === groups.length ? 'all are compared' : `${keys.length} of ${groups.length} are compared`
      }
      startsOpen={false}
    >
      <ul className="grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
        {groups.map(({ key, name }) => (
          <li key={key}>
            <CheckField
              label={name}
              checked={keys.includes(key)}
              onChange={(checked) =>
                choose(
                  groups.map((own) => own.key).filter((own) => (own === key ? checked : keys.includes(own))),
                )
              }
            />
          </li>
        ))}
      </ul>
    </Fold>
  );
}
