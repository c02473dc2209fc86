import { rowsCsv } from '../spreadsheet';
import { mostMarks, type BookState } from './criteria';

interface MarksTable {
  readonly tasks: readonly { readonly id: string; readonly title: string }[];
  readonly students: readonly {
    readonly name: string;
    readonly bench: string | null;
    readonly cells: readonly {
      readonly task: string;
      readonly state: BookState;
      readonly mark: number | null;
    }[];
  }[];
}

/** A book of marks for a spreadsheet: two columns an investigation, the mark and how it stands; of several logbooks the newest. */
export const marksCsv = ({ tasks, students }: MarksTable): string =>
  rowsCsv([
    ['Student', 'Bench', ...tasks.flatMap(({ title }) => [`${title}, of ${mostMarks}`, `${title}, state`])],
    ...students.map(({ name, bench, cells }) => [
      name,
      bench ?? '',
      ...tasks.flatMap(({ id }) => {
        const own = cells.filter(({ task }) => task === id).at(-1);
        return [own?.mark?.toString() ?? '', own?.state ?? 'not begun'];
      }),
    ]),
  ]);
