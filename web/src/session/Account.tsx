import { useState } from 'react';
import { sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { Page } from '../ui/Notice';
import { PasswordForm } from './PasswordForm';
import { useSignOut } from './useSignIn';
import { useSession, useWho } from './who';

/** What one can do about one's own signing in. */
export function Account() {
  const { id, role, name, classes } = useWho();
  const ownDevice = useSession().data?.ownDevice === true;
  const everywhere = useSignOut(id, true);
  const [changed, setChanged] = useState(false);
  return (
    <Page title="Signing in" aside={name}>
      <div className="grid gap-10 md:grid-cols-2">
        <section aria-labelledby="password">
          <h2 id="password" className="mb-3 text-xl">
            {role === 'teacher' ? 'Password' : 'Passphrase'}
          </h2>
          {role === 'teacher' ? (
            <>
              <PasswordForm onDone={() => setChanged(true)} />
              {changed && (
                <p role="status" className="mt-3 border-l-4 border-beam pl-3">
                  The password is changed. Other devices are signed out.
                </p>
              )}
            </>
          ) : (
            <p>
              Yours stands on your slip. If it is lost, or somebody else knows it, ask your teacher for a new
              slip: the old one stops working at once. Your class code is{' '}
              <strong className="font-mono">{classes[0]?.code}</strong>.
            </p>
          )}
        </section>
        <section aria-labelledby="devices">
          <h2 id="devices" className="mb-3 text-xl">
            Devices
          </h2>
          <p className="mb-3">
            {ownDevice
              ? 'This is your own device: you stay signed in here for as long as you use it, 90 days at the longest.'
              : 'On this device you are signed out when the browser is closed, after three hours without use, and after twelve hours in any case.'}
          </p>
          <p className="mb-4">
            Did you leave a page open somewhere? Sign out everywhere, here too. What waits to be sent on any
            of your devices stays there, locked, until you sign in on it again.
          </p>
          <Button disabled={everywhere.isPending} onClick={() => everywhere.mutate()}>
            Sign out everywhere
          </Button>
          {everywhere.isError && (
            <p role="alert" className="mt-3 text-vermilion">
              {sentenceFor(everywhere.error)}
            </p>
          )}
        </section>
      </div>
    </Page>
  );
}
