import { lazy, Suspense, useState } from 'react';
import { sentenceFor } from '../api';
import { useParcels } from '../outbox/OutboxContext';
import { useSignOut } from '../session/useSignIn';
import { useWho } from '../session/who';
import { Button } from '../ui/Button';

const AskSignOut = lazy(async () => ({ default: (await import('./AskSignOut')).AskSignOut }));

/** Signs out; asks first where something waits to be sent. */
export function SignOut() {
  const { id } = useWho();
  const waiting = useParcels().length;
  const [asking, setAsking] = useState(false);
  const signOut = useSignOut(id);
  return (
    <>
      <Button
        look="quiet"
        className="text-sm"
        disabled={signOut.isPending}
        onClick={() => (waiting > 0 ? setAsking(true) : signOut.mutate())}
      >
        Sign out
      </Button>
      {signOut.isError && (
        <span role="alert" className="text-vermilion">
          {sentenceFor(signOut.error)}
        </span>
      )}
      {asking && (
        <Suspense>
          <AskSignOut
            waiting={waiting}
            busy={signOut.isPending}
            onStay={() => setAsking(false)}
            onSignOut={() => signOut.mutate()}
          />
        </Suspense>
      )}
    </>
  );
}
