import type { BoardAnswer, BoardStudent } from '@green-beam/contract';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { Loading, Page, Trouble } from '../ui/Notice';
import { PageNav } from '../ui/PageNav';
import { boardOf, useBoard } from '../answers/board';
import { useAnswered } from '../answers/useAnswered';
import { Calls, callsOf } from '../calls/Calls';
import { BoardTable } from './BoardTable';
import { DidItHelp } from './DidItHelp';
import { atHandOf } from './useAtHand';
import { useWho } from '../session/who';
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
  const answered = useAnswered([boardOf(classId), callsOf(classId), atHandOf(classId)]);
  if (board.data === undefined || !answered) {
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
              <span className="py-1 text-soft">Other classes</span>
              {others.map(({ id, name }) => (
                <Link key={id} to={`/class/${id}`} className="py-1 underline underline-offset-4">
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
          <BoardTable board={board} students={students} />
        </>
      )}
    </Page>
  );
}
