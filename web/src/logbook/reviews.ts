import { endpoints } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { call } from '../api';

/** Under which what was said of a logbook is kept. */
export const reviewsKey = (logbookId: string) => ['reviews', logbookId] as const;

export const useReviews = (logbookId: string) =>
  useQuery({
    queryKey: reviewsKey(logbookId),
    queryFn: () => call(endpoints.reviews, { params: { logbookId } }),
  });
