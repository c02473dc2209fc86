import { factorFigures, productFactor, writeProduct, type UnitProduct } from '../units/product';
import { exactly, multiply as multiplyTracked, writeTracked, type Tracked } from './arithmetic';
import { tenTo } from '../decimal/decimal';
import type { FunctionName } from './expressionTree';
import { leadingPlace, noFigure, type Rounding } from './rounding';

/** A tracked number with its unit. */
export interface Quantity extends Tracked {
  readonly unit: UnitProduct;
  /** True for a temperature on its scale, which a difference of two is not. */
  readonly point: boolean;
}

export type RuleName =
  | 'coarsest last place'
  | 'fewest figures'
  | 'figures of the base'
  | 'decimals from figures'
  | 'figures from decimals'
  | 'slope times the last place'
  | 'last place of the readings'
  | 'all exact';

/** One step of a calculation, with everything needed to explain it. */
export interface EvaluationStep {
  readonly operation: '+' | '−' | '×' | '÷' | '^' | FunctionName;
  readonly operands: readonly Quantity[];
  readonly result: Quantity;
  readonly rule: RuleName;
  /** Which operands limit the result. */
  readonly limitedBy: readonly number[];
  /** Figures lost by subtracting nearly equal numbers; 0 otherwise. */
  readonly figuresLost: number;
}

/** A name for the unit of a sum, for a message. */
export const unitWords = (unit: UnitProduct): string => writeProduct(unit) || 'a pure number';

const sameUnits = (a: UnitProduct, b: UnitProduct): boolean =>
  a.length === b.length &&
  a.every(({ unit, power }, at) => unit.symbol === b[at]?.unit.symbol && power === b[at]?.power);

/** A quantity in another unit of the same dimension: an exact factor keeps its figures, a rounded one limits them. */
export function inUnit(quantity: Quantity, unit: UnitProduct): Quantity {
  if (sameUnits(quantity.unit, unit)) return { ...quantity, unit };
  const factor = productFactor(quantity.unit, unit);
  if (factor.eq(1)) return { ...quantity, unit };
  const figures = factorFigures(quantity.unit, unit);
  const tracked: Tracked = Number.isFinite(figures)
    ? { value: factor, lastPlace: leadingPlace(factor) - figures + 1 }
    : exactly(factor);
  const shift = factor.eq(tenTo(factor.e)) && quantity.lastPlace !== null;
  const { value, lastPlace } = multiplyTracked(quantity, tracked).result;
  return { ...quantity, value, lastPlace: shift ? (quantity.lastPlace ?? 0) + factor.e : lastPlace, unit };
}

/** The result as a class writes it, with its unit. */
export const writeQuantity = (quantity: Quantity, rounding: Rounding): string =>
  withUnit(writeTracked(quantity, rounding), writeProduct(quantity.unit));

/** A written number with its unit; words have none. */
export const withUnit = (text: string, unit: string): string =>
  text === noFigure ? text : [text, unit].filter(Boolean).join(' ');
