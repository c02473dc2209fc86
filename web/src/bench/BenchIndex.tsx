import type { BenchAnswer, BenchInstrument } from '@green-beam/contract';
import { ReadersMark } from '@green-beam/drawing';
import clsx from 'clsx';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { ownBench, shownNow } from '../answers/own';
import { useAnswered } from '../answers/useAnswered';
import { useWho } from '../session/who';
import { Button } from '../ui/Button';
import { Loading, Page, Trouble } from '../ui/Notice';
import { QuestionLine } from './QuestionLine';
import { useLayOut } from './setting';
import { useBench } from './useBench';

const WholeInstrument = lazy(async () => ({
  default: (await import('@green-beam/drawing/examples')).WholeInstrument,
}));

/** What is on the shelf, drawn, by what it measures. */
export function BenchIndex() {
  const bench = useBench();
  const { role } = useWho();
  const answered = useAnswered([ownBench, { ...shownNow, enabled: role === 'student' }]);
  if (bench.data === undefined || !answered) {
    return bench.isError ? (
      <Trouble error={bench.error} again={() => void bench.refetch()} />
    ) : (
      <Loading what="the bench" />
    );
  }
  const { instruments, suggestion } = bench.data;
  const quantities = [...new Set(instruments.map(({ quantity }) => quantity))].sort(
    (a, b) => order.indexOf(a) - order.indexOf(b),
  );
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
      <div className="flex flex-wrap gap-x-2 gap-y-5 sm:gap-x-6">
        {quantities.map((quantity) => {
          const these = instruments.filter((instrument) => instrument.quantity === quantity);
          return (
            <section
              key={quantity}
              aria-label={quantity}
              className={clsx(these.length > 1 ? 'max-sm:w-full' : 'max-sm:w-[calc((100%-1rem)/3)]')}
            >
              <h2 className="mb-2 first-letter:uppercase">{quantity}</h2>
              <ul
                className={clsx(
                  'grid gap-2 sm:flex sm:flex-wrap sm:gap-3',
                  these.length > 1 && 'grid-cols-3',
                )}
              >
                {these.map((instrument) => (
                  <Tile
                    key={instrument.kind}
                    instrument={instrument}
                    suggested={suggestion?.kind === instrument.kind}
                  />
                ))}
              </ul>
            </section>
          );
        })}
      </div>
    </Page>
  );
}

const order: readonly string[] = ['length', 'mass', 'volume', 'temperature', 'density'];

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

/** An instrument as it stands on the shelf, with the reader’s mark and state. */
function Tile({
  instrument: { kind, name, skill, mark },
  suggested,
}: {
  readonly instrument: BenchInstrument;
  readonly suggested: boolean;
}) {
  return (
    <li className="min-w-0 sm:w-[154px]">
      <Link
        to={`instruments/${kind}`}
        className="group flex h-full flex-col rounded-sm border border-rule bg-white hover:border-ink"
      >
        <span className="block h-24 rounded-t-sm bg-bench p-2 sm:h-32">
          <Suspense>
            <WholeInstrument kind={kind} className="size-full" />
          </Suspense>
        </span>
        <span className="flex flex-1 flex-col gap-0.5 p-2 leading-tight">
          <strong className="first-letter:uppercase group-hover:underline">{name}</strong>
          <span className={suggested ? 'text-sm text-brass' : 'text-sm text-soft'}>
            {skill.state}
            {suggested && ', worth practising now'}
          </span>
          {mark && (
            <span className="mt-auto block [&_svg]:h-auto [&_svg]:max-w-full">
              <ReadersMark mark={mark} shaky={skill.state === 'shaky'} />
            </span>
          )}
        </span>
      </Link>
    </li>
  );
}
