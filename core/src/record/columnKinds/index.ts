import type { Conventions } from '../../conventions';
import type { Quantity } from '../../figures';
import type { AuditColumn } from '../auditTable';
import { columnRule } from '../columnRule';
import { unitOf, type Column, type Investigation } from '../investigation';
import { allowanceKind } from './allowance';
import { clockKind } from './clock';
import type { CellContext, ColumnKind } from './columnKind';
import { countKind } from './count';
import { derivedKind } from './derived';
import { givenKind } from './given';
import { readingsIn } from './manner';
import { measuredKind } from './measured';
import { choiceKind, textKind } from './words';

export { allowanceFrom, type Allowance } from './allowance';
export { clockHalfWidth } from './clock';
export { readingsIn } from './manner';
export { wordIn } from './words';
export { spreadWithin } from './measured';

type Kind = Column['kind'];
type Of<K extends Kind> = Extract<Column, { readonly kind: K }>;

/** Every kind of column; a new one is a file beside this one and a line here. */
const kinds: { readonly [K in Kind]: ColumnKind<Of<K>> } = {
  measured: measuredKind,
  clock: clockKind,
  count: countKind,
  derived: derivedKind,
  given: givenKind,
  allowance: allowanceKind,
  choice: choiceKind,
  text: textKind,
};

const kindOf = <C extends Column>({ kind }: C): ColumnKind<C> => kinds[kind as Kind] as ColumnKind<Column>;

/** What is written in a cell, as a quantity in the column's unit; null where it is empty or cannot be read. */
export const quantityOf = (
  text: string | undefined,
  column: Column,
  context: CellContext,
): Quantity | null =>
  text === undefined || text.trim() === '' ? null : kindOf(column).quantity(text, column, context);

/**
 * What to say of a text in a column at once, or null when nothing is amiss. It advises and never blocks: what was
 * written stays as it was written.
 */
export const adviseOn = (
  text: string,
  column: Column,
  investigation: Investigation,
  conventions: Conventions,
): string | null =>
  text.trim() === '' ? null : kindOf(column).advise(text, column, investigation, conventions);

/** What a cell that holds more than one number comes to, in writing; null for one number, and for what cannot be read. */
export function cellInWriting(
  text: string,
  column: Column,
  investigation: Investigation,
  conventions: Conventions,
): string | null {
  if (column.kind !== 'measured' || (column.manner !== 'turned' && column.manner !== 'parts')) return null;
  const rule = columnRule(column, investigation, conventions);
  if (column.manner === 'parts') {
    const [sum] = readingsIn(text, column, rule);
    return sum === text ? null : (sum ?? null);
  }
  const read = quantityOf(text, column, { conventions, firstClock: undefined, rule });
  return read && read.value.toFixed(Math.max(0, -(read.lastPlace ?? 0)));
}

/** The half-width of a reading of a column, in its unit; 0 for what is counted or derived. */
export const halfWidthOf = (column: Column, investigation: Investigation, conventions: Conventions): number =>
  kindOf(column).halfWidth(column, investigation, conventions);

/** A column as a careful reader finds it. */
export const auditColumn = (
  column: Column,
  investigation: Investigation,
  conventions: Conventions,
): AuditColumn => ({
  key: column.key,
  heading: column.heading,
  // The headings of a logbook are the teacher's: a pure number has no unit to be stated.
  unit: unitOf(column) || '–',
  read: null,
  difference: null,
  carried: false,
  planned: null,
  ...kindOf(column).audit(column, investigation, conventions),
});
