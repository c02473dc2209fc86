import type { MarkCell, MarksAnswer, WorkCell } from '@green-beam/contract';
import { marksCsv, mostMarks } from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { marksOf } from '../answers/marks';
import { Button } from '../ui/Button';
import { dayAndTime } from '../ui/clock';
import { download, fileName } from '../ui/download';
import { ChoiceField } from '../ui/fields';
import { Loading, Page, Trouble } from '../ui/Notice';

type Student = MarksAnswer['students'][number];

const orders = {
  'by name': (a: Student, b: Student) => a.name.localeCompare(b.name),
  'by bench': (a: Student, b: Student) =>
    (a.bench ?? '~').localeCompare(b.bench ?? '~', 'en', { numeric: true }) || a.name.localeCompare(b.name),
  'from the least marks': (a: Student, b: Student) => total(a) - total(b) || a.name.localeCompare(b.name),
} as const;
type Order = keyof typeof orders;

const total = ({ cells }: Student): number => cells.reduce((sum, { mark }) => sum + (mark ?? 0), 0);

/** Students and investigations with what became of each; what waits for review above it. */
export function BookOfMarks() {
  const { classId = '' } = useParams();
  const marks = useQuery(marksOf(classId));
  const [order, setOrder] = useState<Order>('by name');
  const [only, setOnly] = useState('');
  if (marks.data === undefined)
    return marks.isError ? (
      <Trouble error={marks.error} again={() => void marks.refetch()} />
    ) : (
      <Loading what="the marks" />
    );
  const { class: own, tasks, work, students } = marks.data;
  const shownTasks = tasks.filter(({ id }) => only === '' || id === only);
  const shownWork = only === '' ? work : [];
  const shown = [...students].sort(orders[order]);
  return (
    <Page title={`${own.name}, marks`} aside={`of ${mostMarks} for each investigation`}>
      <p className="mb-5">
        <Link to={`/class/${classId}`} className="underline underline-offset-4">
          Back to the class
        </Link>
      </p>
      <Waiting students={students} tasks={tasks} />
      <div className="mb-3 flex flex-wrap items-end gap-4">
        <ChoiceField
          label="In order"
          value={order}
          choices={Object.keys(orders).map((key) => [key, key] as const)}
          onChange={(key) => setOrder(key as Order)}
          className="w-52"
        />
        <ChoiceField
          label="Investigations"
          value={only}
          choices={[['', 'all'] as const, ...tasks.map(({ id, title }) => [id, title] as const)]}
          onChange={setOnly}
          className="w-72 max-w-full"
        />
        <Button
          onClick={() =>
            download(
              `${fileName(own.name)} marks.csv`,
              'text/csv',
              marksCsv({ tasks: shownTasks, work: shownWork, students: shown }),
            )
          }
        >
          Save as CSV
        </Button>
      </div>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Marks">
        <table className="w-full">
          <thead>
            <tr className="border-b-2 border-ink text-left align-bottom">
              <th scope="col" className="py-1 pr-4">
                Student
              </th>
              <th scope="col" className="py-1 pr-4">
                Bench
              </th>
              {shownTasks.map(({ id, title }) => (
                <th key={id} scope="col" className="max-w-40 py-1 pr-4 text-sm">
                  {title}
                </th>
              ))}
              {shownWork.map(({ id, title, counts }) => (
                <th key={id} scope="col" className="max-w-40 py-1 pr-4 text-sm">
                  {title}
                  <span className="block font-normal text-soft">
                    {counts > 0 ? `counts ${counts}` : 'practice'}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((student) => (
              <tr key={student.id} className="border-b border-rule">
                <th scope="row" className="py-1 pr-4 text-left">
                  <Link
                    to={`/class/${classId}/students/${student.id}`}
                    className="underline decoration-rule underline-offset-4"
                  >
                    {student.name}
                  </Link>
                </th>
                <td className="pr-4 text-sm text-soft">{student.bench}</td>
                {shownTasks.map(({ id }) => (
                  <td key={id} className="pr-4">
                    {student.cells
                      .filter(({ task }) => task === id)
                      .map((cell) => (
                        <Cell key={cell.logbookId} cell={cell} />
                      ))}
                  </td>
                ))}
                {shownWork.map(({ id, counts }) => (
                  <td key={id} className="pr-4">
                    <WorkState state={student.work.find(({ task }) => task === id)?.state} counts={counts} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Page>
  );
}

/** What was set and done; nothing where it was not for them. */
function WorkState({
  state,
  counts,
}: {
  readonly state: WorkCell['state'] | undefined;
  readonly counts: number;
}) {
  if (!state) return null;
  if (state !== 'done')
    return <span className={state === 'late' ? 'text-vermilion' : 'text-sm text-soft'}>{state}</span>;
  return (
    <span>
      {counts > 0 && <span className="mr-2 font-mono font-semibold">{counts}</span>}
      <span className="text-sm text-soft">done</span>
    </span>
  );
}

function Cell({ cell: { logbookId, state, mark } }: { readonly cell: MarkCell }) {
  return (
    <Link to={`/logbook/${logbookId}/review`} className="block underline decoration-edge underline-offset-4">
      {mark !== null && <span className="mr-2 font-mono font-semibold">{mark}</span>}
      <span className={state === 'handed in' ? 'font-bold text-beam' : 'text-sm text-soft'}>{state}</span>
    </Link>
  );
}

/** Logbooks that were handed in and not handed back, what weighs most first, then the oldest. */
function Waiting({ students, tasks }: Pick<MarksAnswer, 'students' | 'tasks'>) {
  const books = new Map<string, { readonly cell: MarkCell; readonly names: string[] }>();
  for (const { name, cells } of students)
    for (const cell of cells) {
      if (cell.state !== 'handed in') continue;
      const known = books.get(cell.logbookId);
      if (known) known.names.push(name);
      else books.set(cell.logbookId, { cell, names: [name] });
    }
  const waiting = [...books.values()].sort(
    (a, b) =>
      b.cell.found.weight - a.cell.found.weight ||
      b.cell.found.count - a.cell.found.count ||
      (a.cell.at ?? '').localeCompare(b.cell.at ?? ''),
  );
  return (
    <section aria-label="Waiting for review" className="mb-6">
      <h2 className="mb-1 border-b border-ink">Waiting for review</h2>
      {waiting.length === 0 ? (
        <p className="text-soft">Nothing was handed in that has not gone back.</p>
      ) : (
        <ul>
          {waiting.map(({ cell, names }) => (
            <li key={cell.logbookId} className="flex flex-wrap items-baseline gap-x-4 py-1">
              <Link to={`/logbook/${cell.logbookId}/review`} className="underline underline-offset-4">
                {names.join(', ')}
              </Link>
              <span>{tasks.find(({ id }) => id === cell.task)?.title}</span>
              {cell.found.sentence && (
                <span className={cell.found.weight > 1 ? 'text-vermilion' : 'text-brass'}>
                  {cell.found.count} found: {cell.found.sentence}
                </span>
              )}
              {cell.at && <span className="text-sm text-soft">{dayAndTime(cell.at)}</span>}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
