import type { Investigation } from '@green-beam/core';

/** What stands above a column, or what a result is called. */
export const headingOf = ({ tables, results }: Investigation, column: string): string =>
  tables.flatMap((table) => table.columns).find(({ key }) => key === column)?.heading ??
  results.find(({ key }) => key === column)?.name ??
  column;

/** A place of a logbook in words, as remarks and findings name it. */
export const placeInWords = (investigation: Investigation, trial: unknown, column: string): string =>
  `${typeof trial === 'number' ? `Trial ${trial}, ` : ''}${headingOf(investigation, column)}`;
