import { endpoints, type InvestigationLine } from '@green-beam/contract';
import { instrumentOf, shapes, type Investigation } from '@green-beam/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { download, fileName } from '../ui/download';
import { ChoiceField, TextField } from '../ui/fields';
import { Stated } from '../ui/Figure';
import { Loading, Page, Trouble } from '../ui/Notice';
import { Symbol } from '../ui/Symbol';

export const useInvestigations = (classId: string) =>
  useQuery({
    queryKey: ['investigations', classId],
    queryFn: () => call(endpoints.investigations, { params: { classId } }),
  });

/** What is set for a class, its logbooks, and what comes with the app. */
export function Investigations() {
  const { classId = '' } = useParams();
  const answer = useInvestigations(classId);
  if (answer.data === undefined) {
    return answer.isError ? (
      <Trouble error={answer.error} again={() => void answer.refetch()} />
    ) : (
      <Loading what="the investigations" />
    );
  }
  const { investigations, readyMade } = answer.data;
  return (
    <Page title="Investigations" aside={answer.data.class.name}>
      <div className="grid gap-x-12 gap-y-8 xl:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <section aria-label="Set for this class">
          <div className="mb-2 flex flex-wrap items-baseline justify-between gap-3">
            <h2>Set for this class</h2>
            <Link to="edit" className="underline underline-offset-4">
              Write a new one, or read one from a file
            </Link>
          </div>
          <ul className="divide-y divide-rule border-y border-rule">
            {investigations.map((line) => (
              <li key={line.id} className="py-4">
                <SetWork classId={classId} line={line} />
              </li>
            ))}
          </ul>
        </section>
        <div className="flex flex-col gap-8">
          <Shapes />
          <ReadyMade
            classId={classId}
            bodies={readyMade}
            set={new Set(investigations.map(({ body: { title } }) => title))}
          />
        </div>
      </div>
    </Page>
  );
}

