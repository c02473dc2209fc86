import type { Contribution } from './propagate';

/** One line of a budget: what a source adds to the uncertainty of the result. */
export interface BudgetLine {
  readonly source: string;
  /** Its part by itself, in the result's unit. */
  readonly amount: number;
  /** Its share of the variance, from 0 to 1. */
  readonly share: number;
  /** What the uncertainty would be if it were half as large. */
  readonly ifHalved: number;
}

/** Shares of the variance, the largest first; a source that cancels has none. */
export function budgetOf(
  contributions: readonly Pick<Contribution, 'source' | 'contribution'>[],
): BudgetLine[] {
  const variance = contributions.reduce((sum, { contribution: amount }) => sum + amount ** 2, 0);
  return contributions
    .map(({ source, contribution: amount }) => ({
      source,
      amount: Math.abs(amount),
      share: variance === 0 ? 0 : amount ** 2 / variance,
      ifHalved: Math.sqrt(Math.max(0, variance - 0.75 * amount ** 2)),
    }))
    .sort((a, b) => b.share - a.share);
}

/** What counts most in a budget. */
export interface Greatest {
  /** One source, or several that count alike. */
  readonly sources: readonly string[];
  /** What the uncertainty would be if all of them were half as large. */
  readonly ifHalved: number;
}

/** Shares this close are called equal: nobody could say which of them matters more. */
const alikeWithin = 0.01;

/** The sources of the largest share; null for an empty budget. */
export function greatestIn(budget: readonly BudgetLine[]): Greatest | null {
  const [first] = budget;
  if (!first || first.share === 0) return null;
  const alike = budget.filter(({ share }) => first.share - share <= alikeWithin);
  const squares = (lines: readonly BudgetLine[]) => lines.reduce((sum, { amount }) => sum + amount ** 2, 0);
  return {
    sources: alike.map(({ source }) => source),
    ifHalved: Math.sqrt(Math.max(0, squares(budget) - 0.75 * squares(alike))),
  };
}

const [most, leastShare] = [10, 0.0005] as const;

/** The lines worth showing: the ten largest, and none below a twentieth of a percent of the variance. */
export const mainLines = (budget: readonly BudgetLine[]): readonly BudgetLine[] =>
  budget.filter(({ share }) => share > leastShare).slice(0, most);
