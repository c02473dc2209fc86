import type { Gathered } from '@green-beam/core';
import { useQueries, type UseQueryResult } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import type { Seen } from '../sources/seen';
import { askedFor, askFor, gatheredFrom, pickedIn, type Picked } from './picked';

/** A group, with the address at which it is seen alone; null while it is asked for, and where it is there no more. */
export interface FromElsewhere {
  readonly address: string;
  readonly gathered: (Gathered & { readonly from: string }) | null;
}

/** The groups of some addresses, from wherever they come; asked for anew as often as there, and the same objects while they stay the same. */
export function useGathered(addresses: readonly string[]) {
  const { picks, asked } = useMemo(() => {
    const own = addresses.flatMap((address) => pickedIn(address) ?? []);
    const sources = new Map<string, [Picked, ...Picked[]]>();
    for (const pick of own) {
      const source = sources.get(askedFor(pick));
      if (source) source.push(pick);
      else sources.set(askedFor(pick), [pick]);
    }
    return { picks: own, asked: [...sources.values()].map((of) => ({ of, query: askFor(of) })) };
  }, [addresses]);
  const combine = useCallback(
    (answers: UseQueryResult<Seen[]>[]) => {
      const seen = new Map(
        asked.flatMap(({ of }, nth) =>
          of.flatMap((pick, at): [Picked, Seen][] => {
            const own = answers[nth]?.data?.[at];
            return own ? [[pick, own]] : [];
          }),
        ),
      );
      return {
        groups: picks.map((pick, nth): FromElsewhere => {
          const own = seen.get(pick);
          return { address: pick.address, gathered: own ? gatheredFrom(pick, own, nth) : null };
        }),
        causes: [...new Set([...seen.values()].flatMap(({ causes }) => causes))],
        waiting: answers.some(({ isPending }) => isPending),
        error: answers.find(({ error, data }) => error && data === undefined)?.error ?? null,
      };
    },
    [picks, asked],
  );
  return useQueries({ queries: asked.map(({ query }) => query), combine });
}
