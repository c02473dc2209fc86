import { Decimal, writeAtPlace } from '../figures';
import { variesByPlan } from './byPlan';
import { writtenFoot } from './doubts';
import { isWords, unitOf, type Column, type FootKind, type Table } from './investigation';
import { Unfinished, type ModelInputs } from './modelInputs';
import type { Outcome } from './outcome';
import { meanResult } from './plans/mean';
import type { MeanResult } from './result';

/** What each line under a table is called. */
export const footNames: Readonly<Record<FootKind, string>> = {
  n: 'How many',
  mean: 'Mean',
  s: 'Standard deviation',
  's of the mean': 'Standard deviation of the mean',
  'mean deviation': 'Mean absolute deviation',
  range: 'Range',
  instruments: 'Instruments’ part',
  'plus minus': 'Mean with its ±',
};

/** Where a table stands that is summed up. */
export type FootLook = Pick<ModelInputs, 'investigation' | 'conventions'> & { readonly outcome: Outcome };

/** The lines under a table; none where rows have names, which are of different things. */
export const footOf = ({ foot, rows }: Table): readonly FootKind[] =>
  rows && rows.length > 0 ? [] : (foot ?? ['mean']);

/**
 * What stands under a column, in its unit; empty for a time of day, for words, for what differs by plan, and for what a student has yet
 * to work in some trial.
 */
export function footText(kind: FootKind, column: Column, table: Table, look: FootLook): string {
  if (column.kind === 'clock' || isWords(column) || variesByPlan(column, table)) return '';
  if (kind === 'mean') return writtenFoot(column, look.outcome, look.conventions);
  const counting = (look.outcome.trials[table.key] ?? []).filter(({ standing }) => standing === 'counts');
  if (
    kind !== 'n' &&
    column.kind === 'derived' &&
    column.by === 'student' &&
    counting.some(({ complete }) => !complete)
  )
    return '';
  const result = overColumn(column, look);
  return result ? texts[kind](result) : '';
}

const texts: Readonly<Record<Exclude<FootKind, 'mean'>, (result: MeanResult) => string>> = {
  n: ({ n }) => String(n),
  s: ({ summary }) => twoFigures(summary.standardDeviation),
  's of the mean': ({ summary }) => twoFigures(summary.sdOfMean),
  'mean deviation': ({ summary, n }) => (n < 2 ? '' : twoFigures(summary.meanAbsoluteDeviation)),
  range: ({ summary, value }) => asFine(summary.halfRange.times(2), value.lastPlace ?? 0),
  instruments: ({ typeB }) => twoFigures(new Decimal(typeB)),
  'plus minus': ({ plusMinus }) => (plusMinus ? `${plusMinus.value} ± ${plusMinus.uncertainty}` : ''),
};

/** The mean of a column as a result; null while there is none. */
function overColumn(column: Column, { investigation, conventions, outcome }: FootLook): MeanResult | null {
  const { key, heading: name, symbol } = column;
  try {
    return meanResult(
      { kind: 'mean', key, name, symbol, unit: unitOf(column), column: key, accepted: null },
      { investigation, conventions, trials: outcome.trials, means: outcome.means },
    );
  } catch (error) {
    if (error instanceof Unfinished) return null;
    throw error;
  }
}

/** A difference to the place of what was read; one that is smaller than that, to two figures. */
const asFine = (difference: Decimal, place: number): string =>
  difference.isZero() || difference.e >= place ? writeAtPlace(difference, place) : twoFigures(difference);

/** A spread to two figures; one of nothing is 0. */
const twoFigures = (spread: Decimal | null): string =>
  spread === null ? '' : spread.isZero() ? '0' : writeAtPlace(spread, spread.e - 1);
