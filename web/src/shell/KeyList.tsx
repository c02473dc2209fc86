import { Popover } from 'radix-ui';
import { useEffect, useState } from 'react';
import { useSections } from './sections';
import { isTyping } from '../ui/isTyping';

/** The list of keys, opened with `?`. */
export function KeyList() {
  const [open, setOpen] = useState(false);
  const sections = useSections();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === '?' && !isTyping(event.target)) setOpen(true);
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, []);
  const keys: readonly (readonly [string, string])[] = [
    ['Enter', 'check, or next'],
    ['Tab', 'to the next handle, field or cell'],
    ['F2', 'what helps to fill a cell'],
    ['← → ↑ ↓', 'move what is in hand; with Shift finer'],
    ['l', 'lens'],
    ['c', 'card'],
    ['Esc', 'put down'],
    ...sections.map(({ name, letter }) => [`g ${letter}`, `go to ${name}`] as const),
  ];
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className="rounded-sm border border-rule bg-white px-2 py-0.5">
        <kbd className="font-mono">?</kbd> keys
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          className="z-30 w-80 border border-ink bg-white p-4"
          aria-label="Keys"
        >
          <dl className="grid grid-cols-[6rem_1fr] gap-y-1.5">
            {keys.map(([key, does]) => (
              <div key={key} className="contents">
                <dt className="font-mono">{key}</dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <p className="mt-3 text-sm text-soft">Letters do nothing while you type in a field.</p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
