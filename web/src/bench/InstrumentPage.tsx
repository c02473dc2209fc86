import type { BenchInstrument } from '@green-beam/contract';
import { instrumentCards, type Mode, type Skill } from '@green-beam/core';
import { ReadersMark } from '@green-beam/drawing';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { Loading, Page, Trouble } from '../ui/Notice';
import { CardDrawing, PartList } from './CardParts';
import { CardText, Makes } from './CardText';
import { useLayOut } from './setting';
import { useBench } from './useBench';

/** One instrument from the shelf: its card, which make of it, to read or to handle. */
export function InstrumentPage() {
  const { kind } = useParams();
  const bench = useBench();
  if (bench.data === undefined) {
    return bench.isError ? (
      <Trouble error={bench.error} again={() => void bench.refetch()} />
    ) : (
      <Loading what="the instrument" />
    );
  }
  const instrument = bench.data.instruments.find((one) => one.kind === kind);
  if (!instrument)
    return (
      <Page title="Not on this shelf">
        <Link to="/bench" className="underline underline-offset-4">
          To the shelf
        </Link>
      </Page>
    );
  return <OfOne instrument={instrument} />;
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

function OfOne({ instrument }: { readonly instrument: BenchInstrument }) {
  const { kind, name, models, skill, parts, mark } = instrument;
  const card = instrumentCards[kind];
  const [model, setModel] = useState('');
  const layOut = useLayOut();
  const take = (mode: Mode) => layOut.mutate({ kind, mode, ...(model === '' ? {} : { model }) });
  const shaky = parts.filter(({ state }) => state === 'shaky').map(({ skill: part }) => partWords[part]);
  return (
    <Page
      title={name.charAt(0).toUpperCase() + name.slice(1)}
      aside={
        <>
          <strong className="text-ink">{skill.state}</strong>: {skill.reason}
        </>
      }
    >
      <div className="grid gap-x-8 gap-y-5 md:grid-cols-[3fr_2fr] print:block">
        <CardDrawing kind={kind} name={name} />
        <div className="flex flex-col gap-4">
          <div className="flex flex-wrap items-center gap-3 print:hidden">
            <Button look="main" disabled={layOut.isPending} onClick={() => take('read')}>
              Read<span className="sr-only"> the {name}</span>
            </Button>
            <Button disabled={layOut.isPending} onClick={() => take('handle')}>
              Handle<span className="sr-only"> the {name}</span>
            </Button>
            {mark && <ReadersMark mark={mark} shaky={skill.state === 'shaky'} />}
          </div>
          {layOut.isError && (
            <p role="alert" className="text-vermilion">
              {sentenceFor(layOut.error)}
            </p>
          )}
          {shaky.length > 0 && <p className="text-soft">Look at: {shaky.join(', ')}.</p>}
          <Makes makes={models} chosen={model} onChoose={setModel} />
          <PartList card={card} />
        </div>
      </div>
      <CardText card={card} className="mt-6 md:grid md:grid-cols-2 md:gap-x-10" />
      <p className="mt-6 flex gap-5 print:hidden">
        <Button look="quiet" onClick={() => print()}>
          Print this card
        </Button>
        <Link to="/bench" className="self-center underline underline-offset-4">
          Another instrument
        </Link>
      </p>
    </Page>
  );
}
