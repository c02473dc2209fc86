import {
  columnOf,
  type Column,
  type GivenColumn,
  type GivenValue,
  type Investigation,
  type NamedRow,
  type ResultPlan,
  type Table,
} from './investigation';
import type { Trial } from './trials';

/** How many trials each named row has; all of them where rows have no names. */
export const trialsEach = ({ rows, trials }: Pick<Table, 'rows' | 'trials'>): number =>
  rows && rows.length > 0 ? Math.max(1, Math.floor(trials / rows.length)) : trials;

/**
 * The row that a trial belongs to. Planned ones stand together, row by row; what is measured beyond them goes round by
 * round. Undefined where rows have no names.
 */
export function rowOf({ rows, trials }: Pick<Table, 'rows' | 'trials'>, trial: number): NamedRow | undefined {
  if (!rows || rows.length === 0) return undefined;
  const each = trialsEach({ rows, trials });
  const planned = each * rows.length;
  return trial <= planned ? rows[Math.floor((trial - 1) / each)] : rows[(trial - planned - 1) % rows.length];
}

/** What a trial is called: its number, by which findings speak of it, and the name of its row. */
export function trialName(table: Pick<Table, 'rows' | 'trials'>, trial: number): string {
  const row = rowOf(table, trial);
  return row ? `${trial} ${row.name}` : String(trial);
}

/** What is given in a trial: one value for all rows, or that of its row. */
export function givenIn({ values }: GivenColumn, table: Table, trial: number): GivenValue | undefined {
  if (values.length <= 1) return values[0];
  const row = rowOf(table, trial);
  return row && values[table.rows?.indexOf(row) ?? -1];
}

/** A result to be reckoned, and what it is reckoned from: everything, or some trials of a table. */
export interface PlannedResult {
  readonly plan: ResultPlan;
  readonly investigation: Investigation;
  readonly only: { readonly table: Table; readonly takes: (trial: Trial) => boolean } | null;
}

/** Every result of an investigation; one that is wanted for each row or each word of a table as often as there are such. */
export const plannedResults = (investigation: Investigation): PlannedResult[] =>
  investigation.results.flatMap((plan): PlannedResult[] => {
    const rowed = investigation.tables.find(({ key }) => key === plan.perRow);
    if (rowed?.rows)
      return rowed.rows.map((row) => ({
        plan: { ...ofGroup(plan, row), accepted: acceptedFor(plan, row) },
        investigation: asOneGroup(investigation, rowed, trialsEach(rowed), rowed.rows?.indexOf(row)),
        only: { table: rowed, takes: ({ trial }) => rowOf(rowed, trial) === row },
      }));
    const found = plan.perWord === undefined ? undefined : columnOf(investigation, plan.perWord);
    if (found?.column.kind !== 'choice') return [{ plan, investigation, only: null }];
    const { table, column } = found;
    const each = Math.max(1, Math.floor(table.trials / column.options.length));
    return column.options.map((word) => ({
      plan: ofGroup(plan, { key: word, name: word }),
      investigation: asOneGroup(investigation, table, each),
      only: { table, takes: ({ words }) => words?.[column.key] === word },
    }));
  });

/** What is accepted for a result of a row: the row's own, where that is in the unit of this result and so about it. */
export const acceptedFor = (plan: ResultPlan, row: NamedRow | null | undefined): ResultPlan['accepted'] =>
  row?.accepted?.unit === plan.unit ? row.accepted : plan.accepted;

/** A result as it is of one group: by a key and a name of its own. */
const ofGroup = (
  plan: ResultPlan,
  { key, name }: { readonly key: string; readonly name: string },
): ResultPlan => ({
  ...plan,
  key: `${plan.key}.${key}`,
  name: `${plan.name}: ${name}`,
  ...(plan.quantity === undefined ? {} : { quantity: `${plan.quantity}.${key}` }),
});

/** An investigation as one group sees it: a table of its own trials, all of them repetitions. @param row which row it is, of rows with names. */
function asOneGroup(investigation: Investigation, table: Table, trials: number, row?: number): Investigation {
  const columns = table.columns.map((column): Column =>
    row !== undefined && column.kind === 'given' && column.values.length > 1
      ? { ...column, values: column.values.slice(row, row + 1) }
      : column,
  );
  const own: Table = { ...table, rows: undefined, trials, columns };
  return { ...investigation, tables: investigation.tables.map((other) => (other === table ? own : other)) };
}
