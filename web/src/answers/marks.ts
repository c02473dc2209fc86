import { endpoints } from '@green-beam/contract';
import { queryOptions } from '@tanstack/react-query';
import { call } from '../api';

/** What became of the work of each student of a class. */
export const marksOf = (classId: string) =>
  queryOptions({
    queryKey: ['marks', classId],
    queryFn: () => call(endpoints.marks, { params: { classId } }),
  });
