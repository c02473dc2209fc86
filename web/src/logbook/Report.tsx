import {
  claimIn,
  type AskedQuestion,
  correctionWords,
  earlierModel,
  modelVersion,
  questionAbout,
  weakLine,
  instrumentOf,
  leanOf,
  likelyCauses,
  modelOf,
  resultWorking,
  type Result,
} from '@green-beam/core';
import { Budget } from '@green-beam/drawing';
import { Suspense, type ReactNode } from 'react';
import { Button } from '../ui/Button';
import { Stated } from '../ui/Figure';
import { Symbol } from '../ui/Symbol';
import { useOpenBook, type Book } from './book';
import { said } from './said';
import { ReportReadings } from './ReportReadings';
import { ResultPlot } from './ResultPlot';
import { useFindings } from './SecondLook';
import { WorkingSteps } from './Working';

/** The whole investigation as a page that can be printed: nothing struck is left out. */
export function Report() {
  const book = useOpenBook();
  const { investigation, conventions } = book.answer;
  const findings = useFindings(book);
  const causes = likelyCauses(
    investigation.causes,
    new Set(findings?.map(({ code }) => code)),
    leanOf(book.outcome, book.answer.conventions),
  );
  return (
    <article className="report max-w-[52rem]">
      <p className="no-print mb-4">
        <Button onClick={() => print()}>Print, or save as PDF</Button>
      </p>
      <p className="mb-4 text-soft">
        Conventions: {conventions.preset}, version {conventions.version}. Every ± by version{' '}
        {modelVersion.version} of the reckoning: {modelVersion.says}.{' '}
        {earlierModel(
          [...book.table.values()].flatMap(({ current, struck }) => [
            current,
            ...struck.map(({ entry }) => entry),
          ]),
        )}
      </p>
      <Part title="Aim">
        <p>{investigation.aim}</p>
      </Part>
      <Part title="Kit">
        <ul className="ml-5 list-disc">
          {investigation.kit.map(({ tag, kind, model, tolerance, correction }) => {
            const make = modelOf(instrumentOf(kind), model);
            return (
              <li key={tag}>
                <span className="font-mono">{tag}</span> {make.name}: divisions of {make.division} {make.unit}
                , ±{Number(tolerance) > 0 ? tolerance : make.tolerance} {make.unit}
                {correction &&
                  `; corrected: ${correctionWords(correction, make.unit)}, ±${correction.plusMinus} ${make.unit}`}
              </li>
            );
          })}
        </ul>
      </Part>
      <Part title="Method, cautions and precautions">
        <ol className="ml-5 list-decimal">
          {investigation.steps.map(({ text, precaution, caution }) => (
            <li key={text}>
              {text}
              {precaution && <span className="block text-sm">For the number: {precaution}</span>}
              {caution && (
                <span className="block text-sm">
                  <strong>Caution.</strong> {caution}
                </span>
              )}
            </li>
          ))}
        </ol>
        {investigation.route && (
          <p className="mt-2">
            <strong>Why this route.</strong> {investigation.route}
          </p>
        )}
      </Part>
      <Predictions book={book} />
      <Part title="Readings">
        {investigation.tables.map((table) => (
          <ReportReadings key={table.key} book={book} table={table} />
        ))}
      </Part>
      {book.outcome.results.map((state) =>
        state.state === 'reckoned' ? (
          <ResultPart key={state.plan.key} book={book} result={state.result} />
        ) : (
          <Part key={state.plan.key} title={state.plan.name}>
            <p>{state.why}</p>
          </Part>
        ),
      )}
      {findings !== null && (
        <Part title="Second look">
          {findings.length === 0 ? (
            <p>Nothing was found.</p>
          ) : (
            <ul className="ml-5 list-disc">
              {findings.map(({ code, sentence, place }) => (
                <li key={`${code}${place.trial}${place.column}`}>
                  {typeof place.trial === 'number' && `Trial ${place.trial}: `}
                  {sentence}
                </li>
              ))}
            </ul>
          )}
        </Part>
      )}
      {causes.length > 0 && (
        <Part title="Causes of error">
          <ul className="ml-5 list-disc">
            {causes.map(({ cause, why }) => (
              <li key={cause.code}>
                {cause.cause}: {cause.effect}. {cause.test} {why && <em>{why}</em>}
              </li>
            ))}
          </ul>
        </Part>
      )}
      <Part title="Questions and answers">
        <dl>
          {investigation.questions.map(({ key, text, compares }) => (
            <div key={key} className="mb-2 break-inside-avoid">
              <dt>{text}</dt>
              <dd className="border-l-4 border-rule pl-3">
                {(compares ? claimed(book, compares) : said(book.table, { kind: 'answer', question: key })) ||
                  '–'}
              </dd>
            </div>
          ))}
        </dl>
      </Part>
    </article>
  );
}

/** A claim as the report has it: of what, and how its writer knows. */
function claimed(
  { table, answer: { investigation } }: Book,
  { of, question }: NonNullable<AskedQuestion['compares']>,
): string {
  const claim = claimIn(table, of, question);
  if (!claim) return '';
  const name = investigation.tables
    .flatMap(({ rows = [] }) => rows)
    .find(({ key }) => key === claim.of)?.name;
  return `${claim.of === null ? 'It cannot be told' : (name ?? claim.of)}. ${claim.reason}`;
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section aria-label={title} className="mb-6">
      <h2 className="mb-2 border-b border-ink">{title}</h2>
      {children}
    </section>
  );
}

function Predictions({ book }: { readonly book: Book }) {
  const { predictions } = book.answer.investigation;
  if (predictions.length === 0) return null;
  return (
    <Part title="Predicted beforehand">
      <ul className="ml-5 list-disc">
        {predictions.map(({ key, text, unit, result }) => {
          const now = book.outcome.results.find(({ plan }) => plan.key === result);
          return (
            <li key={key}>
              {text}{' '}
              <strong>{said(book.table, { kind: 'prediction', question: key }) || 'not predicted'}</strong>{' '}
              {unit}
              {now?.state === 'reckoned' && (
                <>
                  ; found: <Stated text={now.result.text} />
                </>
              )}
            </li>
          );
        })}
      </ul>
    </Part>
  );
}

function ResultPart({ book, result }: { readonly book: Book; readonly result: Result }) {
  const { plan, budget, percentError } = result;
  return (
    <Part title={plan.name}>
      <p className="my-2 text-2xl">
        <Symbol text={plan.symbol} /> = <Stated text={result.text} />
      </p>
      {[questionAbout(result), weakLine(result)].map((doubt) => doubt && <p key={doubt}>{doubt}</p>)}
      {percentError && plan.accepted && (
        <p>
          Percent error {percentError.text} against {plan.accepted.value} {plan.accepted.unit},{' '}
          {plan.accepted.source}
          {percentError.word && `: ${percentError.word}`}.
        </p>
      )}
      <div className="my-3 max-w-xl break-inside-avoid">
        <ResultPlot book={book} result={result} />
      </div>
      {budget.length > 0 && (
        <div className="my-3 max-w-xl break-inside-avoid">
          <h3 className="font-bold">Where the ± comes from</h3>
          <Budget budget={budget} />
        </div>
      )}
      <Suspense fallback={<p>Setting the formulas …</p>}>
        <WorkingSteps steps={() => resultWorking(result, book.answer.conventions)} />
      </Suspense>
    </Part>
  );
}
