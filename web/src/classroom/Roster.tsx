import { endpoints, type NewSlips, type NewStudents, type StudentChange } from '@green-beam/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { call, sentenceFor } from '../api';
import { Loading, Page, Trouble } from '../ui/Notice';
import { useBoard } from '../answers/board';
import { AddStudents } from './AddStudents';
import { RosterRow } from './RosterRow';
import { Slips } from './Slips';
import { SlipsForAll } from './SlipsForAll';

/** Who is in the class; adding students; slips to hand out. */
export function Roster() {
  const { classId = '' } = useParams();
  const queries = useQueryClient();
  const board = useBoard(classId);
  const done = () => void queries.invalidateQueries({ queryKey: ['board', classId] });
  const add = useMutation({
    mutationFn: (body: NewStudents) => call(endpoints.addStudents, { params: { classId }, body }),
    onSuccess: () => {
      done();
      void queries.invalidateQueries({ queryKey: ['benches', classId] });
    },
  });
  const reset = useMutation({
    mutationFn: (body: Partial<NewSlips>) => call(endpoints.makeSlips, { params: { classId }, body }),
  });
  const change = useMutation({
    mutationFn: ({ studentId, ...body }: { studentId: string } & StudentChange) =>
      call(endpoints.changeStudent, { params: { classId, studentId }, body }),
    onSuccess: done,
  });
  const remove = useMutation({
    mutationFn: (studentId: string) => call(endpoints.removeStudent, { params: { classId, studentId } }),
    onSuccess: done,
  });
  const newest = add.submittedAt > reset.submittedAt ? add : reset;
  if (board.data === undefined) {
    return board.isError ? (
      <Trouble error={board.error} again={() => void board.refetch()} />
    ) : (
      <Loading what="the roster" />
    );
  }
  const { students, staffRole } = board.data;
  const manages = staffRole !== 'assistant';
  return (
    <Page title={`${board.data.class.name}, roster and slips`} aside={`class code ${board.data.class.code}`}>
      <p className="no-print mb-5">
        <Link to={`/class/${classId}/benches`} className="mr-6 underline underline-offset-4">
          Benches
        </Link>
        <Link to={`/class/${classId}`} className="underline underline-offset-4">
          Back to the class
        </Link>
      </p>
      {(remove.isError || change.isError) && (
        <p role="alert" className="mb-4 border-l-4 border-vermilion pl-3">
          {sentenceFor(remove.error ?? change.error)}
        </p>
      )}
      {newest.isError && (
        <p role="alert" className="mb-4 border-l-4 border-vermilion pl-3">
          {sentenceFor(newest.error)}
        </p>
      )}
      {newest.data && <Slips answer={newest.data} />}
      <div className="no-print grid gap-10 lg:grid-cols-[1fr_22rem]">
        <ul className="divide-y divide-rule border-y border-rule" aria-label="Students">
          {students.map((student) => (
            <RosterRow
              key={student.id}
              student={student}
              manages={manages}
              busy={reset.isPending || remove.isPending}
              onChange={(body) => change.mutate({ studentId: student.id, ...body })}
              onSlip={() => reset.mutate({ studentIds: [student.id] })}
              onRemove={() => remove.mutate(student.id)}
            />
          ))}
          {students.length === 0 && (
            <li className="py-3 text-soft">Nobody yet. Write the names on the right.</li>
          )}
        </ul>
        {manages && (
          <div className="flex flex-col gap-8">
            <AddStudents
              there={students.map(({ name }) => name)}
              busy={add.isPending}
              onAdd={(body, onAdded) => add.mutate(body, { onSuccess: onAdded })}
            />
            {students.length > 0 && (
              <SlipsForAll
                busy={reset.isPending}
                onMake={() => reset.mutate({ everyone: true })}
                count={students.length}
              />
            )}
          </div>
        )}
      </div>
    </Page>
  );
}
