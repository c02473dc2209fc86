import type { Column, Table } from './investigation';

/**
 * Whether the values of a column differ because they were meant to: then their spread is no error. It is not inherited.
 * What is read in rows with names is of different things.
 */
export const variesByPlan = (column: Column, { rows }: Pick<Table, 'rows'>): boolean =>
  column.kind === 'given' ||
  ((column.kind === 'measured' || column.kind === 'count') &&
    (column.differs === true || (rows?.length ?? 0) > 1));

/** Whether some column of a table differs by plan. */
export const planned = (table: Table): boolean =>
  table.columns.some((column) => column.kind !== 'given' && variesByPlan(column, table));
