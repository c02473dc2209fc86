import type { BenchMake } from '@green-beam/contract';
import type { InstrumentCard } from '@green-beam/core';
import type { ReactNode } from 'react';

/** What a card says beside its drawing: the order of reading, precautions with what each prevents, cautions, its reach. */
export function CardText({
  card,
  className,
}: {
  readonly card: InstrumentCard;
  readonly className?: string;
}) {
  return (
    <div className={className}>
      <Part title="How it is read">
        <ol className="list-decimal pl-6">
          {card.order.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </Part>
      <Part title="What protects the number">
        <ul className="list-disc pl-6">
          {card.precautions.map(({ do: what, prevents }) => (
            <li key={what}>
              {what} <span className="text-soft">Else: {prevents}.</span>
            </li>
          ))}
        </ul>
      </Part>
      <Part title="What it can do, and what not">
        <p>{card.can}</p>
        <p className="mt-1">It cannot {card.cannot.charAt(0).toLowerCase() + card.cannot.slice(1)}</p>
      </Part>
      <Part title="Why it looks as it does">
        <p>{card.why}</p>
      </Part>
      <Part title="Cautions">
        <ul className="border-l-4 border-brass-line pl-4">
          {card.cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
        <p className="mt-1 text-sm text-soft">The rules of your school and your teacher come first.</p>
      </Part>
    </div>
  );
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section className="mb-5 break-inside-avoid">
      <h2 className="mb-1">{title}</h2>
      {children}
    </section>
  );
}

/** The makes of an instrument, with range, division and tolerance; one of them may be chosen. */
export function Makes({
  makes,
  chosen,
  onChoose,
}: {
  readonly makes: readonly BenchMake[];
  readonly chosen: string;
  readonly onChoose: (id: string) => void;
}) {
  if (makes.length === 1) return makes[0] ? <p>{makeWords(makes[0])}</p> : null;
  return (
    <fieldset>
      <legend className="mb-1 font-bold">Which make</legend>
      <div className="flex max-h-64 flex-col overflow-y-auto border-y border-rule print:max-h-none">
        {[
          { id: '', says: 'Any of them' },
          ...makes.map((make) => ({ id: make.id, says: makeWords(make) })),
        ].map(({ id, says }) => (
          <label key={id} className="flex gap-2.5 px-1 py-1 has-checked:bg-white">
            <input
              type="radio"
              name="make"
              value={id}
              checked={chosen === id}
              onChange={() => onChoose(id)}
              className="mt-1 size-4 shrink-0 accent-beam"
            />
            {says}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

/** `Vernier caliper, 50 lines on 49 mm: 0 to 130 mm, by 0.02, ± 0.05 mm`. */
export const makeWords = ({ name, unit, lowest, highest, division, tolerance }: BenchMake): string =>
  `${name}: ${lowest.replace('-', '−')} to ${highest} ${unit}, by ${division}${Number(tolerance) > 0 ? `, ± ${tolerance} ${unit}` : ''}`;
