import { paths, type SessionAnswer } from '@green-beam/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { call } from '../api';
import { tellTabs } from './between';
import { rememberSession } from './remembered';
import { sessionKey } from './who';

/** Signs in, and makes this browser the home of who did. */
export function useSignIn(path: string, onEntered?: () => void) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (body: Readonly<Record<string, string | boolean>>) => {
      const answer = await call<SessionAnswer>('POST', path, body, null);
      await rememberSession(answer);
      return answer;
    },
    onSuccess: (answer) => {
      onEntered?.();
      queries.setQueryData(sessionKey, answer);
      if (answer.who) tellTabs({ entered: answer.who.id });
    },
  });
}

/** Signs out here, or everywhere; what is unsent is locked, and no page of this person stays open in this browser. */
export function useSignOut(personId: string, everywhere = false) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => call('DELETE', everywhere ? paths.everySession : paths.session),
    onSuccess: () => {
      queries.setQueryData<SessionAnswer>(sessionKey, { who: null });
      tellTabs({ left: personId });
    },
  });
}
