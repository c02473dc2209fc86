import { endpoints, type NewTask, type TaskChange, type TasksAnswer } from '@green-beam/contract';
import { answeredWords, endOfDay, isoDay, makeNames, practisedNamed } from '@green-beam/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { wholeDay } from '../ui/clock';
import { DayField } from './DayField';
import { NewTaskForm } from './NewTaskForm';
import { Loading, Page, Trouble } from '../ui/Notice';

const isHeld = ({ kinds, answers }: Task): boolean => kinds.length > 0 && answers === 'held';

/** How it is answered now. */
function answered(task: Task): string {
  if (isHeld(task)) return task.shown ? ', answers shown' : `, ${answeredWords(task)}, not told yet`;
  return answeredWords(task) && `, ${answeredWords(task)}`;
}

const tasksKey = (classId: string) => ['tasks', classId] as const;

/** Work that is set, and who has done it. */
export function Tasks() {
  const { classId = '' } = useParams();
  const queries = useQueryClient();
  const [changed, setChanged] = useState<Task | null>(null);
  const answer = useQuery({
    queryKey: tasksKey(classId),
    queryFn: () => call(endpoints.tasks, { params: { classId } }),
    refetchInterval: 15_000,
  });
  const kept = { onSuccess: (now: TasksAnswer) => queries.setQueryData(tasksKey(classId), now) };
  const put = useMutation({
    mutationFn: (body: NewTask) => call(endpoints.setTask, { params: { classId }, body }),
    ...kept,
  });
  const change = useMutation({
    mutationFn: ({ taskId, ...body }: TaskChange & { readonly taskId: string }) =>
      call(endpoints.changeTask, { params: { classId, taskId }, body }),
    ...kept,
  });
  if (answer.data === undefined)
    return answer.isError ? <Trouble error={answer.error} /> : <Loading what="what is set" />;
  const { class: own, tasks } = answer.data;
  return (
    <Page
      title={`${own.name}, set work`}
      aside="to read, to drill, to hand in: for the class, benches or students"
    >
      <p className="mb-5 flex gap-x-6">
        <Link to={`/class/${classId}/investigations`} className="underline underline-offset-4">
          Investigations
        </Link>
        <Link to={`/class/${classId}`} className="underline underline-offset-4">
          Back to the class
        </Link>
      </p>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <NewTaskForm
          key={changed?.id ?? 'new'}
          answer={answer.data}
          busy={put.isPending || change.isPending}
          of={changed}
          onSet={(work, done) =>
            changed
              ? change.mutate({ taskId: changed.id, work }, { onSuccess: () => setChanged(null) })
              : put.mutate({ id: crypto.randomUUID(), ...work }, { onSuccess: done })
          }
          onLeave={() => setChanged(null)}
        />
        <section aria-label="Set">
          <h2 className="mb-2">Set</h2>
          {(put.isError || change.isError) && (
            <p role="alert" className="mb-2 border-l-4 border-vermilion pl-3">
              {sentenceFor(put.error ?? change.error)}
            </p>
          )}
          {tasks.length === 0 && <p className="text-soft">Nothing yet. Choose what is to be read.</p>}
          <ul className="divide-y divide-rule border-y border-rule">
            {tasks.map((task) => (
              <li key={task.id} className="py-3">
                <p className={task.withdrawn ? 'text-soft' : 'font-bold'}>
                  {whatOf(task, answer.data)}
                  <span className="font-normal">{forWhom(task, answer.data)}</span>
                </p>
                <p className="text-sm text-soft">
                  {task.withdrawn ? 'Taken back. ' : ''}
                  {task.place === 'lesson' ? 'In the lesson' : 'At home'}
                  {task.from && `, shown from ${wholeDay(task.from)}`}
                  {task.due && `, due ${wholeDay(task.due)}`}
                  {task.counts > 0 && `, counts ${task.counts}`}
                  {answered(task)}
                  {task.note && ` · ${task.note}`}
                </p>
                <p>
                  {task.done.length} of {task.done.length + task.open.length} done
                  {task.open.length > 0 && task.done.length > 0 && (
                    <span className="text-sm text-soft">; not yet: {task.open.join(', ')}</span>
                  )}
                </p>
                <div className="mt-1 flex flex-wrap items-end gap-4">
                  <Button
                    look="quiet"
                    className="text-sm"
                    onClick={() => change.mutate({ taskId: task.id, withdrawn: !task.withdrawn })}
                  >
                    {task.withdrawn ? 'Set it again' : 'Take it back'}
                  </Button>
                  {!task.withdrawn && (
                    <Button
                      look="quiet"
                      className="text-sm"
                      disabled={changed?.id === task.id}
                      onClick={() => setChanged(task)}
                    >
                      Change what it asks
                    </Button>
                  )}
                  {!task.withdrawn && isHeld(task) && !task.shown && (
                    <Button onClick={() => change.mutate({ taskId: task.id, shown: true })}>
                      Show the answers
                    </Button>
                  )}
                  {!task.withdrawn && (
                    <DayField
                      label="Due another day"
                      day={task.due ? isoDay(task.due) : ''}
                      onChange={(day) =>
                        change.mutate({
                          taskId: task.id,
                          due: day === '' ? null : endOfDay(day).toISOString(),
                        })
                      }
                    />
                  )}
                </div>
              </li>
            ))}
          </ul>
        </section>
      </div>
    </Page>
  );
}

type Task = TasksAnswer['tasks'][number];

/** What is asked: what is read and drilled, how long, and what is handed in. */
function whatOf(task: Task, answer: TasksAnswer): string {
  const { kinds, settings, investigations } = task;
  const books = investigations.map(
    (id) => answer.investigations.find((own) => own.id === id)?.title ?? 'an investigation that is gone',
  );
  const [names, makes] = [kinds.map((kind) => practisedNamed(kind).name).join(', '), makeNames(task, kinds)];
  return [
    names &&
      `${names}${makes && ` (${makes})`}: ${settings === null ? 'until steady' : `${settings} of each`}`,
    books.length > 0 && `hand in ${books.join(', ')}`,
  ]
    .filter(Boolean)
    .join('; ');
}

function forWhom({ benches, students }: Task, answer: TasksAnswer): string {
  const names = [
    ...benches.map((id) => answer.benches.find((one) => one.id === id)?.name ?? 'a bench that is gone'),
    ...students.map((id) => answer.students.find((one) => one.id === id)?.name ?? 'somebody who left'),
  ];
  return names.length > 0 ? `, for ${names.join(', ')}` : '';
}
