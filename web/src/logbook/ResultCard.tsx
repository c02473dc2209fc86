import {
  againstAccepted,
  questionAbout,
  weakLine,
  resultElsewhere,
  scatterOfTrials,
  resultWorking,
  trialWorking,
  greatestIn,
  type Accepted,
  type Conventions,
  type Greatest,
  type PercentError,
  type Result,
  type ResultState,
} from '@green-beam/core';
import { Budget, gaugeInWords, LevelGauge, type Gauge } from '@green-beam/drawing';
import { useState } from 'react';
import { Button } from '../ui/Button';
import { Elsewhere } from '../ui/Elsewhere';
import { Figure, Stated } from '../ui/Figure';
import { Symbol } from '../ui/Symbol';
import type { Book } from './book';
import { Working } from './Working';

/** What the trials amount to, and how it came about. */
export function ResultCard({
  book,
  state,
  brief = false,
}: {
  readonly book: Book;
  readonly state: ResultState;
  /** The value alone, for another route to the same. */
  readonly brief?: boolean;
}) {
  const { plan } = state;
  const [looked, setLooked] = useState<string | null>(null);
  const title = brief || book.outcome.results.length > 1 ? plan.name : 'Result';
  if (state.state !== 'reckoned') {
    return (
      <section aria-label={title}>
        <h2 className="mb-1">{title}</h2>
        <p className={state.state === 'refused' ? 'text-vermilion' : 'text-soft'}>{state.why}</p>
      </section>
    );
  }
  const { result, trialsWanted } = state;
  const question = questionAbout(result);
  if (question !== null && looked !== question)
    return (
      <section aria-label={title} className="border-t-2 border-ink pt-4">
        <h2 className="mb-1">{title}</h2>
        <p className="mb-3 max-w-2xl border-l-4 border-brass-line pl-3">{question}</p>
        <Button onClick={() => setLooked(question)}>I have looked: state it</Button>
      </section>
    );
  const weak = weakLine(result);
  return (
    <section aria-label={title} className="border-t-2 border-ink pt-4">
      <div className="flex flex-wrap items-baseline gap-x-6">
        <h2>{title}</h2>
        {trialsWanted > 0 && (
          <p className="text-brass">
            {trialsWanted} more {trialsWanted === 1 ? 'trial' : 'trials'} before it counts.
          </p>
        )}
      </div>
      <p className={brief ? 'my-2 text-xl' : 'my-3 text-3xl'}>
        <Symbol text={plan.symbol} /> = <Stated text={result.text} />
      </p>
      {!brief && <Numbers result={result} />}
      {result.expanded && (
        <p>
          For 95 of 100: <Stated text={result.expanded.text} /> with k = {result.expanded.k.toFixed(2)}.{' '}
          {weak}
        </p>
      )}
      {result.kind === 'mean' && result.plan.concordant !== undefined && (
        <p>
          Mean of {result.n} concordant values, within {result.plan.concordant} {plan.unit} of each other.
          {result.apart.length > 0 &&
            ` ${result.apart.length === 1 ? 'Trial' : 'Trials'} ${result.apart.join(', ')} ${
              result.apart.length === 1 ? 'lies' : 'lie'
            } apart: kept, and not averaged.`}
        </p>
      )}
      {result.kind === 'mean' && result.otherAverage && (
        <p className="text-brass">
          The means of the readings would give {result.otherAverage}: one of the trials is unlike the others.
        </p>
      )}
      {result.kind === 'mean' && book.answer.reckonedAnew && (
        <p className="max-w-2xl text-brass">
          This logbook is older than the last change of how a ± is worked out. The ± of a mean now counts each
          trial’s own instrument errors, so it can be larger than the one you wrote down before. Your readings
          are the same.
        </p>
      )}
      {result.percentError && plan.accepted && (
        <Comparison result={result} error={result.percentError} accepted={plan.accepted} book={book} />
      )}
      {!brief && <Uncertainty result={result} />}
      {!brief && (
        <Elsewhere
          question="What would other house rules state?"
          own={result.text}
          rows={() => resultElsewhere(book.answer.investigation, book.table, plan.key)}
        />
      )}
      <Workings book={book} result={result} withTrials={!brief} />
    </section>
  );
}

