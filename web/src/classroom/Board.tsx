import type { BoardAnswer, BoardStudent } from '@green-beam/contract';
import { ReadersMark } from '@green-beam/drawing';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { Loading, Page, Trouble } from '../ui/Notice';
import { PageNav } from '../ui/PageNav';
import { useBoard } from '../answers/board';
import { Calls } from '../calls/Calls';
import { DidItHelp } from './DidItHelp';
import { useWho } from '../session/who';
import { StudentRow } from './StudentRow';
import { WorthFiveMinutes } from './WorthFiveMinutes';

const orders = {
  name: { words: 'by name', compare: (a: BoardStudent, b: BoardStudent) => a.name.localeCompare(b.name) },
  bench: {
    words: 'by bench',
    compare: (a: BoardStudent, b: BoardStudent) =>
      (a.group ?? '').localeCompare(b.group ?? '', undefined, { numeric: true }) ||
      a.name.localeCompare(b.name),
  },
  stuck: {
    words: 'who is stuck first',
    compare: (a: BoardStudent, b: BoardStudent) =>
      wrongLately(b) - wrongLately(a) || a.name.localeCompare(b.name),
  },
  recent: {
    words: 'newest reading first',
    compare: (a: BoardStudent, b: BoardStudent) =>
      (b.latest[0]?.at ?? '').localeCompare(a.latest[0]?.at ?? ''),
  },
} as const;

const wrongLately = ({ latest }: BoardStudent): number => latest.filter(({ right }) => !right).length;

/** The class at a glance, updating by itself: what each student read last, their marks, and their logbook. */
export function Board() {
  const { classId = '' } = useParams();
  const board = useBoard(classId);
  if (board.data === undefined) {
    return board.isError ? (
      <Trouble error={board.error} again={() => void board.refetch()} />
    ) : (
      <Loading what="the class" />
    );
  }
  return <OpenBoard board={board.data} />;
}

const pages = [
  { to: '.', name: 'The class' },
  { to: 'question', name: 'Show a setting' },
  { to: 'tasks', name: 'Set work' },
  { to: 'investigations', name: 'Investigations' },
  { to: 'compare', name: 'Compare' },
  { to: 'marks', name: 'Marks' },
  { to: 'benches', name: 'Benches' },
  { to: 'roster', name: 'Roster and slips' },
  { to: 'rules', name: 'House rules' },
  { to: 'staff', name: 'Staff and keeping' },
] as const;

function OpenBoard({ board }: { readonly board: BoardAnswer }) {
  const [filter, setFilter] = useState('');
  const [order, setOrder] = useState<keyof typeof orders>('name');
  const others = useWho().classes.filter(({ id, putAway }) => !putAway && id !== board.class.id);
  const wanted = filter.trim().toLowerCase();
  const students = board.students
    .filter(({ name, group }) => `${name} ${group ?? ''}`.toLowerCase().includes(wanted))
    .sort(orders[order].compare);
  return (
    <Page
      title={`${board.class.name}, today`}
      aside={`${board.atWorkToday} of ${board.students.length} at work · readings today: ${board.readingsToday} · class code ${board.class.code}`}
    >
      {board.students.length === 0 ? (
        <p>
          Nobody is in this class yet.{' '}
          <Link to="roster" className="text-beam underline">
            Add your students
          </Link>{' '}
          and hand out their slips. Before they begin, look at the{' '}
          <Link to="rules" className="text-beam underline">
            house rules
          </Link>
          .
        </p>
      ) : (
        <>
          {others.length > 0 && (
            <p className="no-print -mt-3 mb-3 flex flex-wrap gap-x-4 text-sm">
              <span className="text-soft">Other classes</span>
              {others.map(({ id, name }) => (
                <Link key={id} to={`/class/${id}`} className="underline underline-offset-4">
                  {name}
                </Link>
              ))}
            </p>
          )}
          <PageNav label="Pages of the class" pages={pages} />
          <Calls classId={board.class.id} />
          {board.worthFiveMinutes && (
            <WorthFiveMinutes
              classId={board.class.id}
              topic={board.worthFiveMinutes}
              instruments={board.instruments}
            />
          )}
          <DidItHelp helped={board.helped} instruments={board.instruments} />
          <div className="mb-3 flex flex-wrap items-center gap-4">
            <label className="flex items-center gap-2">
              Find
              <input
                value={filter}
                onChange={(event) => setFilter(event.target.value)}
                className="w-44 rounded-sm border border-edge bg-white px-2 py-1.5"
              />
            </label>
            <label className="flex items-center gap-2">
              Order
              <select
                value={order}
                onChange={(event) => setOrder(event.target.value as keyof typeof orders)}
                className="rounded-sm border border-edge bg-white px-2 py-1.5"
              >
                {Object.entries(orders).map(([key, { words }]) => (
                  <option key={key} value={key}>
                    {words}
                  </option>
                ))}
              </select>
            </label>
          </div>
          <Legend />
          <Table board={board} students={students} />
        </>
      )}
    </Page>
  );
}

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

function Table({
  board,
  students,
}: {
  readonly board: BoardAnswer;
  readonly students: readonly BoardStudent[];
}) {
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
              Last reading
            </th>
            <th scope="col" className="py-2">
              Logbook
            </th>
          </tr>
        </thead>
        <tbody>
          {students.map((student) => (
            <StudentRow key={student.id} student={student} kinds={read.map(({ kind }) => kind)} />
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
  );
}
