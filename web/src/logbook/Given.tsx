import { givenIn, type GivenColumn, type GivenValue, type Table } from '@green-beam/core';
import { Figure } from '../ui/Figure';

export const givenText = (given: GivenValue | undefined): string =>
  given ? `${given.value}${given.plusMinus ? ` ± ${given.plusMinus}` : ''}` : '–';

/** What is looked up or supplied, with its source. */
export function Given({
  column,
  table,
  trial,
}: {
  readonly column: GivenColumn;
  readonly table: Table;
  readonly trial: number;
}) {
  const given = givenIn(column, table, trial);
  return (
    <p className="py-1 text-lg" title={given?.source}>
      <Figure text={givenText(given)} />
      <span className="block text-xs text-soft">given</span>
    </p>
  );
}
