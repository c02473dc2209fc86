import type { PastedCell } from '@green-beam/core';
import { Dialog } from 'radix-ui';
import { Button } from '../ui/Button';
import { useKeeping } from '../outbox/useKeeping';
import { FieldTrouble } from '../ui/FieldTrouble';
import { Figure } from '../ui/Figure';

/** Cells that are about to be written together, as they will stand. */
export interface Block {
  readonly title: string;
  readonly cells: readonly PastedCell[];
  readonly problems: readonly { readonly line: number; readonly sentence: string }[];
}

/** Shows a pasted block or a read file before any of it is written. */
export function BlockDialog({
  block,
  onClose,
  onWrite,
}: {
  readonly block: Block | null;
  readonly onClose: () => void;
  readonly onWrite: (cells: readonly PastedCell[]) => Promise<void>;
}) {
  const [keep, trouble] = useKeeping();
  const willBe = block?.cells.filter(({ refused }) => refused === null) ?? [];
  return (
    <Dialog.Root modal={false} open={block !== null} onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <div aria-hidden="true" className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 flex max-h-[86vh] w-[min(44rem,96vw)] -translate-1/2 flex-col border border-ink bg-white p-6">
          <Dialog.Title className="text-lg font-bold">{block?.title}</Dialog.Title>
          <Dialog.Description className="mb-3 text-soft">
            Nothing is written yet. What stands in a cell already is never overwritten.
          </Dialog.Description>
          {block && block.problems.length > 0 && (
            <ul role="alert" className="mb-3 border-l-4 border-vermilion pl-3">
              {block.problems.map(({ line, sentence }) => (
                <li key={`${line}${sentence}`}>
                  Line {line}: {sentence}
                </li>
              ))}
            </ul>
          )}
          <div
            className="min-h-0 overflow-y-auto border-y border-rule"
            tabIndex={0}
            role="group"
            aria-label="Cells"
          >
            <table className="w-full">
              <thead className="text-left">
                <tr>
                  {['Trial', 'Column', 'Text', 'What is said of it'].map((heading) => (
                    <th key={heading} scope="col" className="py-1 pr-3">
                      {heading}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {block?.cells.map(({ trial, column, text, advice, refused }) => (
                  <tr key={`${trial} ${column.key}`} className="border-t border-rule align-top">
                    <td className="py-1 pr-3 font-mono">{trial}</td>
                    <td className="py-1 pr-3">{column.heading}</td>
                    <td className="py-1 pr-3">
                      {refused === null ? <Figure text={text} /> : <s className="struck font-mono">{text}</s>}
                    </td>
                    <td
                      className={refused === null ? 'py-1 text-sm text-brass' : 'py-1 text-sm text-vermilion'}
                    >
                      {refused === null ? advice : `Left out: ${refused}`}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <FieldTrouble says={trouble} />
          <div className="mt-4 flex justify-between">
            <Dialog.Close asChild>
              <Button look="quiet">Write nothing</Button>
            </Dialog.Close>
            <Button
              look="main"
              disabled={willBe.length === 0}
              onClick={async () => {
                if (await keep(onWrite(willBe))) onClose();
              }}
            >
              Write {willBe.length} {willBe.length === 1 ? 'cell' : 'cells'}
            </Button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
