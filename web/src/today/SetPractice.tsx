import { endpoints, type OwnTask } from '@green-beam/contract';
import { instrumentOf } from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { call, sentenceFor } from '../api';
import { useLayOut } from '../bench/setting';
import { Button } from '../ui/Button';
import { wholeDay } from '../ui/clock';

/** Practice that the teacher has set, with how far one has come; what is done shrinks to a line. */
export function SetPractice() {
  const tasks = useQuery({ queryKey: ['tasks', 'own'], queryFn: () => call(endpoints.ownTasks) });
  const all = tasks.data?.tasks ?? [];
  if (all.length === 0) return null;
  return (
    <section aria-label="Practice that is set" className="mb-8">
      <h2 className="mb-2">Practice that is set</h2>
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

function Task({ task: { progress, settings, due, late, done, note, place } }: { readonly task: OwnTask }) {
  const layOut = useLayOut();
  const next = progress.find((own) => !own.done);
  const nameOf = (kind: string) => instrumentOf(kind).name;
  return (
    <>
      <ul>
        {progress.map(({ kind, read, state, done: kindDone }) => (
          <li key={kind} className="flex flex-wrap items-baseline gap-x-3">
            <span className={kindDone ? 'text-soft' : 'font-bold'}>{nameOf(kind)}</span>
            <span className="text-sm text-soft">
              {settings === null
                ? `${state}, until steady`
                : `${Math.min(read, settings)} of ${settings} settings`}
              {kindDone && ' · done'}
            </span>
          </li>
        ))}
      </ul>
      <p className="text-sm text-soft">
        {place === 'lesson' ? 'In the lesson' : 'At home'}
        {due && `, due ${wholeDay(due)}`}
        {late && <strong className="text-vermilion"> · late</strong>}
        {note && ` · ${note}`}
      </p>
      {done ? (
        <p className="text-beam">Done.</p>
      ) : (
        next && (
          <Button
            look="main"
            className="mt-2"
            disabled={layOut.isPending}
            onClick={() => layOut.mutate({ kind: next.kind, mode: 'read' })}
          >
            Read the {nameOf(next.kind)}
          </Button>
        )
      )}
      {layOut.isError && <p role="alert">{sentenceFor(layOut.error)}</p>}
    </>
  );
}
