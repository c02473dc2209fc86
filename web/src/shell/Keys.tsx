import { Popover } from 'radix-ui';
import { keyTrigger } from './keyTrigger';
import { useSections } from './sections';

/** The list of keys, hanging from its button. */
export function Keys({ open, onOpen }: { readonly open: boolean; readonly onOpen: (open: boolean) => void }) {
  const sections = useSections();
  const keys: readonly (readonly [string, string])[] = [
    ['Enter', 'check, or next'],
    ['Tab', 'to the next handle, field or cell'],
    ['F2', 'what helps to fill a cell'],
    ['← → ↑ ↓', 'move what is in hand; with Shift finer'],
    ['Home End', 'take it to its stops'],
    ['r', 'to the field, to write'],
    ['l', 'lens'],
    ['c', 'card'],
    ['Esc', 'put down'],
    ...sections.map(({ name, letter }) => [`g ${letter}`, `go to ${name}`] as const),
  ];
  return (
    <Popover.Root open={open} onOpenChange={onOpen}>
      <Popover.Trigger {...keyTrigger} />
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
