import {
  ExpressionProblem,
  Decimal,
  exactly,
  measured,
  parseExpression,
  parseNumber,
  clockSeconds,
  isScale,
  namesIn,
  type Expression,
  type Quantity,
} from '../figures';
import { placeOfStep } from '../answer';
import type { Conventions } from '../conventions';
import { parseProduct } from '../units';
import { judgeCell, type ColumnRule } from './columnRule';
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

/**
 * What is written in a cell, as a quantity in the column's unit; null where it is empty or cannot be read. The place of a reading
 * is that of its instrument's step, or coarser where it stops short.
 * @param rule how a measured column is read.
 */
export function quantityOf(
  text: string | undefined,
  column: Column,
  conventions: Conventions,
  firstClock: string | undefined,
  rule?: ColumnRule,
): Quantity | null {
  if (text === undefined || text.trim() === '') return null;
  if (column.kind === 'clock') return minutesSince(firstClock ?? text, text);
  const symbol = unitOf(column);
  const unit = symbol === '' ? [] : parseProduct(symbol);
  const point = isScale(symbol);
  if (column.kind === 'measured' && rule) {
    const writing = judgeCell(text, rule, conventions);
    if (!writing.readable) return null;
    const { written, number } = writing;
    const inOther = writing.unit.converted;
    // A length in inches is one in a millimetre column too; what measures something else is none.
    if (writing.unit.faults.some(({ code }) => code === 'unit-wrong') && inOther === null) return null;
    const place = placeOfStep(rule.step.size);
    if (inOther !== null)
      return { value: new Decimal(inOther).toSignificantDigits(15), lastPlace: place, unit, point };
    const ownPlace = number.bareZero ? 0 : -written.decimals;
    return { value: written.value, lastPlace: Math.max(place, ownPlace), unit, point };
  }
  const parsed = parseNumber(text, conventions.trailingZeros);
  if (!parsed.ok) return null;
  const tracked = column.kind === 'count' ? exactly(parsed.number.value) : measured(parsed.number);
  return { ...tracked, unit, point };
}

/** Minutes from the first clock time of a column; one that is earlier is of the next day. */
function minutesSince(first: string, text: string): Quantity | null {
  try {
    const [from, to] = [clockSeconds(first), clockSeconds(text)];
    const seconds = to < from ? to - from + 86_400 : to - from;
    const minutes = new Decimal(seconds).div(60);
    const toSeconds = /:\d{2}:\d{2}/.test(text);
    return { value: minutes, lastPlace: toSeconds ? -1 : 0, unit: parseProduct('min'), point: false };
  } catch {
    return null;
  }
}

/** A problem of a formula as one sentence. */
export const sentenceOf = (error: unknown): string | null =>
  error instanceof ExpressionProblem || error instanceof RangeError ? error.message : null;
