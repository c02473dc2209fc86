import { endpoints, type SessionAnswer, type Who } from '@green-beam/contract';
import { useQuery, type QueryClient } from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import { call, NoConnection } from '../api';
import { bringBackAnswers } from '../browser/answers';
import { lastSession, rememberSession, tellLeaving } from './remembered';

export const sessionKey = ['session'] as const;

/** The session as the server has it; without the server, as it was last known on this device. */
export interface Session extends SessionAnswer {
  /** True where the server could not be asked. */
  readonly unasked?: boolean;
}

export const useSession = () =>
  useQuery({
    queryKey: sessionKey,
    queryFn: ({ client }) => askSession(client),
    staleTime: 60_000,
    retry: false,
    // Nobody is known here until the server can be asked.
    refetchInterval: ({ state: { data } }) => (data?.unasked === true && !data.who ? 3_000 : false),
  });

async function askSession(queries: QueryClient): Promise<Session> {
  try {
    await tellLeaving();
    const answer = await call(endpoints.session);
    await rememberSession(answer);
    return answer;
  } catch (error) {
    if (!(error instanceof NoConnection)) throw error;
    const last = await lastSession();
    if (!last?.who) return { who: null, unasked: true };
    // A start without the server goes on with what was fetched before; a page that is open has that already.
    if (queries.getQueryData(sessionKey) === undefined) await bringBackAnswers(queries, last.who.id);
    return { ...last, unasked: true };
  }
}

export const WhoContext = createContext<Who | null>(null);

/** Who is signed in. Pages behind the sign-in always have somebody. */
export function useWho(): Who {
  const who = useContext(WhoContext);
  if (!who) throw new Error('Nobody is signed in.');
  return who;
}
