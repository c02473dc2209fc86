import clsx from 'clsx';
import { Popover } from 'radix-ui';
import { useState, type ReactNode } from 'react';

interface Props {
  /** What pressing the button does, and what hangs from it then. */
  readonly label: string;
  readonly called: string;
  readonly button: ReactNode;
  readonly buttonLook: string;
  readonly look: string;
  /** True where Tab passes it by: it is reached in another way. */
  readonly aside?: boolean;
  readonly children: (close: () => void) => ReactNode;
}

/** A button from which a form hangs. Until it is first pressed it is a button and no more: a table has hundreds. */
export function Hanging({ label, called, button, buttonLook, look, aside = false, children }: Props) {
  const [open, setOpen] = useState<boolean | null>(null);
  const plain = {
    'aria-label': label,
    className: buttonLook,
    children: button,
    ...(aside ? { tabIndex: -1 } : {}),
  };
  if (open === null)
    return (
      <button
        type="button"
        aria-haspopup="dialog"
        aria-expanded={false}
        onClick={() => setOpen(true)}
        {...plain}
      />
    );
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger {...plain} />
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          collisionPadding={8}
          aria-label={called}
          className={clsx('z-30 border border-ink bg-white p-4', look)}
        >
          {children(() => setOpen(false))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
