import { figuresOf, stepTex, writeQuantity, type Conventions, type EvaluationStep } from '@green-beam/core';
import { lazy, Suspense } from 'react';

const Tex = lazy(() => import('../ui/Tex'));
const most = 40;

/** A calculation step by step: what each comes to, and what limits its figures. */
export function Steps({
  steps,
  rounding,
}: { readonly steps: readonly EvaluationStep[] } & Pick<Conventions, 'rounding'>) {
  return (
    <section aria-label="Steps">
      <h2 className="mb-2">Step by step</h2>
      <ol className="flex flex-col gap-3">
        {steps.slice(0, most).map((step, at) => (
          <li key={at}>
            <details open={steps.length <= 3}>
              <summary className="cursor-pointer">
                <span className="font-mono">{writeQuantity(step.result, rounding)}</span>{' '}
                <span className="text-soft">{ruleWords(step)}</span>
              </summary>
              <Suspense fallback={null}>
                <Tex tex={stepTex(step, rounding)} />
              </Suspense>
              <p className="text-sm text-soft">{whyWords(step, rounding)}</p>
            </details>
          </li>
        ))}
      </ol>
      {steps.length === 0 && <p className="text-soft">Nothing is reckoned here.</p>}
      {steps.length > most && <p className="text-soft">… and {steps.length - most} more.</p>}
    </section>
  );
}

const ruleNames: Readonly<Record<EvaluationStep['rule'], string>> = {
  'coarsest last place': 'the coarsest last place governs',
  'fewest figures': 'the fewest figures govern',
  'figures of the base': 'as many figures as the base',
  'decimals from figures': 'as many decimals as the number has figures',
  'figures from decimals': 'as many figures as the power has decimals',
  'slope times the last place': 'as sure as its slope makes it',
  'last place of the readings': 'the last place of the readings stays',
  'all exact': 'exact',
};

const ruleWords = ({ rule, figuresLost }: EvaluationStep): string =>
  `${ruleNames[rule]}${figuresLost > 0 ? `; ${figuresLost} ${figuresLost === 1 ? 'figure is' : 'figures are'} lost` : ''}`;

function whyWords(
  { operands, limitedBy, figuresLost }: EvaluationStep,
  rounding: Conventions['rounding'],
): string {
  const limiting = limitedBy.map((index) => operands[index]).filter((operand) => operand !== undefined);
  if (limiting.length === 0) return 'Nothing in it limits the result.';
  const named = limiting
    .map((operand) => `${writeQuantity(operand, rounding)} (${figuresOf(operand)} figures)`)
    .join(' and ');
  const lost =
    figuresLost > 0
      ? ' Nearly equal numbers were subtracted: what is left governs everything that follows.'
      : '';
  return `Limited by ${named}.${lost}`;
}
