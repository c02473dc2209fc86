import {
  columnOf,
  halfWidthOf,
  unitOf,
  xWhere,
  yAt,
  type Column,
  type MeanResult,
  type Result,
} from '@green-beam/core';
import { LinePlot, TrialDots } from '@green-beam/drawing';
import type { Book } from './book';
import { SavedPlot } from '../ui/SavedPlot';

/** The plot that belongs to a result: its trials as dots, or its points with their line. */
export function ResultPlot({ book, result }: { readonly book: Book; readonly result: Result }) {
  if (result.kind === 'value') return null;
  if (result.kind === 'line') {
    const { plan, line, points } = result;
    const [x, y] = [plan.x, plan.y].map((key) => columnOf(book.answer.investigation, key)?.column);
    if (!x || !y) return null;
    const { investigation, conventions } = book.answer;
    const half = (column: Column) => halfWidthOf(column, investigation, conventions);
    const at = Number(plan.at ?? 0);
    const asked =
      plan.gives === 'slope'
        ? null
        : plan.gives === 'x'
          ? { ...xWhere(line, at), along: 'x' as const }
          : { ...yAt(line, at), along: 'y' as const };
    return (
      <SavedPlot name={plan.name}>
        <LinePlot
          points={points.map((point) => ({
            trial: point.trial,
            x: point.x.toNumber(),
            y: point.y.toNumber(),
          }))}
          line={line}
          xWords={words(x)}
          yWords={words(y)}
          throughOrigin={plan.throughOrigin}
          each={{ x: half(x), y: half(y) }}
          asked={
            asked && {
              along: asked.along,
              // With the instruments' part, where the result is in the unit of that axis.
              sd:
                result.uncertainty !== null && unitOf(asked.along === 'x' ? x : y) === plan.unit
                  ? result.uncertainty
                  : asked.sd,
              x: asked.along === 'x' ? asked.value : at,
              y: asked.along === 'x' ? at : asked.value,
            }
          }
        />
      </SavedPlot>
    );
  }
  const { plan, summary } = result;
  const excluded = leftOut(book, result);
  return (
    <SavedPlot name={plan.name}>
      <TrialDots
        values={[
          ...result.values.map(({ trial, value }) => ({
            trial,
            value: value.value.toNumber(),
            counts: true,
          })),
          ...excluded,
        ]}
        mean={summary.mean.toNumber()}
        spread={summary.standardDeviation?.toNumber() ?? null}
        each={result.uncertainty === null ? null : result.typeB}
        accepted={plan.accepted ? Number(plan.accepted.value) : null}
        words={`${lower(plan.name)} in ${plan.unit}`}
      />
    </SavedPlot>
  );
}

/** Excluded trials stay visible. */
function leftOut(book: Book, { plan }: MeanResult) {
  const found = columnOf(book.answer.investigation, plan.column);
  const trials = found ? (book.outcome.trials[found.table.key] ?? []) : [];
  return trials.flatMap(({ trial, standing, derived }) => {
    const cell = derived[plan.column];
    return standing === 'excluded' &&
      cell?.state === 'reckoned' &&
      found &&
      unitOf(found.column) === plan.unit
      ? [{ trial, value: cell.value.value.toNumber(), counts: false }]
      : [];
  });
}

const words = (column: Column): string =>
  column.kind === 'clock'
    ? 'minutes since the first reading'
    : unitOf(column) === ''
      ? column.heading.toLowerCase()
      : `${column.heading.toLowerCase()} in ${unitOf(column)}`;

const lower = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);
