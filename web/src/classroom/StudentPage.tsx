import { endpoints } from '@green-beam/contract';
import { mostMarks } from '@green-beam/core';
import { ReadersMark, WeekBars } from '@green-beam/drawing';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { call } from '../api';
import { Button } from '../ui/Button';
import { dayOfWeek } from '../ui/clock';
import { Loading, Page, Trouble } from '../ui/Notice';
import { inTheirWords } from './inTheirWords';

/** One student over time, to talk about with them or with their parents; it prints. */
export function StudentPage() {
  const { classId = '', studentId = '' } = useParams();
  const student = useQuery({
    queryKey: ['student', classId, studentId],
    queryFn: () => call(endpoints.student, { params: { classId, studentId } }),
  });
  if (student.data === undefined)
    return student.isError ? <Trouble error={student.error} /> : <Loading what="the student" />;
  const { name, bench, class: own, weeks, practised, misread, logbooks, work } = student.data;
  return (
    <Page title={name} aside={[own.name, bench].filter(Boolean).join(', ')}>
      <p className="no-print mb-5 flex items-center gap-x-6">
        <Link to={`/class/${classId}`} className="underline underline-offset-4">
          Back to the class
        </Link>
        <Button look="quiet" onClick={() => print()}>
          Print
        </Button>
      </p>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <Part title="Readings by week" empty={weeks.length === 0 && 'Nothing was read yet.'}>
          <WeekBars weeks={weeks} />
          <p className="text-sm text-soft">
            Columns count first tries; what is filled was right. Weeks by their Mondays.
          </p>
        </Part>
        <Part title="Logbooks" empty={logbooks.length === 0 && 'None is open.'}>
          <ul className="divide-y divide-rule border-y border-rule">
            {logbooks.map(({ logbookId, title, state, mark, remarks }) => (
              <li key={logbookId} className="py-2">
                <Link to={`/logbook/${logbookId}/review`} className="underline underline-offset-4">
                  {title}
                </Link>{' '}
                <span className="text-soft">{state}</span>
                {mark !== null && (
                  <span className="ml-3 font-mono font-semibold">
                    {mark} of {mostMarks}
                  </span>
                )}
                {remarks.map((remark, nth) => (
                  <p key={nth} className="border-l-4 border-brass-line pl-2 text-sm">
                    {remark}
                  </p>
                ))}
              </li>
            ))}
          </ul>
        </Part>
        <Part title="How sure" empty={practised.length === 0 && 'Nothing was practised yet.'}>
          <ul className="divide-y divide-rule border-y border-rule">
            {practised.map(({ kind, name: what, skill, mark }) => (
              <li key={kind} className="flex flex-wrap items-center justify-between gap-x-4 py-2">
                <span>
                  <span className="block first-letter:uppercase">{what}</span>
                  <span className="text-sm text-soft">
                    {skill.state}, {skill.tries} {skill.tries === 1 ? 'try' : 'tries'}
                  </span>
                </span>
                {mark && <ReadersMark mark={mark} shaky={skill.state === 'shaky'} />}
              </li>
            ))}
          </ul>
        </Part>
        <div className="flex flex-col gap-8">
          <Part title="What was misread" empty={misread.length === 0 && 'Nothing that could be told.'}>
            <ul className="divide-y divide-rule border-y border-rule">
              {misread.slice(0, 8).map(({ kind, title, at }) => (
                <li key={`${kind}${title}`} className="py-1.5 first-letter:uppercase">
                  {inTheirWords(title)}{' '}
                  <span className="text-sm text-soft">
                    ({kind.replaceAll('-', ' ')}), last {dayOfWeek(at)}
                  </span>
                </li>
              ))}
            </ul>
          </Part>
          <Part title="Work that was set" empty={work.length === 0 && 'None.'}>
            <ul className="divide-y divide-rule border-y border-rule">
              {work.map(({ task, title, state, counts }) => (
                <li key={task} className="flex justify-between gap-4 py-1.5">
                  <span>{title}</span>
                  <span className={state === 'late' ? 'text-vermilion' : 'text-soft'}>
                    {state === 'done' && counts > 0 ? `done, ${counts}` : state}
                  </span>
                </li>
              ))}
            </ul>
          </Part>
        </div>
      </div>
    </Page>
  );
}

function Part({
  title,
  empty,
  children,
}: {
  readonly title: string;
  readonly empty: string | false;
  readonly children: ReactNode;
}) {
  return (
    <section aria-label={title} className="break-inside-avoid">
      <h2 className="mb-2">{title}</h2>
      {empty ? <p className="text-soft">{empty}</p> : children}
    </section>
  );
}
