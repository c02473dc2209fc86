import type { BenchMake } from '@green-beam/contract';
import { instrumentCards, type InstrumentKind } from '@green-beam/core';
import { Dialog } from 'radix-ui';
import { Button } from '../ui/Button';
import { CardDrawing, PartList } from './CardParts';
import { CardText, makeWords } from './CardText';

/** The card of an instrument, opened beside a reading. */
export function CardDialog({
  kind,
  name,
  make,
  onClose,
}: {
  readonly kind: InstrumentKind;
  readonly name: string;
  /** The make that is read, where its division may be told. */
  readonly make: BenchMake | undefined;
  readonly onClose: () => void;
}) {
  const card = instrumentCards[kind];
  return (
    // Beside the instrument, which stays in sight and in hand.
    <Dialog.Root open modal={false} onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          onInteractOutside={(event) => event.preventDefault()}
          className="fixed inset-y-0 right-0 z-30 w-full max-w-xl overflow-y-auto border-l border-ink bg-page p-5"
        >
          <div className="mb-3 flex items-baseline justify-between gap-4">
            <Dialog.Title className="first-letter:uppercase">{name}: its card</Dialog.Title>
            <Dialog.Close asChild>
              <Button>Close</Button>
            </Dialog.Close>
          </div>
          <div className="mb-5 flex flex-col gap-3">
            <CardDrawing kind={kind} name={name} />
            <PartList card={card} />
          </div>
          {make && <p className="mb-4">{makeWords(make)}</p>}
          <CardText card={card} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
