import {
  agreementOfRoutes,
  cancelledIn,
  improvements,
  combineTypeAandB,
  perGramCube,
  questionAbout,
  questions,
  weakLine,
  combinations,
  writePlusMinus,
  Decimal,
  type Conventions,
  type MeanResult,
  type Result,
  type ValueResult,
} from '@green-beam/core';
import { Budget, Histogram } from '@green-beam/drawing';
import { useDeferredValue, useMemo } from 'react';

import { Button } from '../ui/Button';
import { Candidates } from '../ui/Candidates';
import { Stated } from '../ui/Figure';
import { Symbol } from '../ui/Symbol';
import { useOpenBook, type Book } from './book';
import { ResultPlot } from './ResultPlot';
import { SavedPlot } from './SavedPlot';
import { useMonteCarlo } from './useMonteCarlo';

/** Plots, budget, all ways of combining side by side, many draws, and what would make the result more certain. */
export function Uncertainty() {
  const book = useOpenBook();
  const reckoned = book.outcome.results.flatMap((state) =>
    state.state === 'reckoned' ? [state.result] : [],
  );
  if (reckoned.length === 0)
    return <p className="text-soft">There is nothing to plot yet. Write the first trials under “Measure”.</p>;
  return (
    <div className="flex flex-col gap-10">
      {reckoned.map((result) => (
        <OneResult key={result.plan.key} book={book} result={result} />
      ))}
      {reckoned.length > 1 && <Agreement results={reckoned} />}
    </div>
  );
}

function OneResult({ book, result }: { readonly book: Book; readonly result: Result }) {
  const { plan } = result;
  return (
    <section aria-label={plan.name}>
      <h2 className="mb-2">
        {plan.name}: <Symbol text={plan.symbol} /> = <Stated text={result.text} />
      </h2>
      {[questionAbout(result), weakLine(result)].map(
        (doubt) =>
          doubt && (
            <p key={doubt} className="mb-3 border-l-4 border-brass-line pl-3">
              {doubt}
            </p>
          ),
      )}
      {result.kind === 'mean' && result.suspect && (
        <p className="mb-3 border-l-4 border-brass-line pl-3">{result.suspect.sentence}</p>
      )}
      <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
        <ResultPlot book={book} result={result} />
        <div className="flex flex-col gap-6">
          {result.budget.length > 0 && (
            <div>
              <h3 className="mb-1 font-bold">Budget: shares of the variance</h3>
              <Budget budget={result.budget} />
              <Cancelled result={result} />
            </div>
          )}
          <Improve book={book} result={result} />
        </div>
        {result.kind !== 'line' && result.uncertainty !== null && <Ways book={book} result={result} />}
        {result.kind !== 'line' && <Draws book={book} result={result} />}
      </div>
      <WhatItMayBe result={result} />
    </section>
  );
}

/** A density against the table of materials. */
function WhatItMayBe({
  result: { plan, value, uncertainty, expanded, plusMinus },
}: {
  readonly result: Result;
}) {
  const per = perGramCube(plan.unit);
  const density = per === null ? 0 : value.value.toNumber() * per;
  if (per === null || density <= 0 || !uncertainty || !plusMinus) return null;
  return (
    <div className="mt-6">
      <h3 className="mb-1 font-bold">What it may be</h3>
      <Candidates
        density={density}
        u={uncertainty * per}
        expanded={(expanded?.size ?? uncertainty) * per}
        value={plusMinus.value}
        unit={plan.unit}
      />
    </div>
  );
}

/** What vanishes is said: it is a reason for measuring by difference. */
function Cancelled({ result }: { readonly result: Result }) {
  const gone = cancelledIn(result);
  if (gone.length === 0) return null;
  return <p className="text-sm text-soft">{gone.join(', ')}: cancels in the difference and adds nothing.</p>;
}

