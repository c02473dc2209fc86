import type { Who } from '@green-beam/contract';
import { useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useEffectEvent, useLayoutEffect, useState } from 'react';
import { Outlet, useNavigate } from 'react-router';
import { onSessionEnded, speakFor } from '../api';
import { useLive } from '../live/useLive';
import { keepAnswers } from '../browser/answers';
import { OutboxProvider, useOutbox, useParcels } from '../outbox/OutboxContext';
import { atHome, seal } from '../browser/seal';
import { hearTabs, tellTabs } from '../session/between';
import { sessionKey, useSession, useWho, WhoContext, type Session } from '../session/who';
import { Loading, Trouble } from '../ui/Notice';
import { FirstSight } from './Beam';
import { BeamHeader, type BeamState } from './BeamHeader';

const SignIn = lazy(async () => ({ default: (await import('../session/SignIn')).SignIn }));
const SessionEnded = lazy(async () => ({ default: (await import('./SessionEnded')).SessionEnded }));
const PutAside = lazy(async () => ({ default: (await import('../session/PutAside')).PutAside }));
const FirstPassword = lazy(async () => ({
  default: (await import('../session/FirstPassword')).FirstPassword,
}));

/** Who is there decides what is shown: the sign-in, or the pages under the beam. */
export function Shell() {
  const session = useSession();
  const home = useHome(session.data);
  useSessionNews(home.who?.id);
  if (session.data === undefined) {
    return session.isError ? (
      <Trouble error={session.error} again={() => void session.refetch()} />
    ) : (
      <FirstSight />
    );
  }
  const { who: signedIn, mustChange } = session.data;
  if (!home.who)
    return (
      <Suspense>
        <SignIn unasked={session.data.unasked === true} />
      </Suspense>
    );
  if (signedIn && signedIn.id !== home.who.id)
    return (
      <Suspense>
        <PutAside of={home.who} by={signedIn} onGoOn={home.leave} />
      </Suspense>
    );
  if (mustChange)
    return (
      <Suspense>
        <FirstPassword />
      </Suspense>
    );
  return (
    <WhoContext value={signedIn ?? home.who}>
      <OutboxProvider key={home.who.id}>
        <UnderTheBeam offline={session.data.unasked === true} />
        {!signedIn && (
          <Suspense>
            <SessionEnded of={home.who} onLeave={home.leave} />
          </Suspense>
        )}
      </OutboxProvider>
    </WhoContext>
  );
}

interface Home {
  /** Whose pages these are; null where nobody's. */
  readonly who: Who | null;
  /** Locks what is unsent of theirs, and gives the pages to who is signed in now. */
  readonly leave: () => void;
}

/** Whose pages this tab shows. They stay when the session ends, so that the same person can go on where they were. */
function useHome(session: Session | undefined): Home {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [who, setWho] = useState<Who | null>(null);
  if (!who && session?.who) setWho(session.who);
  const id = who?.id;
  // Before any page asks for anything.
  useLayoutEffect(() => speakFor(id ?? null), [id]);
  const leave = () => {
    if (id) void seal(id).catch(() => undefined);
    queries.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== sessionKey[0] });
    setWho(null);
  };
  // Signed out, here or in another tab: nothing of theirs stays in sight.
  const left = useEffectEvent((person: string) => {
    if (person !== id) return;
    queries.setQueryData<Session>(sessionKey, { who: null });
    leave();
    // Not even the address tells the next one what was open.
    void navigate('/');
  });
  useEffect(() => hearTabs((word) => 'left' in word && left(word.left)), []);
  useEffect(() => {
    if (!id) return;
    const endKeeping = keepAnswers(queries, id);
    const endBeing = atHome(id);
    return () => {
      endKeeping();
      endBeing();
    };
  }, [id, queries]);
  return { who, leave };
}

/** Has the session asked for again whenever something says that it may be another. */
function useSessionNews(id: string | undefined): void {
  const queries = useQueryClient();
  useEffect(() => {
    const forgetApi = onSessionEnded(() => id && tellTabs({ ended: id }));
    const forgetTabs = hearTabs(() => void queries.invalidateQueries({ queryKey: sessionKey }));
    return () => {
      forgetApi();
      forgetTabs();
    };
  }, [queries, id]);
}

function UnderTheBeam({ offline }: { readonly offline: boolean }) {
  const { id } = useWho();
  const connected = useLive(id);
  const outbox = useOutbox();
  const parcels = useParcels();
  const queries = useQueryClient();
  // The line is back: who is signed in can be asked again, and what waits can go.
  const back = useEffectEvent(() => {
    if (offline) void queries.invalidateQueries({ queryKey: sessionKey });
    void outbox.flush();
  });
  useEffect(() => {
    if (connected) back();
  }, [connected]);
  const refused = parcels.filter((parcel) => parcel.refused !== undefined);
  return (
    <>
      <BeamHeader state={beamState(connected, parcels.length, refused.length)} refused={refused} />
      <Suspense fallback={<Loading what="the page" />}>
        <Outlet />
      </Suspense>
    </>
  );
}

function beamState(connected: boolean, waiting: number, refused: number): BeamState {
  if (refused > 0)
    return {
      tipped: true,
      sentence: refused === 1 ? 'One thing was not stored.' : `${refused} things were not stored.`,
    };
  const things = waiting === 1 ? 'One thing waits' : `${waiting} things wait`;
  if (!connected) {
    return {
      tipped: true,
      sentence:
        waiting > 0
          ? `No connection. ${things} to be sent; nothing is lost.`
          : 'No connection. What you write is kept here.',
    };
  }
  return waiting > 0
    ? { tipped: true, sentence: `${things} to be sent; nothing is lost.` }
    : { tipped: false };
}