/** What formulas are made of is gathered only once the working is unfolded. */
function Workings({
  book,
  result,
  withTrials,
}: {
  readonly book: Book;
  readonly result: Result;
  readonly withTrials: boolean;
}) {
  const { investigation, conventions } = book.answer;
  const { trials } = book.outcome;
  return (
    <>
      <Working title="Working of the result" steps={() => resultWorking(result, conventions)} />
      {withTrials && (
        <Working
          title="Working of each trial"
          steps={() =>
            Object.values(trials)
              .flat()
              .flatMap((trial) => trialWorking(investigation, trial, conventions))
          }
        />
      )}
    </>
  );
}

/** Where the uncertainty comes from, and what would make it smaller. */
function Uncertainty({ result: { budget, plusMinus, plan } }: { readonly result: Result }) {
  const greatest = greatestIn(budget);
  if (!plusMinus || !greatest) return null;
  return (
    <div className="my-5 max-w-xl">
      <h3 className="mb-1 font-bold">Where the ± comes from</h3>
      <Budget budget={budget} />
      <p className="mt-1 text-sm text-soft">
        Shares of the variance. {adviceOn(greatest, plan.unit)} Halving a small share changes nothing that is
        written.
      </p>
    </div>
  );
}

function adviceOn({ sources, ifHalved }: Greatest, unit: string): string {
  const then = `about ${rounded(ifHalved)} ${unit}`;
  const [source, ...others] = sources;
  const last = others.at(-1);
  if (last !== undefined)
    return `These count alike: ${[source, ...others.slice(0, -1)].join(', ')} and ${last}. With half of each the ± would be ${then}.`;
  return source === scatterOfTrials
    ? `The trials scatter most: four times as many would make it ${then}.`
    : `Most is ${source}, which more trials do not make smaller: with half of it the ± would be ${then}.`;
}

const rounded = (value: number): string => String(globalThis.Number(value.toPrecision(2)));

function Numbers({ result }: { readonly result: Result }) {
  const { plusMinus, plan } = result;
  return (
    <dl className="flex flex-wrap gap-x-8 gap-y-2">
      {result.kind !== 'value' && (
        <div>
          <dt className="text-sm text-soft">{result.kind === 'line' ? 'Points' : 'Trials'}</dt>
          <dd className="font-mono">{result.n}</dd>
        </div>
      )}
      {result.kind === 'mean' && result.spreadText && (
        <Number name={result.spreadName} value={result.spreadText} unit={plan.unit} />
      )}
      {plusMinus?.relativePercent && (
        <Number name="Relative uncertainty" value={plusMinus.relativePercent} unit="%" />
      )}
    </dl>
  );
}

function Number({
  name,
  value,
  unit = '',
}: {
  readonly name: string;
  readonly value: string;
  readonly unit?: string;
}) {
  return (
    <div>
      <dt className="text-sm text-soft">{name}</dt>
      <dd>
        <Figure text={value} /> {unit}
      </dd>
    </div>
  );
}

/** Against the accepted value: by the class's bands, and by what this kit could be expected to give. */
function Comparison({
  result,
  error,
  accepted,
  book,
}: {
  readonly result: Result;
  readonly error: PercentError;
  readonly accepted: Accepted;
  readonly book: Book;
}) {
  const { investigation, conventions } = book.answer;
  const good = (investigation.bands ?? conventions.bands)[0]?.upToPercent ?? 5;
  const gauge: Gauge = { shows: 'exact', off: error.percent.toNumber(), accepted: good, unit: '%' };
  return (
    <div className="my-5 max-w-lg">
      <LevelGauge gauge={gauge} />
      <p>
        Percent error <Stated text={error.text} className="font-bold" /> against{' '}
        <Figure text={accepted.value} /> {accepted.tolerance && `± ${accepted.tolerance} `}
        {accepted.unit}, {accepted.source}:{' '}
        {error.word ? `${error.word}.` : 'more than this class calls acceptable; look for the cause.'}{' '}
        <span className="text-soft">
          The gauge {gaugeInWords(gauge) === 'level' ? 'is level' : gaugeInWords(gauge)}.{' '}
          {forThisKit(result, error, conventions)}
        </span>
      </p>
    </div>
  );
}

const agreementWords = {
  agree: 'It agrees within its uncertainty: this kit could not tell the two apart.',
  doubtful: 'That is doubtful for this kit: a little more than its uncertainty lets one expect.',
  disagree: 'That is more than this kit’s uncertainty explains: look for a systematic cause.',
} as const;

/** Whether the error is good for this kit, that is within what its own uncertainty lets one expect. */
const forThisKit = (result: Result, error: PercentError, conventions: Conventions): string =>
  result.uncertainty === null ? '' : agreementWords[againstAccepted(result, error, conventions).verdict];
