import type { Column, Investigation, Table } from './investigation';
import type { Cell } from './table';

/** Whose eyes a page is for: a reader of the logbook by name, or staff, from whom nothing is covered. */
export type Onlooker = { readonly reader: string } | 'staff';

/**
 * What a cell is covered for: the number of a first reader until the second has read the same, and what a partner worked until
 * one has worked it oneself. Null where it is open.
 * @param textOf what stands in another cell of the row.
 */
export function coveredFor(
  onlooker: Onlooker,
  cell: Cell,
  column: Column,
  { columns }: Table,
  { workedApart }: Pick<Investigation, 'workedApart'>,
  textOf: (key: string) => string | undefined,
): string | null {
  if (onlooker === 'staff' || hasWritten(onlooker.reader, cell)) return null;
  const { reader } = cell.current;
  if (column.kind === 'derived' && column.by === 'student')
    return workedApart ? `${reader} has worked it. Work it too: then both are open.` : null;
  const second = columns.find((other) => other.kind === 'measured' && other.secondOf === column.key);
  return second && textOf(second.key) === undefined
    ? `${reader} has read it. It opens when ${second.heading.charAt(0).toLowerCase()}${second.heading.slice(1)} is written.`
    : null;
}

const hasWritten = (reader: string, { current, struck, agreed = [] }: Cell): boolean =>
  [current, ...agreed, ...struck.map(({ entry }) => entry)].some((entry) => entry.reader === reader);
