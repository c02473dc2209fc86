import { cancelledIn, perGramCube, questionAbout, weakLine, type Result } from '@green-beam/core';
import { Budget } from '@green-beam/drawing';
import { Candidates } from '../ui/Candidates';
import { Stated } from '../ui/Figure';
import { Symbol } from '../ui/Symbol';
import { Agreement } from './Agreement';
import { useOpenBook, type Book } from './book';
import { Draws } from './Draws';
import { Improve } from './Improve';
import { ResultPlot } from './ResultPlot';
import { Ways } from './Ways';

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
