import { judgeWorked, plain, type WorkedVerdict } from '../answer';
import type { Conventions } from '../conventions';
import type { Quantity } from '../figures';
import { clocksOf } from './clockSlips';
import { formulaMistakes, type Beside } from './formulaMistakes';
import type { DerivedColumn, Table } from './investigation';
import { valuesOf, writtenValue, type Derived, type Trial } from './trials';

/** What stands beside a worked value in its trial, and what it comes to. */
export interface WorkedBeside extends Beside {
  readonly cell: Derived | undefined;
}

/** @param textOf what is written in a column of the trial. */
export const besideOf = (
  table: Table,
  { key: own }: DerivedColumn,
  trial: Trial,
  textOf: (key: string) => string | undefined,
): WorkedBeside => ({
  table,
  cell: trial.derived[own],
  names: valuesOf(trial),
  texts: Object.fromEntries(table.columns.map(({ key }) => [key, textOf(key)])),
});

/**
 * Checks a derived value that a student worked by hand: arithmetic, digits and unit, named by the mistake that leads to it.
 * Null while there is nothing to check it against.
 */
export function checkWorked(
  text: string,
  column: DerivedColumn,
  beside: WorkedBeside,
  conventions: Conventions,
): WorkedVerdict | null {
  const { cell } = beside;
  if (cell?.state !== 'reckoned') return null;
  const judged = (right: Quantity) => {
    const written = plain(writtenValue(right, conventions));
    return judgeWorked(
      {
        value: right.value,
        lastPlace: right.lastPlace,
        text: written,
        unit: column.unit,
        form: 'any',
        mistakes: formulaMistakes(column, right, beside, conventions).filter(
          ({ text: own }) => own !== written,
        ),
      },
      text,
      '',
      conventions,
      true,
    );
  };
  const verdict = judged(cell.value);
  const { lastPlace } = cell.value;
  // A clock shows seconds, but nobody stops it to the second: a tenth of a minute is enough.
  if (verdict.outcome !== 'wrong' || lastPlace === null || lastPlace >= 0 || !clocksOf(column, beside.table))
    return verdict;
  const coarser = judged({ ...cell.value, lastPlace: lastPlace + 1 });
  return coarser.outcome === 'right'
    ? { ...coarser, remarks: [...coarser.remarks, 'The clock shows one more decimal.'] }
    : verdict;
}
