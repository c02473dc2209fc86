import type { Column, Table } from './investigation';

/** Whether the values of a column differ because they were meant to: then their spread is no error. It is not inherited. */
export const variesByPlan = (column: Column): boolean =>
  (column.kind === 'measured' || column.kind === 'count') && column.differs === true;

/** Whether some column of a table differs by plan. */
export const planned = ({ columns }: Table): boolean => columns.some(variesByPlan);
