import { Dialog } from 'radix-ui';
import type { Parcel } from '../browser/parcel';
import { Refused } from '../outbox/Refused';
import { Button } from '../ui/Button';

/** What the server refused, in its writer's own words, with the reason. Nothing of it goes before it was seen here. */
export function NotStored({
  refused,
  onClose,
}: {
  readonly refused: readonly Parcel[];
  readonly onClose: () => void;
}) {
  return (
    <Dialog.Root modal={false} open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <div aria-hidden="true" className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 flex max-h-[86vh] w-[min(40rem,96vw)] -translate-1/2 flex-col border border-ink bg-white p-6">
          <Dialog.Title className="text-lg font-bold">Not stored</Dialog.Title>
          <Dialog.Description className="mb-3 text-soft">
            It is kept on this device until you put it aside. Copy what you still need.
          </Dialog.Description>
          <ul className="min-h-0 divide-y divide-rule overflow-y-auto border-y border-rule">
            {refused.map((parcel) => (
              <li key={parcel.id} className="py-2">
                <Refused parcel={parcel} />
              </li>
            ))}
            {refused.length === 0 && <li className="py-2 text-soft">Nothing any more.</li>}
          </ul>
          <div className="mt-4 flex justify-end">
            <Dialog.Close asChild>
              <Button>Close</Button>
            </Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
