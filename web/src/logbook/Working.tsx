import type { WorkingStep } from '@green-beam/core';
import { Collapsible } from 'radix-ui';
import { lazy, Suspense } from 'react';

const Tex = lazy(() => import('../ui/Tex'));

/** A computed number unfolds into formula, numbers with units, unrounded, rounded and why. */
export function Working({
  title,
  steps,
}: {
  readonly title: string;
  /** Asked only once it is unfolded. */
  readonly steps: () => readonly WorkingStep[];
}) {
  return (
    <Collapsible.Root className="border-t border-rule">
      <Collapsible.Trigger className="group flex w-full items-center gap-2 py-3 text-left font-bold">
        <span
          aria-hidden="true"
          className="inline-block transition-transform group-data-[state=open]:rotate-90 motion-reduce:transition-none"
        >
          ▸
        </span>
        {title}
      </Collapsible.Trigger>
      <Collapsible.Content>
        <Suspense fallback={<p className="pb-4 text-soft">Setting the formulas …</p>}>
          <WorkingSteps steps={steps} />
        </Suspense>
      </Collapsible.Content>
    </Collapsible.Root>
  );
}

/** The steps by themselves, as the report has them. */
export function WorkingSteps({ steps }: { readonly steps: () => readonly WorkingStep[] }) {
  return (
    <ol className="flex flex-col gap-5 pb-5">
      {steps().map((step) => (
        <li key={step.title} className="break-inside-avoid">
          <h3 className="mb-1 font-bold">{step.title}</h3>
          {step.tex.map((tex) => (
            <Tex key={tex} tex={tex} />
          ))}
          <p className="text-soft">{step.why}</p>
        </li>
      ))}
    </ol>
  );
}
