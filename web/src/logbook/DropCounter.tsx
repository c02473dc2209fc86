import { Dialog } from 'radix-ui';
import { useEffect, useEffectEvent, useState } from 'react';
import { useDraft } from '../outbox/useDraft';
import { Button } from '../ui/Button';

/** Counts drops: one key a drop, undo, pause. A lost count begins again, and the abandoned run stays written. */
export function DropCounter({
  name,
  trial,
  onCounted,
  onAbandoned,
}: {
  /** Under which the count is kept, so that a reload does not lose it. */
  readonly name: string;
  readonly trial: number;
  readonly onCounted: (count: number) => void;
  readonly onAbandoned: (count: number) => void;
}) {
  const [open, setOpen] = useState(false);
  const [paused, setPaused] = useState(false);
  const [kept, keep] = useDraft(name);
  const count = Number(kept) || 0;
  const set = (next: number) => keep(next > 0 ? String(next) : '');
  const drop = () => !paused && set(count + 1);
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const keys: Record<string, () => void> = {
      ' ': drop,
      d: drop,
      Backspace: () => set(count - 1),
      p: () => setPaused(!paused),
    };
    const act = event.repeat ? undefined : keys[event.key];
    // A space on a button would press it too.
    if (!act) return;
    event.preventDefault();
    act();
  });
  // Heard wherever the focus is: a button that was pressed may have gone.
  useEffect(() => {
    if (!open) return;
    const hear = (event: KeyboardEvent) => onKey(event);
    addEventListener('keydown', hear);
    return () => removeEventListener('keydown', hear);
  }, [open]);
  return (
    <Dialog.Root modal={false} open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button look="quiet" className="text-sm" tabIndex={-1}>
          Count drops{count > 0 ? ` (${count} so far)` : ''}
        </Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <div aria-hidden="true" className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 w-[min(26rem,94vw)] -translate-1/2 border border-ink bg-white p-6"
        >
          <Dialog.Title className="text-lg font-bold">Drops of trial {trial}</Dialog.Title>
          <p role="status" aria-label={`${count} drops`} className="my-4 text-center font-mono text-7xl">
            {count}
          </p>
          <Button look="main" className="w-full py-6 text-xl" onClick={drop} disabled={paused}>
            Drop <kbd className="font-mono text-sm">space</kbd>
          </Button>
          <div className="mt-3 flex flex-wrap gap-2">
            <Button onClick={() => set(count - 1)} disabled={count === 0}>
              Undo one
            </Button>
            <Button aria-pressed={paused} onClick={() => setPaused(!paused)}>
              {paused ? 'Go on' : 'Pause'}
            </Button>
            <Button
              disabled={count === 0}
              onClick={() => {
                onAbandoned(count);
                set(0);
              }}
            >
              Count lost: begin again
            </Button>
          </div>
          <div className="mt-5 flex justify-between border-t border-rule pt-4">
            <Dialog.Close asChild>
              <Button look="quiet">Close, keep the count</Button>
            </Dialog.Close>
            <Button
              look="main"
              disabled={count === 0}
              onClick={() => {
                onCounted(count);
                set(0);
                setOpen(false);
              }}
            >
              Write {count} drops
            </Button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
