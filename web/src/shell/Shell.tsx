import { Outlet } from 'react-router';
import { useLive } from '../live/useLive';
import type { Parcel } from '../outbox/outbox';
import { OutboxProvider, useOutbox, useParcels } from '../outbox/OutboxContext';
import { SignIn } from '../session/SignIn';
import { useSession, WhoContext } from '../session/who';
import { Loading, Trouble } from '../ui/Notice';
import { BeamHeader, type BeamState } from './BeamHeader';

/** Who is there decides what is shown: the sign-in, or the pages under the beam. */
export function Shell() {
  const session = useSession();
  if (session.data === undefined) {
    return session.isError ? (
      <Trouble error={session.error} again={() => void session.refetch()} />
    ) : (
      <Loading what="your work" />
    );
  }
  const { who } = session.data;
  if (!who) return <SignIn />;
  return (
    <WhoContext value={who}>
      <OutboxProvider key={who.id}>
        <UnderTheBeam />
      </OutboxProvider>
    </WhoContext>
  );
}

function UnderTheBeam() {
  const connected = useLive();
  const outbox = useOutbox();
  const parcels = useParcels();
  const refused = parcels.find((parcel) => parcel.refused !== undefined);
  return (
    <>
      <BeamHeader
        state={beamState(connected, parcels.length, refused)}
        onAside={refused ? () => outbox.discard(refused.id) : null}
      />
      <Outlet />
    </>
  );
}

function beamState(connected: boolean, waiting: number, refused: Parcel | undefined): BeamState {
  if (refused) return { tipped: true, sentence: `Not stored: ${refused.refused}` };
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
