import type { OwnTask } from '@green-beam/contract';
import { answeredWords, hasOwnRules, makeNames, practisedNamed, type practisedKinds } from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { ownTasks } from '../answers/own';
import { sentenceFor } from '../api';
import { useLayOut } from '../bench/setting';
import { useDrill } from '../figures/Drills';
import { Button } from '../ui/Button';
import { wholeDay } from '../ui/clock';

/** Work that the teacher has set, with how far one has come; what is done shrinks to a line. */
export function SetPractice() {
  const tasks = useQuery(ownTasks);
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

function Task({ task }: { readonly task: OwnTask }) {
  const { progress, books, settings, due, late, done, note, place } = task;
  const next = progress.find((own) => !own.done);
  return (
    <>
      <ul className="flex flex-col gap-1">
        {progress.map((own) => (
          <li key={own.kind} className="flex flex-wrap items-center gap-x-3">
            <span className={own.done ? 'text-soft' : 'font-bold'}>{practisedNamed(own.kind).name}</span>
            <span className="text-sm text-soft">{makeNames(task, [own.kind])}</span>
            <span className="mr-auto text-sm text-soft">
              {settings === null
                ? `${own.state}, until steady`
                : `${Math.min(own.read, settings)} of ${settings} ${practisedNamed(own.kind).of === 'drill' ? 'items' : 'settings'}`}
              {own.done && ' · done'}
            </span>
            {!own.done && (
              <Next task={task} {...practisedNamed(own.kind)} look={own === next ? 'main' : 'plain'} />
            )}
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
        {rulesOf(task)}
      </p>
      {done && <p className="text-beam">Done.</p>}
      <Taken task={task} />
    </>
  );
}

/** How it is answered, and what counts, where that is another way than usual. */
function rulesOf(task: OwnTask): string {
  if (task.kinds.length === 0) return '';
  const held = task.answers === 'held';
  return [
    held && task.shown ? 'the answers are shown' : answeredWords(task),
    held && !task.shown && 'what is right is told when your teacher shows it',
    hasOwnRules(task) && 'what is taken from here counts',
  ]
    .filter(Boolean)
    .map((words) => ` · ${words}`)
    .join('');
}

/** What was answered while nothing was told, to be looked at now that it is. */
function Taken({ task: { taken, shown } }: { readonly task: OwnTask }) {
  if (!shown || taken.length === 0) return null;
  return (
    <p className="flex flex-wrap gap-x-4 text-sm">
      Look at your answers:
      {taken.map(({ id, kind, of }, at) => (
        <Link
          key={id}
          to={of === 'drill' ? `/figures/drills/${id}` : `/bench/${id}`}
          className="underline underline-offset-4"
        >
          {practisedNamed(kind).name} {taken.slice(0, at + 1).filter((own) => own.kind === kind).length}
        </Link>
      ))}
    </p>
  );
}

/** The next setting or item of a kind in one press. */
function Next({
  task: { id },
  kind,
  name,
  of,
  look,
}: (typeof practisedKinds)[number] & { readonly task: OwnTask; readonly look: 'main' | 'plain' }) {
  const layOut = useLayOut();
  const drill = useDrill();
  const busy = layOut.isPending || drill.isPending;
  return (
    <>
      <Button
        look={look}
        disabled={busy}
        onClick={() =>
          of === 'drill' ? drill.mutate({ kind, task: id }) : layOut.mutate({ kind, mode: 'read', task: id })
        }
      >
        {of === 'drill' ? `Work ${name}` : `Read the ${name}`}
      </Button>
      {(layOut.isError || drill.isError) && <p role="alert">{sentenceFor(layOut.error ?? drill.error)}</p>}
    </>
  );
}
