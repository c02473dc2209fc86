import type { Who } from '@green-beam/contract';
import { Button } from '../ui/Button';

/** Somebody else has signed in on this browser: the page of who was here before is put aside, its unsent words locked. */
export function PutAside({
  of,
  by,
  onGoOn,
}: {
  readonly of: Who;
  readonly by: Who;
  readonly onGoOn: () => void;
}) {
  return (
    <main id="main" className="mx-auto max-w-2xl p-8">
      <title>Put aside · Green Beam</title>
      <h1 className="mb-3">{by.name} has signed in on this browser.</h1>
      <p className="mb-2">
        This page belonged to {of.name} and is put aside. What {of.name} wrote and was not sent yet is kept on
        this device, locked, and goes out when {of.name} signs in here again.
      </p>
      <p className="mb-6">Nothing of it is stored under another name.</p>
      <Button look="main" onClick={onGoOn}>
        Go on as {by.name}
      </Button>
    </main>
  );
}
