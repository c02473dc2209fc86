import { endpoints, type BoardAnswer, type ClassName } from '@green-beam/contract';
import { presets } from '@green-beam/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState, type FormEvent, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { call, sentenceFor } from '../api';
import { useBoard } from '../answers/board';
import { Calls } from '../calls/Calls';
import { WorthFiveMinutes } from '../classroom/WorthFiveMinutes';
import { sessionKey, useWho } from '../session/who';
import { Button } from '../ui/Button';
import { ChoiceField } from '../ui/fields';
import { Loading, Page, Trouble } from '../ui/Notice';

/** The teacher's classes at a glance. */
export function TeacherToday() {
  const { name, classes } = useWho();
  const inUse = classes.filter(({ putAway }) => !putAway);
  const away = classes.filter(({ putAway }) => putAway);
  return (
    <Page title="Today" aside={name}>
      {classes.length === 0 && (
        <p className="mb-5">You have no class yet. Give it a name; the students come next.</p>
      )}
      <div className="flex flex-col gap-10">
        {inUse.map((line) => (
          <ClassToday key={line.id} line={line} />
        ))}
        <AddClass />
        {away.length > 0 && (
          <p className="flex flex-wrap gap-x-4">
            Put away:
            {away.map((line) => (
              <Link key={line.id} to={`/class/${line.id}/staff`} className="underline underline-offset-4">
                {line.name}
              </Link>
            ))}
          </p>
        )}
        {classes.length > 0 && (
          <p>
            <Link to="/logbook" className="underline underline-offset-4">
              Logbooks of your own
            </Link>
          </p>
        )}
      </div>
    </Page>
  );
}

function ClassToday({ line }: { readonly line: ClassName }) {
  const board = useBoard(line.id);
  if (board.data === undefined) {
    return board.isError ? (
      <Trouble error={board.error} again={() => void board.refetch()} />
    ) : (
      <Loading what={line.name} />
    );
  }
  const { students, atWorkToday, readingsToday, worthFiveMinutes, instruments } = board.data;
  return (
    <section aria-label={line.name}>
      <div className="mb-4 flex flex-wrap items-baseline gap-x-5 border-b-2 border-ink pb-1">
        <h2 className="text-xl">{line.name}</h2>
        <p className="text-soft">class code {line.code}</p>
        <Link to={`/class/${line.id}/tasks`} className="ml-auto underline underline-offset-4">
          Set work
        </Link>
        <Link to={`/class/${line.id}/marks`} className="underline underline-offset-4">
          Marks
        </Link>
        <Link to={`/class/${line.id}`} className="font-bold underline underline-offset-4">
          Open the class
        </Link>
      </div>
      <Calls classId={line.id} />
      {worthFiveMinutes && (
        <WorthFiveMinutes classId={line.id} topic={worthFiveMinutes} instruments={instruments} />
      )}
      <dl className="flex flex-wrap gap-x-10 gap-y-3">
        <Fact name="At work today" value={`${atWorkToday} of ${students.length}`} />
        <Fact name="Readings today" value={String(readingsToday)} />
        <Fact name="Logbooks" value={logbookWords(board.data)} />
        <Fact name="Last three readings wrong" value={stuckWords(board.data)} />
        <Running classId={line.id} />
      </dl>
    </section>
  );
}

function Fact({ name, value }: { readonly name: string; readonly value: ReactNode }) {
  return (
    <div>
      <dt className="text-sm text-soft">{name}</dt>
      <dd className="text-lg">{value}</dd>
    </div>
  );
}

function logbookWords({ students }: BoardAnswer): string {
  const books = new Map(students.flatMap(({ logbooks }) => logbooks).map((line) => [line.logbookId, line]));
  const complete = [...books.values()].filter(({ resultText }) => resultText !== null).length;
  return `${complete} of ${books.size} with a result`;
}

/** Who is stuck, and on what. */
function stuckWords({ students, instruments }: BoardAnswer): string {
  const stuck = students.flatMap(({ name, latest }) => {
    const last = latest.slice(0, 3);
    if (last.length < 3 || last.some(({ right }) => right)) return [];
    const kind = last[0]?.kind;
    return [`${name} (${instruments.find((own) => own.kind === kind)?.name ?? kind})`];
  });
  return stuck.length === 0 ? 'nobody' : stuck.join(', ');
}

/** What is set and not done by everybody, and what was handed in and waits. */
function Running({ classId }: { readonly classId: string }) {
  const marks = useQuery({
    queryKey: ['marks', classId],
    queryFn: () => call(endpoints.marks, { params: { classId } }),
    refetchInterval: 30_000,
  });
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

function AddClass() {
  const [name, setName] = useState('');
  const [preset, setPreset] = useState('Chemistry bench');
  const id = useId();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const add = useMutation({
    mutationFn: () => call(endpoints.newClass, { body: { name, preset } }),
    onSuccess: async (made) => {
      await queries.invalidateQueries({ queryKey: sessionKey });
      await navigate(`/class/${made.id}/roster`);
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (name.trim() !== '') add.mutate();
  };
  return (
    <form onSubmit={submit} className="flex flex-wrap items-end gap-3">
      <div>
        <label htmlFor={id} className="mb-1 block">
          Another class
        </label>
        <input
          id={id}
          value={name}
          maxLength={60}
          onChange={(event) => setName(event.target.value)}
          className="rounded-sm border border-edge bg-white px-3 py-2"
        />
      </div>
      <ChoiceField
        label="House rules to begin with"
        className="w-56"
        value={preset}
        choices={presets.map((one) => [one.preset, one.preset] as const)}
        onChange={setPreset}
      />
      <Button type="submit" disabled={add.isPending || name.trim() === ''}>
        Make the class
      </Button>
      {add.isError && <p role="alert">{sentenceFor(add.error)}</p>}
    </form>
  );
}
