import { paths, type SessionAnswer, type Who } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import { call } from '../api';

export const sessionKey = ['session'] as const;

export const useSession = () =>
  useQuery({
    queryKey: sessionKey,
    queryFn: () => call<SessionAnswer>('GET', paths.session),
    staleTime: 60_000,
  });

export const WhoContext = createContext<Who | null>(null);

/** Who is signed in. Pages behind the sign-in always have somebody. */
export function useWho(): Who {
  const who = useContext(WhoContext);
  if (!who) throw new Error('Nobody is signed in.');
  return who;
}
