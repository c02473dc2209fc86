import type { BoardAnswer, BoardStudent } from '@green-beam/contract';
import { ReadersMark } from '@green-beam/drawing';
import { StudentRow } from './StudentRow';
import { useAtHand } from './useAtHand';

/** What a reader's mark says. */
const Legend = () => (
  <p className="mb-2 flex flex-wrap items-center gap-x-5 gap-y-1 text-sm text-soft">
    <span className="flex items-center gap-2">
      <span aria-hidden="true">
        <ReadersMark mark={{ bias: 0.8, spread: 0.4, n: 20 }} />
      </span>
      reads high: right of the green line; as wide as the readings scatter
    </span>
    <span className="flex items-center gap-2">
      <span aria-hidden="true">
        <ReadersMark mark={{ bias: -1.5, spread: 1, n: 20 }} shaky />
      </span>
      shaky
    </span>
  </p>
);

const columnsShown = 4;

/** Students with their marks, their last reading and their logbooks. */
export function BoardTable({
  board,
  students,
}: {
  readonly board: BoardAnswer;
  readonly students: readonly BoardStudent[];
}) {
  const atHand = useAtHand(board.class.id);
  // A column for each of the instruments that were read most.
  const tries = (kind: string) =>
    board.students.reduce(
      (sum, { marks }) => sum + (marks.find((mark) => mark.kind === kind)?.skill.tries ?? 0),
      0,
    );
  const read = board.instruments
    .filter(({ kind }) => tries(kind) > 0)
    .sort((a, b) => tries(b.kind) - tries(a.kind))
    .slice(0, columnsShown);
  return (
    <>
      <Legend />
      <div className="overflow-x-auto">
        <table className="w-full border-collapse">
          <caption className="sr-only">Students of {board.class.name}</caption>
          <thead>
            <tr className="border-b-2 border-ink text-left align-bottom">
              <th scope="col" className="py-2 pr-4">
                Student
              </th>
              {read.map(({ kind, name }) => (
                <th key={kind} scope="col" className="py-2 pr-4 first-letter:uppercase">
                  {name}
                </th>
              ))}
              <th scope="col" className="py-2 pr-4">
                Now, and last reading
              </th>
              <th scope="col" className="py-2">
                Logbook
              </th>
            </tr>
          </thead>
          <tbody>
            {students.map((student) => (
              <StudentRow
                key={student.id}
                student={student}
                atHand={atHand.get(student.id)}
                kinds={read.map(({ kind }) => kind)}
              />
            ))}
            {students.length === 0 && (
              <tr>
                <td colSpan={3 + read.length} className="py-4 text-soft">
                  Nobody matches. Clear the field to see everyone.
                </td>
              </tr>
            )}
          </tbody>
        </table>
      </div>
    </>
  );
}
