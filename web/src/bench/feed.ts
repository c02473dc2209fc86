import { endpoints, type FeedAnswer, type TakenReading } from '@green-beam/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { call } from '../api';

const lookEveryMs = 500;

/** What the connected balance shows, looked at twice a second while somebody looks. */
export const useFeed = (watch: boolean) =>
  useQuery({
    queryKey: ['balance'],
    queryFn: () => call(endpoints.feed),
    enabled: watch,
    refetchInterval: (query) => (query.state.data?.state === 'none' ? false : lookEveryMs),
  });

/** Takes the reading that stands; refused while it moves. */
export const useTake = (onTaken: (reading: TakenReading) => void) =>
  useMutation({ mutationFn: () => call(endpoints.takeFeed, { body: {} }), onSuccess: onTaken });

export const feedWords = (feed: FeedAnswer | undefined): string => {
  if (!feed) return 'Looking for a balance …';
  if (feed.state === 'none') return 'No balance is connected to this server.';
  if (feed.state === 'silent') return 'The balance is silent; it is looked for again and again.';
  if (feed.state === 'over') return 'The balance is overloaded.';
  return feed.state === 'steady' ? 'It stands.' : 'It moves.';
};