function SetWork({ classId, line }: { readonly classId: string; readonly line: InvestigationLine }) {
  const queries = useQueryClient();
  const change = useMutation({
    mutationFn: (retired: boolean) =>
      call(endpoints.changeInvestigation, {
        params: { classId, investigationId: line.id },
        body: { retired },
      }),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['investigations', classId] }),
  });
  const { body, version, retired, logbooks } = line;
  const handedIn = logbooks.filter((book) => book.handedIn).length;
  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h3 className={retired ? 'text-lg text-soft' : 'text-lg font-bold'}>{body.title}</h3>
        <span className="text-sm text-soft">
          version {version} · {logbooks.length} {logbooks.length === 1 ? 'logbook' : 'logbooks'}, {handedIn}{' '}
          handed in
          {retired && ' · not set'}
        </span>
      </div>
      <p className="max-w-[70ch] text-soft">{body.aim}</p>
      <div className="mt-2 flex flex-wrap gap-x-5">
        <Link to={`edit?from=${line.id}`} className="py-1 underline underline-offset-4">
          Adapt
        </Link>
        <Button
          look="quiet"
          onClick={() =>
            download(`${fileName(body.title)}.json`, 'application/json', JSON.stringify(body, null, 2))
          }
        >
          Save as a file
        </Button>
        <Button look="quiet" disabled={change.isPending} onClick={() => change.mutate(!retired)}>
          {retired ? 'Set it again' : 'Take it off the list'}
        </Button>
      </div>
      {change.isError && <p role="alert">{sentenceFor(change.error)}</p>}
      {logbooks.length > 0 && (
        <ul className="mt-2 grid gap-x-6 gap-y-1 sm:grid-cols-2">
          {logbooks.map((book) => (
            <li key={book.logbookId}>
              <Link
                to={`/logbook/${book.logbookId ?? ''}`}
                className="underline decoration-edge underline-offset-4"
              >
                {book.readers.join(', ')}
              </Link>
              <span className="block text-sm text-soft">
                {book.resultText ? (
                  <>
                    <Symbol text={book.resultSymbol} /> = <Stated text={book.resultText} />
                  </>
                ) : (
                  `${book.completeTrials} of ${book.trialsWanted} trials`
                )}
                {book.handedIn && ' · handed in'}
              </span>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

/** Methods without a thing: a new investigation begins with one, and only names and numbers are left to write. */
function Shapes() {
  return (
    <section aria-label="Begin from a shape">
      <h2 className="mb-2">Begin from a shape</h2>
      <p className="mb-2 text-sm text-soft">Kit, steps, table and formulas are there; name it and set it.</p>
      <dl className="flex flex-col gap-2">
        {[...new Set(shapes.map(({ of }) => of))].map((of) => (
          <div key={of}>
            <dt className="text-sm text-soft">{of}</dt>
            <dd className="flex flex-wrap gap-x-4">
              {shapes
                .filter((shape) => shape.of === of)
                .map(({ key, name }) => (
                  <Link key={key} to={`edit?shape=${key}`} className="py-1 underline underline-offset-4">
                    {name}
                  </Link>
                ))}
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** What comes with the app, found by what it is about, how it goes, and what is measured with. */
function ReadyMade({
  classId,
  bodies,
  set,
}: {
  readonly classId: string;
  readonly bodies: readonly Investigation[];
  readonly set: ReadonlySet<string>;
}) {
  const [words, setWords] = useState('');
  const [kind, setKind] = useState('');
  const kinds = [...new Set(bodies.flatMap(({ kit }) => kit.map((item) => item.kind)))].sort();
  const shown = bodies.filter((body) => (kind === '' || usesKind(body, kind)) && speaksOf(body, words));
  return (
    <section aria-label="Ready-made">
      <h2 className="mb-2">Ready-made</h2>
      <div className="mb-3 grid gap-3 sm:grid-cols-2">
        <TextField label="About" value={words} onChange={setWords} longest={40} />
        <ChoiceField
          label="Measured with"
          value={kind}
          choices={[
            ['', 'anything'],
            ...kinds.map((own) => [own, instrumentOf(own).name.toLowerCase()] as const),
          ]}
          onChange={setKind}
        />
      </div>
      {shown.length === 0 && <p className="text-soft">None of the {bodies.length} is like that.</p>}
      <ul className="divide-y divide-rule border-y border-rule">
        {shown.map((body) => (
          <li key={body.title} className="py-3">
            <Ready classId={classId} body={body} there={set.has(body.title)} />
          </li>
        ))}
      </ul>
    </section>
  );
}

const usesKind = ({ kit }: Investigation, wanted: string): boolean => kit.some(({ kind }) => kind === wanted);

/** Whether every word is somewhere in it. */
function speaksOf({ title, aim, object, route, steps }: Investigation, words: string): boolean {
  const all = [title, aim, object, route, ...steps.map(({ text }) => text)].join(' ').toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => all.includes(word));
}

function Ready({
  classId,
  body,
  there,
}: {
  readonly classId: string;
  readonly body: Investigation;
  readonly there: boolean;
}) {
  const queries = useQueryClient();
  const use = useMutation({
    mutationFn: () =>
      call(endpoints.newInvestigation, {
        params: { classId },
        body: { id: crypto.randomUUID(), replaces: null, body },
      }),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['investigations', classId] }),
  });
  return (
    <>
      <h3 className="font-bold">{body.title}</h3>
      <p className="text-sm text-soft">{body.aim}</p>
      <div className="mt-1 flex flex-wrap items-center gap-x-5">
        {there ? (
          <span className="text-beam">Set for this class</span>
        ) : (
          <Button look="quiet" disabled={use.isPending} onClick={() => use.mutate()}>
            Set this work
          </Button>
        )}
        <Link
          to={`edit?ready=${encodeURIComponent(body.title)}`}
          className="py-1 underline underline-offset-4"
        >
          Adapt
        </Link>
      </div>
      {use.isError && <p role="alert">{sentenceFor(use.error)}</p>}
    </>
  );
}
