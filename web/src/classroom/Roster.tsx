import { endpoints, type NewSlips, type NewStudents, type StudentChange } from '@green-beam/contract';
import { rosterLines } from '@green-beam/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useId, useState, type FormEvent } from 'react';
import { Link, useParams } from 'react-router';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { TextField } from '../ui/fields';
import { FileChoice } from '../ui/FileChoice';
import { Loading, Page, Trouble } from '../ui/Notice';
import { useBoard } from '../answers/board';
import { Slips } from './Slips';

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
  const [leaving, setLeaving] = useState<string | null>(null);
  const [renaming, setRenaming] = useState<string | null>(null);
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
          {students.map(({ id, name, group, spoken, absent }) => (
            <li key={id} className="flex flex-wrap items-center gap-x-4 py-2">
              <span className="basis-full sm:flex-1 sm:basis-40">
                {renaming === id ? (
                  <Renamed
                    name={name}
                    onDone={(now) => {
                      setRenaming(null);
                      if (now !== null) change.mutate({ studentId: id, name: now });
                    }}
                  />
                ) : (
                  <>
                    {name} <span className="text-sm text-soft">{group}</span>
                  </>
                )}
              </span>
              {manages && (
                <label className="flex items-center gap-2 text-sm">
                  <input
                    type="checkbox"
                    checked={absent}
                    onChange={(event) => change.mutate({ studentId: id, absent: event.target.checked })}
                    className="size-5 accent-[#1d7f58]"
                  />
                  absent today<span className="sr-only">: {name}</span>
                </label>
              )}
              {manages && renaming !== id && (
                <Button look="quiet" className="text-sm" onClick={() => setRenaming(id)}>
                  Rename<span className="sr-only"> {name}</span>
                </Button>
              )}
              {manages && (
                <label className="flex items-center gap-2 text-sm">
                  <input
                    type="checkbox"
                    checked={spoken}
                    onChange={(event) => change.mutate({ studentId: id, spoken: event.target.checked })}
                    className="size-5 accent-[#1d7f58]"
                  />
                  scale in words<span className="sr-only"> for {name}</span>
                </label>
              )}
              {manages && (
                <Button
                  look="quiet"
                  className="text-sm"
                  disabled={reset.isPending}
                  onClick={() => reset.mutate({ studentIds: [id] })}
                >
                  New slip<span className="sr-only"> for {name}</span>
                </Button>
              )}
              {manages &&
                (leaving === id ? (
                  <span className="flex flex-wrap items-center gap-x-3 text-sm">
                    Access ends at once; the record stays.
                    <Button
                      look="quiet"
                      className="text-sm"
                      disabled={remove.isPending}
                      onClick={() => {
                        setLeaving(null);
                        remove.mutate(id);
                      }}
                    >
                      Take {name} out
                    </Button>
                    <Button look="quiet" className="text-sm" autoFocus onClick={() => setLeaving(null)}>
                      Keep
                    </Button>
                  </span>
                ) : (
                  <Button look="quiet" className="text-sm" onClick={() => setLeaving(id)}>
                    Take out<span className="sr-only"> {name}</span>
                  </Button>
                ))}
            </li>
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

function AddStudents({
  there,
  busy,
  onAdd,
}: {
  /** The names that are taken. */
  readonly there: readonly string[];
  readonly busy: boolean;
  readonly onAdd: (students: NewStudents, onAdded: () => void) => void;
}) {
  const [text, setText] = useState('');
  const id = useId();
  const lines = rosterLines(text, there);
  const good = lines.filter(({ problem }) => problem === null);
  const bad = lines.filter(({ problem }) => problem !== null);
  const benches = new Set(good.flatMap(({ bench }) => (bench === '' ? [] : [bench.toLowerCase()])));
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (good.length === 0 || bad.length > 0) return;
    onAdd({ names: good.map(({ name }) => name), benches: good.map(({ bench }) => bench) }, () =>
      setText(''),
    );
  };
  return (
    <form onSubmit={submit} className="flex flex-col gap-2">
      <label htmlFor={id} className="font-bold">
        Add students
      </label>
      <p className="text-sm text-soft">
        One name a line, or a pasted list; a bench may follow after a semicolon. A first name and a letter are
        enough; no address is needed.
      </p>
      <textarea
        id={id}
        rows={5}
        value={text}
        onChange={(event) => setText(event.target.value)}
        className="rounded-sm border border-edge bg-white p-2"
      />
      <FileChoice
        label="Read a file"
        accept=".csv,.txt,text/csv,text/plain"
        onFile={async (file) => setText(await file.text())}
      />
      {bad.length > 0 && (
        <ul role="alert" className="border-l-4 border-vermilion pl-3 text-sm">
          {bad.map(({ line, problem }) => (
            <li key={line}>
              Line {line}: {problem}
            </li>
          ))}
        </ul>
      )}
      {benches.size > 0 && (
        <p className="text-sm">
          {good.length} {good.length === 1 ? 'name' : 'names'} at {benches.size}{' '}
          {benches.size === 1 ? 'bench' : 'benches'}.
        </p>
      )}
      <Button type="submit" look="main" disabled={busy || good.length === 0 || bad.length > 0}>
        {good.length === 1 ? 'Add one student' : `Add ${good.length || ''} students`}
      </Button>
    </form>
  );
}

function Renamed({
  name,
  onDone,
}: {
  readonly name: string;
  readonly onDone: (name: string | null) => void;
}) {
  const [text, setText] = useState(name);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (text.trim() !== '') onDone(text.trim() === name ? null : text.trim());
  };
  return (
    <form onSubmit={submit} className="flex items-end gap-2">
      <TextField label={`New name of ${name}`} longest={60} value={text} onChange={setText} />
      <Button type="submit">Keep it</Button>
      <Button look="quiet" onClick={() => onDone(null)}>
        Leave it
      </Button>
    </form>
  );
}

/** Asks once, because the slips in the students' hands stop working. */
function SlipsForAll({
  busy,
  count,
  onMake,
}: {
  readonly busy: boolean;
  readonly count: number;
  readonly onMake: () => void;
}) {
  const [asked, setAsked] = useState(false);
  return (
    <section aria-label="Slips for everyone" className="flex flex-col items-start gap-2">
      <h2>Slips for everyone</h2>
      <p className="text-sm text-soft">
        A passphrase is shown only when its slip is made. New slips replace the old ones.
      </p>
      {asked ? (
        <div className="flex gap-3">
          <Button
            look="main"
            disabled={busy}
            onClick={() => {
              setAsked(false);
              onMake();
            }}
          >
            Replace all {count}
          </Button>
          <Button onClick={() => setAsked(false)}>Keep the old ones</Button>
        </div>
      ) : (
        <Button disabled={busy} onClick={() => setAsked(true)}>
          Make new slips for everyone
        </Button>
      )}
    </section>
  );
}
