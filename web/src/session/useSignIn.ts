import { endpoints, type BodyOf, type SessionAnswer } from '@green-beam/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { call, NoConnection, sendTo } from '../api';
import { tellTabs } from './between';
import { leaveUnasked, rememberSession, tellLeaving } from './remembered';
import { sessionKey } from './who';

/** Signs in, and makes this browser the home of who did. */
export function useSignIn<E extends typeof endpoints.signInTeacher | typeof endpoints.signInStudent>(
  endpoint: E,
  onEntered?: () => void,
) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (body: BodyOf<E>) => {
      // Who was here before is out first.
      await tellLeaving();
      // Nobody is signed in yet for whom it could be said to be made.
      const answer = await sendTo(endpoint, body, null);
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
    mutationFn: async () => {
      if (everywhere) return call(endpoints.signOutEverywhere);
      try {
        return await call(endpoints.signOut);
      } catch (error) {
        if (!(error instanceof NoConnection)) throw error;
        return leaveUnasked(personId);
      }
    },
    onSuccess: () => {
      queries.setQueryData<SessionAnswer>(sessionKey, { who: null });
      tellTabs({ left: personId });
    },
  });
}