function Improve({ book, result }: { readonly book: Book; readonly result: Result }) {
  const { investigation, conventions } = book.answer;
  const told = useMemo(
    () => improvements(investigation, book.table, conventions, result).slice(0, 5),
    [investigation, book.table, conventions, result],
  );
  if (result.uncertainty === null) return null;
  if (told.length === 0)
    return (
      <p className="text-soft">
        No finer make that is at hand, and no few more trials, would change anything that is written.
      </p>
    );
  return (
    <div>
      <h3 className="mb-1 font-bold">What would improve it</h3>
      <ul className="ml-5 list-disc">
        {told.map(({ what, text }) => (
          <li key={what}>{text}</li>
        ))}
      </ul>
      <p className="text-sm text-soft">Reckoned anew for each, with your own readings.</p>
    </div>
  );
}

const wayWords: Readonly<Record<Conventions['combining'], string>> = {
  'figures-only': 'Figures only says nothing but how far the digits go.',
  'worst-case': 'Worst case adds all sizes, as if each were at its worst at once: the largest.',
  quadrature: 'Quadrature lets independent causes partly make up for each other.',
  'largest-smallest': 'Largest and smallest looks at the corners themselves, so a curved formula shows.',
  'monte-carlo': 'Monte Carlo draws inside the bounds: where sizes are half-widths, it comes out √3 smaller.',
};

/** A result of a formula, whose inputs can be put together otherwise. */
type OfModel = MeanResult | ValueResult;

/** One way of combining: what it gives, or why it gives nothing. */
interface Row {
  readonly way: Conventions['combining'];
  readonly words: string;
  readonly text?: string;
  readonly why?: string;
}

/** Every way of combining, with the same inputs. */
function Ways({ book, result }: { readonly book: Book; readonly result: OfModel }) {
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

const draws = 1_000_000;

function Draws({ book, result: { model, plan } }: { readonly book: Book; readonly result: OfModel }) {
  const [drawing, start, stop] = useMonteCarlo();
  const standard = book.answer.conventions.plusMinus === 'standard';
  return (
    <div>
      <h3 className="mb-1 font-bold">A million draws</h3>
      <div className="mb-2 flex items-center gap-4">
        {drawing.state === 'drawing' ? (
          <>
            <progress
              aria-label="Draws made"
              className="h-2 w-48 accent-[#1d7f58]"
              max={drawing.of}
              value={drawing.drawn}
            />
            <Button onClick={stop}>Stop</Button>
          </>
        ) : (
          <Button onClick={() => start({ ...model, draws, seed: 1, standard })}>Draw</Button>
        )}
      </div>
      {drawing.state === 'drawn' && (
        <>
          <SavedPlot name={`${plan.name} draws`}>
            <Histogram {...drawing.result} words={`${plan.name} in ${plan.unit}`} />
          </SavedPlot>
          <p>
            Mean {drawing.result.mean.toPrecision(5)}, standard deviation{' '}
            {drawing.result.standardDeviation.toPrecision(3)} {plan.unit}; 95 of 100 lie between{' '}
            {drawing.result.low.toPrecision(4)} and {drawing.result.high.toPrecision(4)}.
          </p>
        </>
      )}
      <p className="text-sm text-soft">
        Readings and instruments are drawn anew a million times, always with the same seed; the scatter of the
        trials is not drawn again.
      </p>
    </div>
  );
}

const agreementWords = {
  agree: 'agree',
  doubtful: 'agree only doubtfully',
  disagree: 'do not agree',
} as const;

/** Results of one unit, held against one another. */
function Agreement({ results }: { readonly results: readonly Result[] }) {
  const routes = agreementOfRoutes(results);
  if (routes.length === 0) return null;
  return (
    <section aria-label="Do the routes agree?">
      <h2 className="mb-1">Do the routes agree?</h2>
      <ul className="ml-5 list-disc">
        {routes.map(({ first, other, times, verdict, surer }) => (
          <li key={other.plan.key}>
            {first.plan.name} and {other.plan.name.charAt(0).toLowerCase()}
            {other.plan.name.slice(1)} {agreementWords[verdict]}: they differ by {times.toFixed(1)} times
            their combined uncertainty. {surer.plan.name} is the more certain.
          </li>
        ))}
      </ul>
    </section>
  );
}
