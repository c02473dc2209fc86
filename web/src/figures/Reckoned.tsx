import {
  expressionTex,
  roundedTex,
  writeQuantity,
  writtenElsewhere,
  type Conventions,
  type Evaluation,
} from '@green-beam/core';
import { lazy, Suspense } from 'react';
import { Button } from '../ui/Button';
import { Stated } from '../ui/Figure';
import { KeepInLogbook } from './KeepInLogbook';
import { Steps } from './Steps';

const Tex = lazy(() => import('../ui/Tex'));

/** What a calculation comes to, what another rounding or school would write, and how it came about. */
export function Reckoned({
  text,
  reckoning,
  conventions,
}: {
  readonly text: string;
  readonly reckoning: Evaluation;
  readonly conventions: Conventions;
}) {
  const written = writeQuantity(reckoning.result, conventions.rounding);
  const tex = `${expressionTex(reckoning.expression)} = ${roundedTex(reckoning.result, conventions.rounding)}`;
  const others = differences(text, conventions);
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
      <Steps steps={reckoning.steps} rounding={conventions.rounding} />
    </div>
  );
}

/** Where another rounding, or another school, would write something else. */
function differences(text: string, conventions: Conventions): string[] {
  const { otherTie, otherTime } = writtenElsewhere(text, conventions);
  return [
    ...(otherTie === null ? [] : [`It ends in a tie: a class that rounds the other way writes ${otherTie}.`]),
    ...(otherTime === null
      ? []
      : [
          `Rounded ${conventions.roundWhen === 'end' ? 'at each step' : 'at the end'} it would be ${otherTime}.`,
        ]),
  ];
}
