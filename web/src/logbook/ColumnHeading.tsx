import { unitOf, type Column, type Table } from '@green-beam/core';
import { Symbol } from '../ui/Symbol';

/** Names of rows need room. */
export const trialRem = ({ rows }: Table): number => (rows ? 10 : 6.2);

export const columnRem = (column: Column): number =>
  column.kind === 'given' ? 10 : column.kind !== 'derived' ? 9.2 : column.by === 'student' ? 8.4 : 6.5;

export const widthOf = (table: Table): number =>
  table.columns.reduce((sum, column) => sum + columnRem(column), trialRem(table));

export function ColumnHeading({ column }: { readonly column: Column }) {
  const unit = column.kind === 'clock' ? 'h:min' : unitOf(column);
  return (
    <th scope="col" className="py-2 pr-3 font-bold break-words">
      {column.heading}
      <span className="block font-normal">
        <Symbol text={column.symbol} />
        {unit !== '' && ` in ${unit}`}
        {column.kind === 'measured' && (
          <span className="ml-2 rounded-sm border border-rule bg-white px-1 font-mono text-sm">
            {column.tag}
          </span>
        )}
        {column.kind === 'derived' && column.by === 'student' && (
          <span className="block text-sm text-soft">worked by you</span>
        )}
      </span>
    </th>
  );
}
