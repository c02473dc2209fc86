import { endpoints, type BenchAnswer, type BenchInstrument } from '@green-beam/contract';
import type { Mode, Skill } from '@green-beam/core';
import { ReadersMark } from '@green-beam/drawing';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { Loading, Page, Trouble } from '../ui/Notice';
import { useLayOut } from './setting';
import { QuestionLine } from './QuestionLine';

export const useBench = () => useQuery({ queryKey: ['bench'], queryFn: () => call(endpoints.bench) });

/** What is on the shelf: choose an instrument, to read or to handle. */
export function BenchIndex() {
  const bench = useBench();
  if (bench.data === undefined) {
    return bench.isError ? (
      <Trouble error={bench.error} again={() => void bench.refetch()} />
    ) : (
      <Loading what="the bench" />
    );
  }
  return (
    <Page title="Bench" aside="Take an instrument and read it. Every setting is a new one.">
      <QuestionLine />
      <p className="mb-4 flex flex-wrap items-center gap-x-6 gap-y-2">
        <TakeSuggested bench={bench.data} />
        <Link to="which" className="underline underline-offset-4">
          Which instrument for this?
        </Link>
        <Link to="balance" className="underline underline-offset-4">
          Connected balance
        </Link>
      </p>
      <ul className="divide-y divide-rule border-y border-rule">
        {bench.data.instruments.map((instrument) => (
          <InstrumentLine
            key={instrument.kind}
            instrument={instrument}
            suggested={bench.data.suggestion?.kind === instrument.kind}
          />
        ))}
      </ul>
    </Page>
  );
}

const partWords: Readonly<Record<Skill, string>> = {
  d: 'what a division is worth',
  digits: 'how many digits',
  place: 'where to read',
  'zero error': 'where it begins',
  unit: 'the unit',
  working: 'working out',
  handling: 'handling',
};

/** One press to what is shaky: or else to what was not seen yet, or not for long. */
function TakeSuggested({ bench }: { readonly bench: BenchAnswer }) {
  const layOut = useLayOut();
  const suggested = bench.instruments.find(({ kind }) => kind === bench.suggestion?.kind);
  if (!suggested) return null;
  const { state } = suggested.skill;
  return (
    <Button
      look="main"
      disabled={layOut.isPending}
      onClick={() => layOut.mutate({ kind: suggested.kind, mode: 'read' })}
    >
      {state === 'shaky'
        ? 'Take what is shaky'
        : state === 'steady'
          ? 'Take one again'
          : 'Take something new'}
      : {suggested.name}
    </Button>
  );
}

function InstrumentLine({
  instrument,
  suggested,
}: {
  readonly instrument: BenchInstrument;
  readonly suggested: boolean;
}) {
  const { kind, name, models, skill, parts, mark } = instrument;
  const shaky = parts.filter(({ state }) => state === 'shaky').map(({ skill: part }) => partWords[part]);
  const [model, setModel] = useState('');
  const layOut = useLayOut();
  const take = (mode: Mode) => layOut.mutate({ kind, mode, ...(model === '' ? {} : { model }) });
  return (
    <li className="grid items-center gap-x-6 gap-y-3 py-5 md:grid-cols-[1fr_7rem_30rem]">
      <div>
        <h2 className="first-letter:uppercase">{name}</h2>
        <p>
          <strong>{skill.state}</strong>
          <span className="text-soft">: {skill.reason}</span>
        </p>
        {shaky.length > 0 && <p className="text-sm text-soft">Look at: {shaky.join(', ')}.</p>}
        {suggested && <p className="mt-1 text-brass">Worth practising now.</p>}
      </div>
      <div className="flex items-center gap-3">
        {mark && <ReadersMark mark={mark} shaky={skill.state === 'shaky'} />}
      </div>
      <div className="flex flex-wrap items-center gap-3 md:justify-end">
        {models.length > 1 && (
          <select
            aria-label={`Which ${name}`}
            value={model}
            onChange={(event) => setModel(event.target.value)}
            className="max-w-64 rounded-sm border border-edge bg-white px-2 py-2.5"
          >
            <option value="">Any of them</option>
            {models.map(({ id, name: modelName }) => (
              <option key={id} value={id}>
                {modelName}
              </option>
            ))}
          </select>
        )}
        <Button look="main" disabled={layOut.isPending} onClick={() => take('read')}>
          Read<span className="sr-only"> the {name}</span>
        </Button>
        <Button disabled={layOut.isPending} onClick={() => take('handle')}>
          Handle<span className="sr-only"> the {name}</span>
        </Button>
      </div>
      {layOut.isError && (
        <p role="alert" className="text-vermilion md:col-span-3">
          {sentenceFor(layOut.error)}
        </p>
      )}
    </li>
  );
}
