import type { Conventions } from '../conventions';
import type { Investigation, MeasuredColumn } from './investigation';
import type { Outcome } from './outcome';
import type { Finding } from './secondLook';
import type { Cell } from './table';

/** A logbook as a second look has it. */
export interface LogbookLook {
  readonly investigation: Investigation;
  readonly cells: ReadonlyMap<string, Cell>;
  readonly outcome: Outcome;
  readonly conventions: Conventions;
}

export type Found = Finding & { readonly table: string };

/** A rule that needs more than one table’s texts: tags, times, results. */
export interface LogbookRule {
  readonly code: string;
  find(look: LogbookLook): readonly Found[];
}

/** Looks at each column that is read, over the trials that count. */
export const eachMeasured = (
  { investigation, outcome }: LogbookLook,
  find: (column: MeasuredColumn, table: string, trials: readonly number[]) => readonly Found[],
): Found[] =>
  investigation.tables.flatMap(({ key, columns }) =>
    columns.flatMap((column) =>
      column.kind === 'measured'
        ? find(
            column,
            key,
            (outcome.trials[key] ?? [])
              .filter(({ standing }) => standing === 'counts')
              .map(({ trial }) => trial),
          )
        : [],
    ),
  );
