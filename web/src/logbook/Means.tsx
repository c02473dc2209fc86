import { writtenMean, type Table, type Trial } from '@green-beam/core';
import { Figure } from '../ui/Figure';
import type { Book } from './book';

/** The mean of each column over the trials that count, to the place that its values justify. */
export function Means({
  book: { answer, outcome },
  table,
  trials,
}: {
  readonly book: Book;
  readonly table: Table;
  readonly trials: readonly Trial[];
}) {
  const counting = trials.filter(({ standing }) => standing === 'counts').length;
  if (counting < 2) return null;
  return (
    <tfoot>
      <tr className="border-t-2 border-ink">
        <th scope="row" className="py-2 pr-3 text-left font-bold">
          Mean
        </th>
        {table.columns.map((column) => {
          // A student who works a column works its mean too; a time of day has none.
          const own = column.kind !== 'clock' && !(column.kind === 'derived' && column.by === 'student');
          const mean = own ? outcome.means[column.key] : undefined;
          return (
            <td key={column.key} className="py-2 pr-3 text-lg">
              {mean && <Figure text={writtenMean(mean, answer.conventions)} />}
            </td>
          );
        })}
      </tr>
    </tfoot>
  );
}
