import { exchanged, ExpressionProblem, namesIn, parseExpression, type Expression } from '../figures';
import { columnOf, type Column, type DerivedColumn, type Investigation, type Table } from './investigation';

/** In a formula, `<key>_before` is the same column in the trial before. */
export const beforeSuffix = '_before';

/** A name of a formula: which column it means, and of which trial. */
export interface Named {
  readonly column: Column;
  readonly table: Table;
  /** Its own trial, the one before, or the mean over the other table's trials. */
  readonly of: 'trial' | 'before' | 'mean';
}

/**
 * What a name means in a formula of a table. A column of another table, or of any table where there is no own one, stands for its
 * mean.
 */
export function named(investigation: Investigation, own: Table | null, name: string): Named | undefined {
  const before = name.endsWith(beforeSuffix);
  const found = columnOf(investigation, before ? name.slice(0, -beforeSuffix.length) : name);
  if (!found || (before && found.table !== own)) return undefined;
  return { ...found, of: before ? 'before' : found.table === own ? 'trial' : 'mean' };
}

const parsedBefore = new Map<string, Expression>();

/**
 * A formula with its numbers exact: whoever wrote it read none of them. Formulas are few and asked for often: each is parsed once.
 * @throws ExpressionProblem
 */
export function parsedFormula(formula: string): Expression {
  const known = parsedBefore.get(formula);
  if (known) return known;
  const parsed = exchanged(parseExpression(formula), (leaf) =>
    leaf.kind === 'number' ? { ...leaf, exact: true } : leaf,
  );
  if (parsedBefore.size > 500) parsedBefore.clear();
  parsedBefore.set(formula, parsed);
  return parsed;
}

/** True where trials share a reading: some formula behind the column reaches back to the trial before. */
export function sharesReadings(
  investigation: Investigation,
  { formula }: DerivedColumn,
  table: Table,
): boolean {
  return namesIn(parsedFormula(formula)).some((name) => {
    const found = named(investigation, table, name);
    if (found?.of === 'before') return true;
    return (
      found?.of === 'trial' &&
      found.column.kind === 'derived' &&
      sharesReadings(investigation, found.column, table)
    );
  });
}

/** A problem of a formula as one sentence. */
export const sentenceOf = (error: unknown): string | null =>
  error instanceof ExpressionProblem || error instanceof RangeError ? error.message : null;
