import {
  ExpressionProblem,
  Exact,
  exactly,
  measured,
  parseExpression,
  parseNumber,
  clockSeconds,
  type Expression,
  type Quantity,
} from '../figures';
import { parseProduct } from '../units';
import type { TrailingZeros } from '../figures';
import {
  columnOf,
  unitOf,
  type Column,
  type DerivedColumn,
  type Investigation,
  type Table,
} from './investigation';

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

/** Formulas are few and asked for often: each is parsed once. @throws ExpressionProblem */
export function parsedFormula(formula: string): Expression {
  const known = parsedBefore.get(formula);
  if (known) return known;
  const parsed = parseExpression(formula);
  if (parsedBefore.size > 500) parsedBefore.clear();
  parsedBefore.set(formula, parsed);
  return parsed;
}

/** Every name in an expression, once. */
export function namesIn(node: Expression): string[] {
  const names = new Set<string>();
  const walk = (of: Expression): void => {
    if (of.kind === 'name') names.add(of.name);
    else if (of.kind === 'group' || of.kind === 'negative') walk(of.of);
    else if (of.kind === 'call') of.arguments.forEach(walk);
    else if (of.kind === 'operation') [of.left, of.right].forEach(walk);
  };
  walk(node);
  return [...names].filter((name) => name !== 'π' && name !== 'pi');
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

/** What is written in a cell, as a quantity; null where it is empty or cannot be read. */
export function quantityOf(
  text: string | undefined,
  column: Column,
  trailingZeros: TrailingZeros,
  firstClock: string | undefined,
): Quantity | null {
  if (text === undefined || text.trim() === '') return null;
  if (column.kind === 'clock') return minutesSince(firstClock ?? text, text);
  const parsed = parseNumber(text, trailingZeros);
  if (!parsed.ok) return null;
  const unit = unitOf(column) === '' ? [] : parseProduct(unitOf(column));
  const tracked = column.kind === 'count' ? exactly(parsed.number.value) : measured(parsed.number);
  return { ...tracked, unit, point: unitOf(column) === '°C' || unitOf(column) === '°F' };
}

/** Minutes from the first clock time of a column; one that is earlier is of the next day. */
function minutesSince(first: string, text: string): Quantity | null {
  try {
    const [from, to] = [clockSeconds(first), clockSeconds(text)];
    const seconds = to < from ? to - from + 86_400 : to - from;
    const minutes = new Exact(seconds).div(60);
    const toSeconds = /:\d{2}:\d{2}/.test(text);
    return { value: minutes, lastPlace: toSeconds ? -1 : 0, unit: parseProduct('min'), point: false };
  } catch {
    return null;
  }
}

/** A problem of a formula as one sentence. */
export const sentenceOf = (error: unknown): string | null =>
  error instanceof ExpressionProblem || error instanceof RangeError ? error.message : null;
