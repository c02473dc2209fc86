import { endpoints, type NewTask, type TaskChange, type TasksAnswer } from '@green-beam/contract';
import { endOfDay, isoDay, type InstrumentKind } from '@green-beam/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState, type FormEvent } from 'react';
import { Link, useParams } from 'react-router';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { wholeDay } from '../ui/clock';
import { CheckField, ChoiceField, TextField } from '../ui/fields';
import { Loading, Page, Trouble } from '../ui/Notice';

const tasksKey = (classId: string) => ['tasks', classId] as const;

/** Practice that is set for a class or for benches, and who has done it. */
export function Tasks() {
  const { classId = '' } = useParams();
  const queries = useQueryClient();
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
  const { class: own, tasks, benches, instruments } = answer.data;
  const nameOf = (kind: string) => instruments.find((one) => one.kind === kind)?.name ?? kind;
  return (
    <Page
      title={`${own.name}, practice`}
      aside="set for the class or for benches; investigations are set by themselves"
    >
      <p className="mb-5 flex gap-x-6">
        <Link to={`/class/${classId}/investigations`} className="underline underline-offset-4">
          Investigations
        </Link>
        <Link to={`/class/${classId}`} className="underline underline-offset-4">
          Back to the class
        </Link>
      </p>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[2fr_3fr]">
        <NewTaskForm
          answer={answer.data}
          busy={put.isPending}
          onSet={(body, done) => put.mutate(body, { onSuccess: done })}
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
                  {task.kinds.map(nameOf).join(', ')}
                  <span className="font-normal">
                    {': '}
                    {task.settings === null ? 'until steady' : `${task.settings} settings of each`}
                    {task.benches.length > 0 &&
                      `, ${task.benches.map((id) => benches.find((one) => one.id === id)?.name ?? 'a bench that is gone').join(', ')}`}
                  </span>
                </p>
                <p className="text-sm text-soft">
                  {task.withdrawn ? 'Taken back. ' : ''}
                  {task.place === 'lesson' ? 'In the lesson' : 'At home'}
                  {task.due && `, due ${wholeDay(task.due)}`}
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
                    <DueField
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

const untils = [
  ['steady', 'until each is steady'],
  ['3', '3 settings of each'],
  ['5', '5 settings of each'],
  ['10', '10 settings of each'],
] as const;

function NewTaskForm({
  answer: { benches, instruments },
  busy,
  onSet,
}: {
  readonly answer: TasksAnswer;
  readonly busy: boolean;
  readonly onSet: (task: NewTask, done: () => void) => void;
}) {
  const [kinds, setKinds] = useState<readonly string[]>([]);
  const [until, setUntil] = useState('steady');
  const [place, setPlace] = useState<NewTask['place']>('lesson');
  const [only, setOnly] = useState<readonly string[]>([]);
  const [due, setDue] = useState('');
  const [note, setNote] = useState('');
  const toggled = (list: readonly string[], one: string, on: boolean) =>
    on ? [...list, one] : list.filter((own) => own !== one);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onSet(
      {
        id: crypto.randomUUID(),
        kinds: kinds as InstrumentKind[],
        settings: until === 'steady' ? null : Number(until),
        benches: [...only],
        due: due === '' ? null : endOfDay(due).toISOString(),
        place,
        note: note.trim(),
      },
      () => {
        setKinds([]);
        setNote('');
      },
    );
  };
  return (
    <form onSubmit={submit} aria-label="Set practice" className="flex flex-col gap-4">
      <fieldset>
        <legend className="mb-1 font-bold">What is to be read</legend>
        <div className="grid grid-cols-2 gap-x-4">
          {instruments.map(({ kind, name }) => (
            <CheckField
              key={kind}
              label={name}
              checked={kinds.includes(kind)}
              onChange={(on) => setKinds(toggled(kinds, kind, on))}
            />
          ))}
        </div>
      </fieldset>
      <div className="flex flex-wrap gap-4">
        <ChoiceField label="How long" value={until} choices={untils} onChange={setUntil} className="w-52" />
        <ChoiceField
          label="Where"
          value={place}
          choices={[
            ['lesson', 'in the lesson'],
            ['home', 'at home'],
          ]}
          onChange={(own) => setPlace(own === 'home' ? 'home' : 'lesson')}
          className="w-40"
        />
        <DueField label="Due, at the end of" day={due} onChange={setDue} />
      </div>
      {benches.length > 0 && (
        <fieldset>
          <legend className="mb-1 text-sm text-soft">
            For these benches alone; for all where none is marked
          </legend>
          <div className="flex flex-wrap gap-x-5">
            {benches.map(({ id, name }) => (
              <CheckField
                key={id}
                label={name}
                checked={only.includes(id)}
                onChange={(on) => setOnly(toggled(only, id, on))}
              />
            ))}
          </div>
        </fieldset>
      )}
      <TextField label="A word to them" longest={500} value={note} onChange={setNote} />
      <Button type="submit" look="main" className="self-start" disabled={busy || kinds.length === 0}>
        Set it
      </Button>
    </form>
  );
}

function DueField({
  label,
  day,
  onChange,
}: {
  readonly label: string;
  readonly day: string;
  readonly onChange: (day: string) => void;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block text-sm text-soft">
        {label}
      </label>
      <input
        id={id}
        type="date"
        value={day}
        onChange={(event) => onChange(event.target.value)}
        className="rounded-sm border border-edge bg-white px-2 py-1.5"
      />
    </div>
  );
}
