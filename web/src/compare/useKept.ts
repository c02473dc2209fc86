import { endpoints } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { call } from '../api';

export const keptKey = (classId: string) => ['comparisons', classId] as const;

/** The comparisons that a class keeps. */
export const useKept = (classId: string) =>
  useQuery({
    queryKey: keptKey(classId),
    queryFn: () => call(endpoints.comparisons, { params: { classId } }),
  });
