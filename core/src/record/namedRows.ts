import type {
  Column,
  GivenColumn,
  GivenValue,
  Investigation,
  NamedRow,
  ResultPlan,
  Table,
} from './investigation';

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

/** A result to be reckoned, and what it is reckoned from: everything, or the trials of one named row. */
export interface PlannedResult {
  readonly plan: ResultPlan;
  readonly investigation: Investigation;
  readonly only: { readonly table: Table; readonly row: NamedRow } | null;
}

/** Every result of an investigation, one that is wanted for each row of a table as often as there are rows. */
export const plannedResults = (investigation: Investigation): PlannedResult[] =>
  investigation.results.flatMap((plan): PlannedResult[] => {
    const table = investigation.tables.find(({ key }) => key === plan.perRow);
    if (!table?.rows) return [{ plan, investigation, only: null }];
    return table.rows.map((row) => ({
      plan: {
        ...plan,
        key: `${plan.key}.${row.key}`,
        name: `${plan.name}: ${row.name}`,
        accepted: row.accepted ?? plan.accepted,
        ...(plan.quantity === undefined ? {} : { quantity: `${plan.quantity}.${row.key}` }),
      },
      investigation: asOneRow(investigation, table, row),
      only: { table, row },
    }));
  });

/** An investigation as one row sees it: a table of its own trials, all of them repetitions. */
function asOneRow(investigation: Investigation, table: Table, row: NamedRow): Investigation {
  const at = table.rows?.indexOf(row) ?? 0;
  const columns = table.columns.map((column): Column =>
    column.kind === 'given' && column.values.length > 1
      ? { ...column, values: column.values.slice(at, at + 1) }
      : column,
  );
  const own: Table = { ...table, rows: undefined, trials: trialsEach(table), columns };
  return { ...investigation, tables: investigation.tables.map((other) => (other === table ? own : other)) };
}
