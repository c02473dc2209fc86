import { paths, type ConventionsAnswer } from '@green-beam/contract';
import {
  evaluate,
  ExpressionProblem,
  expressionTex,
  figuresOf,
  stepTex,
  writeQuantity,
  type Conventions,
  type Reckoning,
  type ReckoningStep,
} from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useId, useMemo, useRef } from 'react';
import { call } from '../api';
import { useDraft } from '../outbox/useDraft';
import { Stated } from '../ui/Figure';
import { Button } from '../ui/Button';
import { Loading, Trouble } from '../ui/Notice';
import { FiguresPage } from './Figures';
import { KeepInLogbook } from './KeepInLogbook';

const Tex = lazy(() => import('../ui/Tex'));
const example = '(84.00 g − 62.15 g) / 25.0 mL';

export const useConventions = () =>
  useQuery({ queryKey: ['conventions'], queryFn: () => call<ConventionsAnswer>('GET', paths.conventions) });

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
      <p className="mb-4 flex flex-wrap items-center gap-x-5 gap-y-2 text-sm text-soft">
        <span>
          An exact number is marked: 3!. Powers with ^, and sqrt, log, ln, exp, sin, cos, mean, abs.
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
        reckoned.reckoning && <Result text={text} reckoning={reckoned.reckoning} conventions={conventions} />
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
  '!',
  'sqrt(',
  'mean(',
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

type Tried = { readonly problem: ExpressionProblem } | { readonly reckoning: Reckoning | null };

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

function Result({
  text,
  reckoning,
  conventions,
}: {
  readonly text: string;
  readonly reckoning: Reckoning;
  readonly conventions: Conventions;
}) {
  const written = writeQuantity(reckoning.result, conventions.rounding);
  const tex = `${expressionTex(reckoning.expression)} = ${written.replace(/ (.+)$/, '\\,\\mathrm{$1}').replace(/×10\^(-?\d+)/, '\\times 10^{$1}')}`;
  const others = differences(text, conventions, written);
  return (
    <div className="grid gap-8 lg:grid-cols-[3fr_2fr]">
      <section aria-label="Result">
        <Suspense fallback={<p className="text-soft">Setting the formulas …</p>}>
          <Tex tex={expressionTex(reckoning.expression)} />
        </Suspense>
        <p className="my-3 text-3xl" aria-live="polite">
          = <Stated text={written} />
        </p>
        <p className="text-soft">Unrounded: {reckoning.result.value.toSignificantDigits(12).toString()}</p>
        {others.map((sentence) => (
          <p key={sentence} className="mt-2 border-l-4 border-brass-line pl-3">
            {sentence}
          </p>
        ))}
        <div className="mt-5 flex flex-wrap gap-3">
          <Button onClick={() => void navigator.clipboard.writeText(`${text.trim()} = ${written}`)}>
            Copy as text
          </Button>
          <Button onClick={() => void navigator.clipboard.writeText(tex)}>Copy as TeX</Button>
        </div>
        <KeepInLogbook expression={text} />
      </section>
      <section aria-label="Steps">
        <h2 className="mb-2">Step by step</h2>
        <ol className="flex flex-col gap-3">
          {reckoning.steps.slice(0, 40).map((step, at) => (
            <li key={at}>
              <details open={reckoning.steps.length <= 3}>
                <summary className="cursor-pointer">
                  <span className="font-mono">{writeQuantity(step.result, conventions.rounding)}</span>{' '}
                  <span className="text-soft">{ruleWords(step)}</span>
                </summary>
                <Suspense fallback={null}>
                  <Tex tex={stepTex(step, conventions.rounding)} />
                </Suspense>
                <p className="text-sm text-soft">{whyWords(step)}</p>
              </details>
            </li>
          ))}
        </ol>
        {reckoning.steps.length === 0 && <p className="text-soft">Nothing is reckoned here.</p>}
        {reckoning.steps.length > 40 && (
          <p className="text-soft">… and {reckoning.steps.length - 40} more.</p>
        )}
      </section>
    </div>
  );
}

/** Where another rounding, or another school, would write something else. */
function differences(text: string, conventions: Conventions, written: string): string[] {
  const by = (changed: Partial<Conventions>) => {
    const tried = tryReckoning(text, { ...conventions, ...changed });
    return 'reckoning' in tried && tried.reckoning
      ? writeQuantity(tried.reckoning.result, changed.rounding ?? conventions.rounding)
      : written;
  };
  const even = by({ rounding: conventions.rounding === 'half-even' ? 'half-away' : 'half-even' });
  const other = by({ roundWhen: conventions.roundWhen === 'end' ? 'each-step' : 'end' });
  return [
    ...(even === written ? [] : [`It ends in a tie: a class that rounds the other way writes ${even}.`]),
    ...(other === written
      ? []
      : [`Rounded ${conventions.roundWhen === 'end' ? 'at each step' : 'at the end'} it would be ${other}.`]),
  ];
}

const ruleNames: Readonly<Record<ReckoningStep['rule'], string>> = {
  'coarsest last place': 'the coarsest last place governs',
  'fewest figures': 'the fewest figures govern',
  'figures of the base': 'as many figures as the base',
  'decimals from figures': 'as many decimals as the number has figures',
  'figures from decimals': 'as many figures as the power has decimals',
  'slope times the last place': 'as sure as the angle makes it',
  'last place of the readings': 'the last place of the readings stays',
  'all exact': 'exact',
};

const ruleWords = ({ rule, figuresLost }: ReckoningStep): string =>
  `${ruleNames[rule]}${figuresLost > 0 ? `; ${figuresLost} ${figuresLost === 1 ? 'figure is' : 'figures are'} lost` : ''}`;

function whyWords({ operands, limitedBy, figuresLost }: ReckoningStep): string {
  const limiting = limitedBy.map((index) => operands[index]).filter((operand) => operand !== undefined);
  if (limiting.length === 0) return 'Nothing in it limits the result.';
  const named = limiting
    .map((operand) => `${writeQuantity(operand, 'half-away')} (${figuresOf(operand)} figures)`)
    .join(' and ');
  const lost =
    figuresLost > 0
      ? ' Nearly equal numbers were subtracted: what is left governs everything that follows.'
      : '';
  return `Limited by ${named}.${lost}`;
}
