import type { Conventions } from '../conventions';
import type { Quantity } from '../figures';
import { inBase, type Input, type ModelEquation } from '../uncertainty';
import { parseProduct } from '../units';
import type { Investigation } from './investigation';
import type { Trial } from './trials';

/** A result as a calculation with uncertain inputs, in SI base units. */
export interface ResultModel {
  readonly term: ModelEquation;
  readonly inputs: readonly Input[];
}

/** What a result is reckoned from. */
export interface ModelInputs {
  readonly investigation: Investigation;
  readonly conventions: Conventions;
  /** Trials of every table, by its key. */
  readonly trials: Readonly<Record<string, readonly Trial[]>>;
  /** Means of all columns that have one, by key. */
  readonly means: Readonly<Record<string, Quantity>>;
}

/** A half-width as it stands, or as the standard uncertainty of a rectangle, a/√3 (JCGM 100:2008, 4.3.7). */
export const asStandard = (halfWidth: number, { plusMinus }: Conventions): number =>
  plusMinus === 'standard' ? halfWidth / Math.sqrt(3) : halfWidth;

/** How many SI base units one of a unit is. */
export function perUnit(unit: string): number {
  const known = perUnitKnown.get(unit);
  if (known !== undefined) return known;
  const found = inBase(parseProduct(unit));
  if (perUnitKnown.size > 500) perUnitKnown.clear();
  perUnitKnown.set(unit, found);
  return found;
}
const perUnitKnown = new Map<string, number>();

/** A value that is not there yet. */
export class Unfinished extends Error {}
