import type { CalculationAnswer } from '@green-beam/contract';
import { initials } from '@green-beam/core';
import { Stated } from '../ui/Figure';

/** Calculations from the workbench that were kept with this logbook. */
export function KeptCalculations({ calculations }: { readonly calculations: readonly CalculationAnswer[] }) {
  if (calculations.length === 0) return null;
  return (
    <section aria-label="Kept calculations" className="mt-8">
      <h2 className="mb-2">Kept calculations</h2>
      <ul className="divide-y divide-rule border-y border-rule">
        {calculations.map(({ id, expression, result, keeper }) => (
          <li key={id} className="flex flex-wrap items-baseline gap-x-4 py-2">
            <span className="font-mono">{expression.trim()}</span>= <Stated text={result} />
            <span className="text-xs text-soft">{initials(keeper)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
