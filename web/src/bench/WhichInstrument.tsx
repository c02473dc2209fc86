import { endpoints, type WhichAnswer } from '@green-beam/contract';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { Page } from '../ui/Notice';
import { ReadingField } from '../ui/ReadingField';

const unitsOffered = ['mm', 'cm', 'in', 'g', 'kg', 'mL', 'L', '°C', 'g/cm³'];

/** Which instrument is good enough for a thing and a wanted relative uncertainty: computed for each in the stock. */
export function WhichInstrument() {
  const [size, setSize] = useState('');
  const [unit, setUnit] = useState('mm');
  const [percent, setPercent] = useState('1');
  const ask = useMutation({
    mutationFn: () => call(endpoints.which, { body: { size, unit, percent } }),
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    ask.mutate();
  };
  return (
    <Page
      title="Which instrument?"
      aside="About how large is the thing, and how well do you want to know it?"
    >
      <form onSubmit={submit} className="mb-6 flex flex-wrap items-end gap-4">
        <label>
          About how large
          <ReadingField
            value={size}
            onChange={(event) => setSize(event.target.value)}
            className="w-36"
            required
          />
        </label>
        <label>
          Unit
          <select
            value={unit}
            onChange={(event) => setUnit(event.target.value)}
            className="block rounded-sm border-2 border-rule bg-white px-2 py-2"
          >
            {unitsOffered.map((symbol) => (
              <option key={symbol}>{symbol}</option>
            ))}
          </select>
        </label>
        <label>
          Wanted relative uncertainty, %
          <ReadingField
            value={percent}
            onChange={(event) => setPercent(event.target.value)}
            className="w-36"
            required
          />
        </label>
        <Button look="main" type="submit" disabled={ask.isPending}>
          Compute what each would give
        </Button>
      </form>
      {ask.isError && (
        <p role="alert" className="border-l-4 border-vermilion pl-3">
          {sentenceFor(ask.error)}
        </p>
      )}
      {ask.data && <Choices answer={ask.data} />}
    </Page>
  );
}

function Choices({ answer: { choices, plainest } }: { readonly answer: WhichAnswer }) {
  if (choices.length === 0) return <p>Nothing in the stock measures in this unit.</p>;
  const best = choices.find(({ model }) => model === plainest);
  return (
    <>
      <p className="mb-3 text-lg">
        {best ? (
          <>
            The plainest that is good enough: <strong>{best.name}</strong>, ±
            {percentText(best.relativePercent)}.
          </>
        ) : (
          'Nothing in the stock reaches that with one reading. Measure many alike together, or repeat.'
        )}
      </p>
      <div className="overflow-x-auto">
        <table className="w-full border-collapse">
          <caption className="sr-only">What each instrument would give</caption>
          <thead>
            <tr className="border-b-2 border-ink text-left">
              {['Instrument', 'Reading, ±', 'Maker, ±', 'Both, relative', ''].map((heading, at) => (
                <th key={at} scope="col" className="py-2 pr-4">
                  {heading || <span className="sr-only">Good enough</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {choices.map(({ model, name, unit, halfWidth, tolerance, relativePercent, fits, enough }) => (
              <tr key={model} className="border-b border-rule">
                <th scope="row" className="py-2 pr-4 text-left font-normal">
                  {name}
                </th>
                <td className="py-2 pr-4 font-mono">
                  {halfWidth} {unit}
                </td>
                <td className="py-2 pr-4 font-mono">
                  {tolerance} {unit}
                </td>
                <td className="py-2 pr-4 font-mono">{fits ? percentText(relativePercent) : '–'}</td>
                <td className="py-2">
                  {!fits ? (
                    <span className="text-soft">out of its range</span>
                  ) : enough ? (
                    <strong className="text-beam">good enough</strong>
                  ) : (
                    'too coarse'
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

const percentText = (percent: number): string => `${Number(percent.toPrecision(2))} %`;
