import { endpoints } from '@green-beam/contract';
import { instrumentOf, levels, type Investigation } from '@green-beam/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { call, sentenceFor } from '../../api';
import { Button } from '../../ui/Button';
import { ChoiceField, TextField } from '../../ui/fields';
import { levelNames } from './levels';

/** What comes with the app, found by what it is about, how it goes, and what is measured with. */
export function ReadyMade({
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
  const [level, setLevel] = useState('');
  const [longest, setLongest] = useState('');
  const kinds = [...new Set(bodies.flatMap(({ kit }) => kit.map((item) => item.kind)))].sort();
  const shown = bodies.filter(
    (body) =>
      (kind === '' || usesKind(body, kind)) &&
      (level === '' || body.level === level) &&
      (longest === '' || (body.minutes ?? Infinity) <= Number(longest)) &&
      speaksOf(body, words),
  );
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
        <ChoiceField
          label="Time"
          value={longest}
          choices={[
            ['', 'any'],
            ...[30, 45, 60, 90].map((minutes) => [String(minutes), `${minutes} minutes at most`] as const),
          ]}
          onChange={setLongest}
        />
        <ChoiceField
          label="Level"
          value={level}
          choices={[['', 'any'], ...levels.map((own) => [own, levelNames[own]] as const)]}
          onChange={setLevel}
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
      {(body.minutes ?? body.level) !== undefined && (
        <p className="text-sm text-soft">
          {[body.minutes && `${body.minutes} min`, body.level && levelNames[body.level]]
            .filter(Boolean)
            .join(', ')}
        </p>
      )}
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
