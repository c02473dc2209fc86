import { columnOf, type Investigation } from './investigation';
import { tableOf, type Cell, type Entry } from './table';

/** What the teacher measured for every logbook, as entries that nobody wrote in it. */
export const suppliedEntries = ({ tables }: Investigation): Entry[] =>
  tables.flatMap(({ columns, supplied = [] }) =>
    supplied.flatMap(({ reader, on, cells }, at) =>
      columns.flatMap((column): Entry[] => {
        const text = cells[column.key];
        return text === undefined
          ? []
          : [
              {
                kind: 'reading',
                id: `supplied/${at + 1}/${column.key}`,
                trial: at + 1,
                column: column.key,
                text,
                tag: column.kind === 'measured' ? column.tag : '',
                reader,
                origin: 'teacher',
                writtenAt: `${on}T12:00:00Z`,
                replaces: null,
                reason: null,
              },
            ];
      }),
    ),
  );

/** What stands in a logbook: what was supplied with its investigation, and what was written. */
export const cellsIn = (investigation: Investigation, entries: readonly Entry[]): ReadonlyMap<string, Cell> =>
  tableOf([...suppliedEntries(investigation), ...entries]);

/** Whether a cell was measured by the teacher: nobody writes there. */
export function isSuppliedCell(investigation: Investigation, trial: number, column: string): boolean {
  const found = columnOf(investigation, column);
  return found?.table.supplied?.[trial - 1]?.cells[column] !== undefined;
}
