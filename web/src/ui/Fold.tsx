import { Collapsible } from 'radix-ui';
import { useState, type ReactNode } from 'react';

/** A part of a page that folds away. */
export function Fold({
  title,
  aside,
  startsOpen,
  children,
}: {
  readonly title: string;
  readonly aside?: string;
  readonly startsOpen: boolean;
  readonly children: ReactNode;
}) {
  const [open, setOpen] = useState(startsOpen);
  return (
    <Collapsible.Root asChild open={open} onOpenChange={setOpen}>
      <section aria-label={title} className="border-y border-rule">
        <Collapsible.Trigger className="group flex w-full items-baseline gap-2 py-2 text-left">
          <span aria-hidden="true" className="inline-block group-data-[state=open]:rotate-90">
            ▸
          </span>
          <span className="text-[1.15rem] font-bold">{title}</span>
          {aside && <span className="text-sm text-soft">{aside}</span>}
        </Collapsible.Trigger>
        <Collapsible.Content className="flex flex-col gap-4 pb-4">{children}</Collapsible.Content>
      </section>
    </Collapsible.Root>
  );
}
