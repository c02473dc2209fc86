import { rowsCsv } from '../spreadsheet';
import { mostMarks, type BookState } from './criteria';

interface MarksTable {
  readonly tasks: readonly { readonly id: string; readonly title: string }[];
  /** What was set besides. */
  readonly work: readonly { readonly id: string; readonly title: string; readonly counts: number }[];
  readonly students: readonly {
    readonly name: string;
    readonly bench: string | null;
    readonly cells: readonly {
      readonly task: string;
      readonly state: BookState;
      readonly mark: number | null;
    }[];
    readonly work: readonly { readonly task: string; readonly state: string }[];
  }[];
}

/**
 * A book of marks for a spreadsheet: two columns an investigation, the mark and how it stands (of several logbooks
 * the newest); one for what was set besides: what it counts once it is done, else its state.
 */
export const marksCsv = ({ tasks, work, students }: MarksTable): string =>
  rowsCsv([
    [
      'Student',
      'Bench',
      ...tasks.flatMap(({ title }) => [`${title}, of ${mostMarks}`, `${title}, state`]),
      ...work.map(({ title, counts }) => `${title}, of ${counts}`),
    ],
    ...students.map(({ name, bench, cells, work: own }) => [
      name,
      bench ?? '',
      ...tasks.flatMap(({ id }) => {
        const own = cells.filter(({ task }) => task === id).at(-1);
        return [own?.mark?.toString() ?? '', own?.state ?? 'not begun'];
      }),
      ...work.map(({ id, counts }) => {
        const state = own.find(({ task }) => task === id)?.state;
        return state === undefined ? '' : state === 'done' && counts > 0 ? String(counts) : state;
      }),
    ]),
  ]);
