import { endpoints, type AtHandAnswer } from '@green-beam/contract';
import { practisedNamed } from '@green-beam/core';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { call } from '../api';

/** How often it is asked for while somebody looks. */
const everyMs = 8000;

export type AtHand = AtHandAnswer['atHand'][number] & { readonly name: string };

export const atHandOf = (classId: string) =>
  queryOptions({
    queryKey: ['atHand', classId],
    queryFn: () => call(endpoints.atHand, { params: { classId } }),
  });

/** What lies before the students of a class at this moment, by their ids. */
export function useAtHand(classId: string): ReadonlyMap<string, AtHand> {
  const { data } = useQuery({ ...atHandOf(classId), refetchInterval: everyMs });
  return useMemo(
    () =>
      new Map(data?.atHand.map((own) => [own.studentId, { ...own, name: practisedNamed(own.kind).name }])),
    [data],
  );
}
