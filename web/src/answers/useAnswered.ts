import { useQueries, type UseQueryOptions } from '@tanstack/react-query';
import { useState } from 'react';

/** A question of whichever type of answer. */
interface Asked {
  readonly queryKey: readonly unknown[];
  readonly enabled?: unknown;
}

/**
 * True once each was answered, or failed once, and from then on: what a page is built of is there, and what can be pressed stands
 * where it will stay. All of it is asked for at once.
 */
export function useAnswered(asked: readonly Asked[]): boolean {
  const what = JSON.stringify(asked.map(({ queryKey }) => queryKey));
  const [answered, setAnswered] = useState<string>();
  const now = useQueries({
    queries: asked as UseQueryOptions[],
    combine: (answers) =>
      answers.every(
        ({ data, failureCount, isEnabled }) => data !== undefined || failureCount > 0 || !isEnabled,
      ),
  });
  if (now && answered !== what) setAnswered(what);
  return now || answered === what;
}
