import { judgeWorked, plain, type WorkedVerdict } from '../answer';
import type { Conventions } from '../conventions';
import { formulaMistakes, type Beside } from './formulaMistakes';
import type { DerivedColumn, Table } from './investigation';
import { valuesOf, type Derived, type Trial } from './trials';

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
  const { value, lastPlace } = cell.value;
  return judgeWorked(
    {
      value,
      lastPlace,
      text: plain(cell.text),
      unit: column.unit,
      form: 'any',
      mistakes: formulaMistakes(column, cell.value, beside, conventions).filter(
        (mistake) => mistake.text !== plain(cell.text),
      ),
    },
    text,
    '',
    conventions,
    true,
  );
}
