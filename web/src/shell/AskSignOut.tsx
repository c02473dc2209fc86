import { Dialog } from 'radix-ui';
import { Button } from '../ui/Button';

/** Asks before one signs out with something unsent. */
export function AskSignOut({
  waiting,
  busy,
  onStay,
  onSignOut,
}: {
  readonly waiting: number;
  readonly busy: boolean;
  readonly onStay: () => void;
  readonly onSignOut: () => void;
}) {
  const things = waiting === 1 ? 'One thing is not sent yet.' : `${waiting} things are not sent yet.`;
  return (
    <Dialog.Root modal={false} open onOpenChange={(open) => !open && onStay()}>
      <Dialog.Portal>
        <div aria-hidden="true" className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 w-[min(32rem,96vw)] -translate-1/2 border border-ink bg-white p-6">
          <Dialog.Title className="text-lg font-bold">
            {waiting === 0 ? 'Everything is sent.' : things}
          </Dialog.Title>
          <Dialog.Description className="mt-2 mb-5">
            {waiting === 0
              ? 'You can sign out now.'
              : 'If you sign out now, it stays on this device, locked: nobody else can read it, and it goes out when you sign in here again. It does not reach your teacher before that.'}
          </Dialog.Description>
          <div className="flex flex-wrap justify-between gap-3">
            <Button look="main" onClick={onStay}>
              Stay signed in
            </Button>
            <Button disabled={busy} onClick={onSignOut}>
              {waiting === 0 ? 'Sign out' : 'Sign out, keep it locked here'}
            </Button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
