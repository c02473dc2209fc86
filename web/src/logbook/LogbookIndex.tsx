import { endpoints, type LogbookLine } from '@green-beam/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { shapes, mostMarks } from '@green-beam/core';
import { lazy, Suspense, useId, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { ownLogbooks } from '../answers/own';
import { call, sentenceFor } from '../api';
import { useDraft } from '../outbox/useDraft';
import { useWho } from '../session/who';
import { Button } from '../ui/Button';
import { TextField } from '../ui/fields';
import { Stated } from '../ui/Figure';
import { Loading, Page, Trouble } from '../ui/Notice';
import { Symbol } from '../ui/Symbol';

const ObjectDrawing = lazy(async () => ({
  default: (await import('@green-beam/drawing/objects')).ObjectDrawing,
}));

export const useLogbooks = (enabled = true) => useQuery({ ...ownLogbooks, enabled });

/** A student’s investigations, and whoever’s own logbooks. */
export function LogbookIndex() {
  const books = useLogbooks();
  const { role } = useWho();
  if (books.data === undefined) {
    return books.isError ? (
      <Trouble error={books.error} again={() => void books.refetch()} />
    ) : (
      <Loading what="your logbooks" />
    );
  }
  return (
    <Page title="Logbook">
      {books.data.begins ? (
        <BeginOwn classId={books.data.begins} />
      ) : (
        role === 'teacher' && (
          <p className="mb-6">
            A logbook of your own follows the house rules of a class. Make one first, under Today, even for
            yourself alone.
          </p>
        )
      )}
      {books.data.logbooks.length === 0 ? (
        role === 'student' && (
          <p>
            Your teacher has not set an investigation yet. Until then the Bench is a good place to practise.
          </p>
        )
      ) : (
        <ul className="divide-y divide-rule border-y border-rule">
          {books.data.logbooks.map((line) => (
            <li key={line.investigationId} className="py-5">
              <LogbookSummary line={line} />
            </li>
          ))}
        </ul>
      )}
    </Page>
  );
}

const kinds = [...new Set(shapes.map(({ of }) => of))];

/** A logbook of one’s own: of what, and how it is measured; then it is open. */
function BeginOwn({ classId }: { readonly classId: string }) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [title, setTitle] = useDraft('begin/title');
  const [shape, setShape] = useState(displacement);
  const begin = useMutation({
    mutationFn: () =>
      call(endpoints.beginLogbook, {
        params: { classId },
        body: { id: crypto.randomUUID(), shape, title: title.trim() },
      }),
    onSuccess: ({ logbookId }) => {
      setTitle('');
      void queries.invalidateQueries({ queryKey: ['logbooks'] });
      void navigate(`/logbook/${logbookId}`);
    },
  });
  const id = useId();
  return (
    <form
      aria-label="A logbook of your own"
      className="mb-6 flex flex-wrap items-end gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (title.trim() !== '') begin.mutate();
      }}
    >
      <TextField
        label="A logbook of your own: of what?"
        longest={120}
        value={title}
        onChange={setTitle}
        className="w-72"
      />
      <div>
        <label htmlFor={id} className="block text-sm text-soft">
          How it is measured
        </label>
        <select
          id={id}
          value={shape}
          onChange={(event) => setShape(event.target.value)}
          className="rounded-sm border border-edge bg-white px-2 py-2"
        >
          {kinds.map((of) => (
            <optgroup key={of} label={of}>
              {shapes
                .filter((own) => own.of === of)
                .map(({ key, name }) => (
                  <option key={key} value={key}>
                    {name}
                  </option>
                ))}
            </optgroup>
          ))}
        </select>
      </div>
      <Button look="main" type="submit" disabled={begin.isPending || title.trim() === ''}>
        Begin it
      </Button>
      {begin.isError && (
        <p role="alert" className="basis-full text-vermilion">
          {sentenceFor(begin.error)}
        </p>
      )}
    </form>
  );
}

const displacement = shapes.find(({ key }) => key === 'displacement')?.key ?? '';

export function LogbookSummary({ line }: { readonly line: LogbookLine }) {
  const navigate = useNavigate();
  const open = useMutation({
    mutationFn: () =>
      call(endpoints.openLogbook, { params: { investigationId: line.investigationId }, body: {} }),
    onSuccess: ({ logbookId }) => navigate(`/logbook/${logbookId}`),
  });
  return (
    <div className="flex flex-wrap items-center gap-4">
      <span className="h-20 w-24 shrink-0 rounded-sm bg-bench p-1">
        <Suspense>
          <ObjectDrawing object={line.object} className="size-full" />
        </Suspense>
      </span>
      <div className="mr-auto min-w-40 flex-1">
        <h2>{line.title}</h2>
        <p className="text-soft">
          {line.logbookId === null
            ? 'Not opened yet.'
            : `${line.completeTrials} of ${line.trialsWanted} trials · ${line.readers.join(', ')}`}
        </p>
        {line.resultText && (
          <p>
            <Symbol text={line.resultSymbol} /> = <Stated text={line.resultText} />
            {line.handedIn && <span className="ml-3 text-beam">handed in</span>}
          </p>
        )}
        {line.back && (
          <p>
            <Link
              to={`/logbook/${line.logbookId ?? ''}/review`}
              className="font-bold text-beam underline underline-offset-4"
            >
              Came back: {line.back.mark} of {mostMarks}
            </Link>
          </p>
        )}
        {open.isError && <p role="alert">{sentenceFor(open.error)}</p>}
      </div>
      {line.logbookId === null ? (
        <Button look="main" onClick={() => open.mutate()} disabled={open.isPending}>
          Open the logbook
        </Button>
      ) : (
        <Link
          to={`/logbook/${line.logbookId}`}
          className="rounded-sm border border-edge bg-white px-4 py-2.5 font-bold hover:border-ink"
        >
          {line.completeTrials < line.trialsWanted ? 'Go on' : 'Look at it'}
        </Link>
      )}
    </div>
  );
}
