import { evaluate, ExpressionProblem, type Conventions, type Evaluation } from '@green-beam/core';
import { useId, useMemo, useRef } from 'react';
import { useConventions } from '../answers/conventions';
import { useDraft } from '../outbox/useDraft';
import { Button } from '../ui/Button';
import { Loading, Trouble } from '../ui/Notice';
import { ExactNumbers } from './ExactNumbers';
import { FiguresPage } from './Figures';
import { Reckoned } from './Reckoned';

const example = '(84.00 g − 62.15 g) / 25.0 mL';

/** An expression of measured values: as stacked fractions, step by step, in one's own conventions or another school's. */
export function Workbench() {
  const own = useConventions();
  if (own.data === undefined)
    return own.isError ? (
      <Trouble error={own.error} again={() => void own.refetch()} />
    ) : (
      <Loading what="your conventions" />
    );
  return <OpenWorkbench own={own.data.conventions} />;
}

function OpenWorkbench({ own }: { readonly own: Conventions }) {
  const [text, setText] = useDraft('workbench');
  const [rounding, setRounding] = useDraft('workbench/rounding');
  const [when, setWhen] = useDraft('workbench/when');
  const conventions = useMemo(
    () => ({
      ...own,
      ...(rounding === '' ? {} : { rounding: rounding as Conventions['rounding'] }),
      ...(when === '' ? {} : { roundWhen: when as Conventions['roundWhen'] }),
    }),
    [own, rounding, when],
  );
  const fieldId = useId();
  const field = useRef<HTMLTextAreaElement>(null);
  const reckoned = useMemo(() => tryReckoning(text, conventions), [text, conventions]);
  const select = 'rounded-sm border border-edge bg-white px-2 py-1.5';
  return (
    <FiguresPage title="Workbench" aside={`as ${own.preset} does it`}>
      <label htmlFor={fieldId} className="font-bold">
        Write a calculation with its units
      </label>
      <textarea
        ref={field}
        id={fieldId}
        rows={2}
        value={text}
        spellCheck={false}
        onChange={(event) => setText(event.target.value)}
        placeholder={example}
        className="mb-2 block w-full rounded-sm border-2 border-ink bg-white px-3 py-2 font-mono text-xl"
      />
      <div role="group" aria-label="Put into the calculation" className="mb-2 flex flex-wrap gap-1.5">
        {pieces.map((piece) => (
          <Button
            key={piece}
            className="px-2.5 py-1 font-mono text-sm"
            onClick={() => {
              setText(putIn(field.current, text, piece));
              field.current?.focus();
            }}
          >
            {piece.trim()}
          </Button>
        ))}
      </div>
      {'reckoning' in reckoned && reckoned.reckoning && (
        <ExactNumbers text={text} expression={reckoned.reckoning.expression} onChange={setText} />
      )}
      <p className="mb-4 flex flex-wrap items-center gap-x-5 gap-y-2 text-sm text-soft">
        <span>
          An exact number says so: 3 exact, 2.54 cm exact. Powers with ^, and sqrt, log, ln, exp, sin, cos,
          mean(a; b), abs, water(21.4 °C).
        </span>
        <Button look="quiet" className="text-sm" onClick={() => setText(example)}>
          An example
        </Button>
      </p>
      <div className="mb-6 flex flex-wrap gap-5">
        <label className="flex items-center gap-2">
          A tie goes
          <select
            value={conventions.rounding}
            onChange={(event) => setRounding(event.target.value)}
            className={select}
          >
            <option value="half-away">away from zero</option>
            <option value="half-even">to the even digit</option>
          </select>
        </label>
        <label className="flex items-center gap-2">
          Rounded
          <select
            value={conventions.roundWhen}
            onChange={(event) => setWhen(event.target.value)}
            className={select}
          >
            <option value="end">at the end</option>
            <option value="each-step">at each step</option>
          </select>
        </label>
      </div>
      {'problem' in reckoned ? (
        <Problem text={text} problem={reckoned.problem} />
      ) : (
        reckoned.reckoning && (
          <Reckoned text={text} reckoning={reckoned.reckoning} conventions={conventions} />
        )
      )}
    </FiguresPage>
  );
}

const pieces = [
  ' + ',
  ' − ',
  ' × ',
  ' / ',
  '^2',
  '(',
  ')',
  ' exact',
  'sqrt(',
  'mean(',
  'water(',
  'log(',
  'π',
  ' g',
  ' cm³',
  ' mL',
] as const;

/** The text with a piece put where the caret stands. */
function putIn(field: HTMLTextAreaElement | null, text: string, piece: string): string {
  const [from, to] = [field?.selectionStart ?? text.length, field?.selectionEnd ?? text.length];
  return `${text.slice(0, from)}${piece}${text.slice(to)}`;
}

type Tried = { readonly problem: ExpressionProblem } | { readonly reckoning: Evaluation | null };

function tryReckoning(text: string, conventions: Conventions): Tried {
  if (text.trim() === '') return { reckoning: null };
  try {
    return { reckoning: evaluate(text, conventions) };
  } catch (error) {
    if (error instanceof ExpressionProblem) return { problem: error };
    throw error;
  }
}

/** The place of a problem is marked under the text. */
function Problem({ text, problem }: { readonly text: string; readonly problem: ExpressionProblem }) {
  const from = Math.max(0, problem.at - 30);
  return (
    <div role="status" className="border-l-4 border-brass-line pl-3">
      <p>{problem.message}</p>
      <p className="overflow-x-auto font-mono whitespace-pre">
        {text.slice(from, problem.at)}
        <mark className="bg-brass-line/30 font-bold">{text.charAt(problem.at) || ' '}</mark>
        {text.slice(problem.at + 1, problem.at + 30)}
      </p>
    </div>
  );
}
