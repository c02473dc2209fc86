import { seeded, type Conventions, type Investigation } from '../src';
import { columnRule } from '../src/record/columnRule';
import { OutcomeEvaluator, type Outcome } from '../src/record/outcome';
import { tableOf, type Cell, type Entry } from '../src/record/table';
import { classroom, observe } from '../src/world';
import { readyMadeCases } from './benches';
import { entry } from './entry';

/** A logbook as a careful student fills it in a classroom world: everything read to its step, everything worked that is set. */
export function carefulLogbook(
  what: Investigation,
  conventions: Conventions,
  seed: number,
): { readonly cells: ReadonlyMap<string, Cell>; readonly outcome: Outcome } {
  const rows: Record<string, readonly number[]> = {};
  for (const of of readyMadeCases)
    if (of.investigation === what)
      Object.assign(rows, observe(of, classroom, of.classroomScatter, seeded(seed)));
  const read = what.tables.flatMap(({ columns }) =>
    columns.flatMap((column): Entry[] => {
      const values = rows[column.key] ?? [];
      if (column.kind === 'derived' || column.kind === 'given') return [];
      const written = (value: number): string => {
        if (column.kind === 'measured')
          return value.toFixed(columnRule(column, what, conventions).step.decimals);
        return column.kind === 'clock' ? `14:${String(Math.round(value)).padStart(2, '0')}` : String(value);
      };
      const tag = column.kind === 'measured' ? column.tag : '';
      return values.map((value, row) => entry(row + 1, column.key, written(value), { tag }));
    }),
  );
  // What a student works rests on what was worked before it.
  const worked = what.tables.flatMap(({ key, columns }) =>
    columns.flatMap((column): Entry[] => {
      if (column.kind !== 'derived' || column.by !== 'student') return [];
      const { trials } = new OutcomeEvaluator(what, conventions).outcomeOf(tableOf(read));
      return (trials[key] ?? []).flatMap(({ trial, derived }) => {
        const cell = derived[column.key];
        return cell?.state === 'reckoned' ? [entry(trial, column.key, cell.text)] : [];
      });
    }),
  );
  const cells = tableOf([...read, ...worked]);
  return { cells, outcome: new OutcomeEvaluator(what, conventions).outcomeOf(cells) };
}
