import {
  combinations,
  combineTypeAandB,
  Decimal,
  questions,
  writePlusMinus,
  type Conventions,
  type MeanResult,
  type ValueResult,
} from '@green-beam/core';
import { useDeferredValue, useMemo } from 'react';
import { Stated } from '../ui/Figure';
import type { Book } from './book';

const wayWords: Readonly<Record<Conventions['combining'], string>> = {
  'figures-only': 'Figures only says nothing but how far the digits go.',
  'worst-case': 'Worst case adds all sizes, as if each were at its worst at once: the largest.',
  quadrature: 'Quadrature lets independent causes partly make up for each other.',
  'largest-smallest': 'Largest and smallest looks at the corners themselves, so a curved formula shows.',
  'monte-carlo': 'Monte Carlo draws inside the bounds: where sizes are half-widths, it comes out √3 smaller.',
};

/** A result of a formula, whose inputs can be put together otherwise. */
export type OfModel = MeanResult | ValueResult;

/** One way of combining: what it gives, or why it gives nothing. */
interface Row {
  readonly way: Conventions['combining'];
  readonly words: string;
  readonly text?: string;
  readonly why?: string;
}

/** Every way of combining, with the same inputs. */
export function Ways({ book, result }: { readonly book: Book; readonly result: OfModel }) {
  const { conventions } = book.answer;
  const { kind, model, contributions, typeA, plan, value, valueText } = useDeferredValue(result);
  const rows = useMemo(() => {
    const instruments = contributions.filter(({ kind: of }) => of !== 'repeat' || kind === 'value');
    return (
      Object.entries(combinations(model, instruments, conventions)) as [
        Conventions['combining'],
        () => number,
      ][]
    ).map(([way, reckon]): Row => {
      const words = questions.combining.answers[way];
      if (way === 'figures-only') return { way, words, text: `${valueText} ${plan.unit}` };
      const size = tried(() => combineTypeAandB(typeA ?? 0, reckon(), conventions));
      if (typeof size === 'string') return { way, words, why: size };
      if (size <= 0) return { way, words, why: 'Nothing is left to combine.' };
      const { text } = writePlusMinus(
        value.value,
        new Decimal(size),
        plan.unit,
        conventions.uncertaintyDigits,
      );
      return { way, words, text };
    });
  }, [kind, model, contributions, typeA, plan, value, valueText, conventions]);
  return (
    <div>
      <h3 className="mb-1 font-bold">All ways of combining, side by side</h3>
      <table className="w-full">
        <tbody>
          {rows.map(({ way, words, text, why }) => (
            <tr key={way} className="border-t border-rule align-top">
              <th scope="row" className="py-1 pr-3 text-left font-normal first-letter:uppercase">
                {words}
                {way === conventions.combining && <strong> – your class’s way</strong>}
                <span className="block text-sm text-soft">{wayWords[way]}</span>
              </th>
              <td className="py-1 pl-3 text-right">
                {text === undefined ? (
                  <span className="text-sm text-soft">{why}</span>
                ) : (
                  <Stated text={text} className="whitespace-nowrap" />
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Where one way cannot be reckoned, why; the others are shown all the same. */
function tried(reckon: () => number): number | string {
  try {
    return reckon();
  } catch (error) {
    if (error instanceof RangeError) return error.message;
    throw error;
  }
}
