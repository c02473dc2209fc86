import { instrumentCards, type InstrumentCard, type InstrumentKind } from '@green-beam/core';
import { LabelledInstrument } from '@green-beam/drawing/examples';

/** An instrument with its parts numbered, on the dark bench. */
export const CardDrawing = ({ kind, name }: { readonly kind: InstrumentKind; readonly name: string }) => (
  <div className="bg-bench p-2">
    <LabelledInstrument
      kind={kind}
      name={name}
      parts={instrumentCards[kind].parts.map((part) => part.name)}
      className="w-full"
    />
  </div>
);

/** The parts by their numbers, and what each is for. */
export const PartList = ({ card }: { readonly card: InstrumentCard }) => (
  <ol className="list-decimal pl-6">
    {card.parts.map(({ name, does }) => (
      <li key={name} className="py-0.5">
        <strong>{name}</strong>: {does}
      </li>
    ))}
  </ol>
);
