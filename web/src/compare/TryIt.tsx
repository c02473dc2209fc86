import {
  compared,
  mostPretended,
  otherTruths,
  pretendedTrials,
  truestOf,
  type Conventions,
  type Pretended,
} from '@green-beam/core';
import { useId, useMemo, useState } from 'react';
import { useConventions } from '../answers/conventions';
import { Button } from '../ui/Button';
import { Loading, Page, Trouble } from '../ui/Notice';
import { Comparing } from './Comparing';

const start: readonly Pretended[] = [
  { name: 'Vessel A', bias: -0.1, scatter: 0.05 },
  { name: 'Vessel B', bias: 0.02, scatter: 0.15 },
];

/** Set bias and scatter, or have them hidden; let trials fall, guess, and see what the statistics say of so many. */
export function TryIt() {
  const rules = useConventions();
  if (rules.data === undefined)
    return rules.isError ? <Trouble error={rules.error} /> : <Loading what="the house rules" />;
  return <Trying conventions={rules.data.conventions} />;
}

function Trying({ conventions }: { readonly conventions: Conventions }) {
  const [truths, setTruths] = useState(start);
  const [hidden, setHidden] = useState(false);
  const [n, setN] = useState(4);
  const [seed, setSeed] = useState(1);
  const [guess, setGuess] = useState<string | null>(null);
  const comparison = useMemo(() => pretendedTrials(truths, n, seed), [truths, n, seed]);
  const all = useMemo(() => compared(comparison), [comparison]);
  const again = () => {
    setSeed((before) => before + 1);
    setGuess(null);
  };
  const hide = () => {
    setTruths(otherTruths(start, seed + 1000));
    setHidden(true);
    setN(2);
    again();
  };
  const truest = truestOf(truths)?.name;
  return (
    <Page title="Try it: bias and scatter" aside="two vessels that are pretended, marked 20 mL">
      <div className="mb-6 grid gap-x-10 gap-y-4 md:grid-cols-2">
        {truths.map((truth, at) => (
          <fieldset key={truth.name} className="border border-rule p-3">
            <legend className="px-1 font-bold">{truth.name}</legend>
            {hidden ? (
              <p className="text-soft">Drawn by chance, and hidden until you look.</p>
            ) : (
              (['bias', 'scatter'] as const).map((part) => (
                <Slider
                  key={part}
                  label={part === 'bias' ? 'Bias in mL' : 'Scatter in mL'}
                  value={truth[part]}
                  least={part === 'bias' ? -0.3 : 0.01}
                  most={0.3}
                  by={0.01}
                  onChange={(value) =>
                    setTruths(truths.map((own, nth) => (nth === at ? { ...own, [part]: value } : own)))
                  }
                />
              ))
            )}
          </fieldset>
        ))}
        <div className="md:col-span-2">
          <Slider label="Trials of each" value={n} least={1} most={mostPretended} by={1} onChange={setN} />
          <div className="mt-2 flex flex-wrap gap-3">
            <Button look="main" onClick={() => setN((before) => Math.min(mostPretended, before + 1))}>
              One more of each
            </Button>
            <Button onClick={again}>Other trials of the same vessels</Button>
            {hidden ? (
              <Button onClick={() => setHidden(false)}>Look at the truth</Button>
            ) : (
              <Button onClick={hide}>Hide other vessels</Button>
            )}
          </div>
        </div>
      </div>
      <fieldset className="mb-6">
        <legend className="font-bold">Your guess: which is more accurate?</legend>
        <div className="flex flex-wrap gap-x-5">
          {[...truths.map(({ name }) => name), 'It cannot be told yet'].map((own) => (
            <label key={own} className="flex items-center gap-2 py-1">
              <input type="radio" name="guess" checked={guess === own} onChange={() => setGuess(own)} />
              {own}
            </label>
          ))}
        </div>
      </fieldset>
      <Comparing
        name="Try it"
        comparison={comparison}
        conventions={conventions}
        covered={
          guess === null ? <p className="text-soft">Guess first; then see what these trials carry.</p> : null
        }
      />
      {guess !== null && !hidden && (
        <p className="mt-5 border-l-4 border-beam pl-3">
          In truth {truest} is the more accurate.{' '}
          {all.moreAccurate.some(({ carried }) => carried)
            ? 'These trials carry it.'
            : 'These trials do not carry it yet: whoever says so now is right by luck.'}
        </p>
      )}
    </Page>
  );
}

function Slider({
  label,
  value,
  least,
  most,
  by,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly by: number;
  readonly onChange: (value: number) => void;
}) {
  const id = useId();
  return (
    <div className="flex flex-wrap items-center gap-x-3">
      <label htmlFor={id} className="w-32">
        {label}
      </label>
      <input
        id={id}
        type="range"
        min={least}
        max={most}
        step={by}
        value={value}
        onChange={(event) => onChange(Number(event.target.value))}
        className="min-w-40 flex-1 accent-[#1d7f58]"
      />
      <output htmlFor={id} className="w-14 font-mono">
        {String(Number(value.toFixed(2))).replace('-', '−')}
      </output>
    </div>
  );
}
