import { namesIn, parseExpression, substitute } from '../../figures';
import { beforeSuffix } from '../../record/formula';
import type { Investigation } from '../../record/investigation';
import { rearrangingsOf, type Rearranging } from './solve';

/** The formulas that come again and again, and one put into another. */
const common: readonly (readonly [left: string, formula: string])[] = [
  ['ρ', 'm / V'],
  ['V', 'L × W × h'],
  ['V', 'π × d^2 × h / 4 exact'],
  ['ρ', substitute('m / V', 'V', 'L × W × h')],
  ['V', 'V₂ − V₁'],
  ['ρ', 'ρ₀ × m / (m − m₀)'],
];

/** Formulas of density, solved for what is not on the left. */
export const rearrangings: readonly Rearranging[] = common.flatMap(([left, formula]) =>
  rearrangingsOf(left, formula),
);

/** Every formula of an investigation, and each with another one of it put in, solved for what is not on the left. */
export function rearrangingsIn({ tables, results }: Investigation): Rearranging[] {
  const formulas = new Map<string, string>([
    ...tables.flatMap(({ columns }) =>
      columns.flatMap((column) =>
        column.kind === 'derived' && !column.formula.includes(beforeSuffix)
          ? [[column.key, column.formula] as const]
          : [],
      ),
    ),
    ...results.flatMap((plan) => (plan.kind === 'value' ? [[plan.key, plan.formula] as const] : [])),
  ]);
  return [...formulas].flatMap(([left, formula]) => [
    ...rearrangingsOf(left, formula),
    ...namesIn(parseExpression(formula)).flatMap((name) => {
      const inner = formulas.get(name);
      return inner === undefined ? [] : rearrangingsOf(left, substitute(formula, name, inner));
    }),
  ]);
}
