import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { marksOf } from '../answers/marks';
import { Fact } from './Fact';

/** What is set and not done by everybody, and what was handed in and waits. */
export function Running({ classId }: { readonly classId: string }) {
  const marks = useQuery({ ...marksOf(classId), refetchInterval: 30_000 });
  if (!marks.data) return null;
  const { work, students } = marks.data;
  const states = (id: string) =>
    students.flatMap((own) => own.work.filter(({ task }) => task === id).map(({ state }) => state));
  const running = work.filter(({ id }) => states(id).some((state) => state !== 'done')).slice(0, 4);
  const waiting = new Set(
    students.flatMap(({ cells }) =>
      cells.flatMap(({ state, logbookId }) => (state === 'handed in' ? [logbookId] : [])),
    ),
  ).size;
  return (
    <>
      {waiting > 0 && (
        <Fact
          name="Waiting for review"
          value={
            <Link to={`/class/${classId}/marks`} className="underline underline-offset-4">
              {waiting === 1 ? 'one logbook' : `${waiting} logbooks`}
            </Link>
          }
        />
      )}
      {running.map(({ id, title }) => {
        const all = states(id);
        const late = all.filter((state) => state === 'late').length;
        return (
          <Fact
            key={id}
            name={`Set: ${title}`}
            value={`${all.filter((state) => state === 'done').length} of ${all.length} done${late > 0 ? `, ${late} late` : ''}`}
          />
        );
      })}
    </>
  );
}
