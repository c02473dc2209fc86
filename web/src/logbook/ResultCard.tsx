import type { BudgetLine, PercentError, Result } from '@green-beam/core';
import { Budget, gaugeInWords, LevelGauge, type Gauge } from '@green-beam/drawing';
import { Figure, Stated } from '../ui/Figure';
import type { Book } from './book';
import { Working } from './Working';

/** What the trials amount to, and how it came about. */
export function ResultCard({ book }: { readonly book: Book }) {
  const { result, trials, trialsWanted } = book.outcome;
  const { investigation, conventions } = book.answer;
  if (!result) {
    return (
      <section aria-label="Result">
        <h2 className="mb-1">Result</h2>
        <p className="text-soft">
          It appears here as soon as one trial is complete: mass, volume before, volume after.
        </p>
      </section>
    );
  }
  const perTrial = trials.flatMap((trial) => (trial.state === 'complete' ? trial.working : []));
  return (
    <section aria-label="Result" className="border-t-2 border-ink pt-4">
      <div className="flex flex-wrap items-baseline gap-x-6">
        <h2>Result</h2>
        {trialsWanted > 0 && (
          <p className="text-brass">
            {result.n} of {investigation.trials} trials: {trialsWanted} more before it counts.
          </p>
        )}
      </div>
      <p className="my-3 text-3xl">
        <i>ρ</i> = <Stated text={result.text} />
      </p>
      <Numbers result={result} />
      {result.percentError && investigation.accepted && (
        <Comparison
          error={result.percentError}
          accepted={investigation.accepted}
          goodPercent={conventions.bands[0]?.upToPercent ?? 5}
        />
      )}
      <Uncertainty result={result} />
      <Working title="Working of the result" steps={result.working} />
      <Working title="Working of each trial" steps={perTrial} />
    </section>
  );
}

/** Where the uncertainty comes from, and what would make it smaller. */
function Uncertainty({ result: { budget, plusMinus } }: { readonly result: Result }) {
  const [first] = budget;
  if (!plusMinus || !first) return null;
  return (
    <div className="my-5 max-w-xl">
      <h3 className="mb-1 font-bold">Where the ± comes from</h3>
      <Budget lines={budget} />
      <p className="mt-1 text-sm text-soft">
        Shares of the variance. {adviceOn(first)} Halving a small share changes nothing that is written.
      </p>
    </div>
  );
}

const adviceOn = ({ source, ifHalved }: BudgetLine): string =>
  source === 'scatter of the trials'
    ? `The trials scatter most: four times as many would make it about ${rounded(ifHalved)} g/cm³.`
    : `Most is ${source}, which more trials do not make smaller: with half of it the ± would be about ${rounded(ifHalved)} g/cm³.`;

const rounded = (value: number): string => String(globalThis.Number(value.toPrecision(2)));

function Numbers({ result }: { readonly result: Result }) {
  const { n, meanText, spreadText, plusMinus } = result;
  return (
    <dl className="flex flex-wrap gap-x-8 gap-y-2">
      <div>
        <dt className="text-sm text-soft">Trials</dt>
        <dd className="font-mono">{n}</dd>
      </div>
      <Number name="Mean" value={meanText} unit="g/cm³" />
      {spreadText && <Number name="Standard deviation" value={spreadText} unit="g/cm³" />}
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

function Comparison({
  error,
  accepted,
  goodPercent,
}: {
  readonly error: PercentError;
  readonly accepted: { readonly value: string; readonly unit: string; readonly source: string };
  readonly goodPercent: number;
}) {
  const gauge: Gauge = { shows: 'exact', off: error.percent.toNumber(), accepted: goodPercent, unit: '%' };
  return (
    <div className="my-5 max-w-lg">
      <LevelGauge gauge={gauge} />
      <p>
        Percent error <Stated text={error.text} className="font-bold" /> against{' '}
        <Figure text={accepted.value} /> {accepted.unit}, {accepted.source}:{' '}
        {error.word ? `${error.word}.` : 'more than this class calls acceptable; look for the cause.'}{' '}
        <span className="text-soft">
          The gauge {gaugeInWords(gauge) === 'level' ? 'is level' : gaugeInWords(gauge)}.
        </span>
      </p>
    </div>
  );
}
