import { endpoints, type OwnTask } from '@green-beam/contract';
import { practisedKinds } from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { call, sentenceFor } from '../api';
import { Link } from 'react-router';
import { useLayOut } from '../bench/setting';
import { useDrill } from '../figures/Drills';
import { Button } from '../ui/Button';
import { wholeDay } from '../ui/clock';

/** Work that the teacher has set, with how far one has come; what is done shrinks to a line. */
export function SetPractice() {
  const tasks = useQuery({ queryKey: ['tasks', 'own'], queryFn: () => call(endpoints.ownTasks) });
  const all = tasks.data?.tasks ?? [];
  if (all.length === 0) return null;
  return (
    <section aria-label="Work that is set" className="mb-8">
      <h2 className="mb-2">Work that is set</h2>
      <ul className="divide-y divide-rule border-y border-rule">
        {all.map((task) => (
          <li key={task.id} className="py-3">
            <Task task={task} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function Task({
  task: { progress, books, settings, due, late, done, note, place },
}: {
  readonly task: OwnTask;
}) {
  const next = progress.find((own) => !own.done);
  return (
    <>
      <ul>
        {progress.map(({ kind, read, state, done: kindDone }) => (
          <li key={kind} className="flex flex-wrap items-baseline gap-x-3">
            <span className={kindDone ? 'text-soft' : 'font-bold'}>{practised(kind).name}</span>
            <span className="text-sm text-soft">
              {settings === null
                ? `${state}, until steady`
                : `${Math.min(read, settings)} of ${settings} ${practised(kind).of === 'drill' ? 'items' : 'settings'}`}
              {kindDone && ' · done'}
            </span>
          </li>
        ))}
        {books.map(({ family, title, logbookId, done: handedIn }) => (
          <li key={family} className="flex flex-wrap items-baseline gap-x-3">
            {logbookId ? (
              <Link to={`/logbook/${logbookId}`} className="font-bold underline underline-offset-4">
                {title}
              </Link>
            ) : (
              <span className="font-bold">{title}</span>
            )}
            <span className="text-sm text-soft">{handedIn ? 'handed in · done' : 'to be handed in'}</span>
          </li>
        ))}
      </ul>
      <p className="text-sm text-soft">
        {place === 'lesson' ? 'In the lesson' : 'At home'}
        {due && `, due ${wholeDay(due)}`}
        {late && <strong className="text-vermilion"> · late</strong>}
        {note && ` · ${note}`}
      </p>
      {done ? <p className="text-beam">Done.</p> : next && <Next {...practised(next.kind)} />}
    </>
  );
}

const practised = (kind: string): (typeof practisedKinds)[number] =>
  practisedKinds.find((own) => own.kind === kind) ?? { kind, name: kind, of: 'reading' };

/** The next setting or item of a kind in one press. */
function Next({ kind, name, of }: (typeof practisedKinds)[number]) {
  const layOut = useLayOut();
  const drill = useDrill();
  const busy = layOut.isPending || drill.isPending;
  return (
    <>
      <Button
        look="main"
        className="mt-2"
        disabled={busy}
        onClick={() => (of === 'drill' ? drill.mutate(kind) : layOut.mutate({ kind, mode: 'read' }))}
      >
        {of === 'drill' ? `Work ${name}` : `Read the ${name}`}
      </Button>
      {(layOut.isError || drill.isError) && <p role="alert">{sentenceFor(layOut.error ?? drill.error)}</p>}
    </>
  );
}
