import type { UnitProduct } from '../../units/product';
import { Decimal, tenTo } from '../../decimal/decimal';
import { ExpressionProblem, type FunctionName } from '../expressionTree';
import type { RoundingPolicy } from '../policy';
import { unitWords, type Quantity, type RuleName } from '../quantity';
import { leadingPlace } from '../rounding';

/** A function as plain numbers in SI base units (temperatures in °C): for uncertainties and draws. */
export interface PlainFunction {
  value(x: number): number;
  derivative(x: number): number;
}

/** One function of measured values: calculator, formulas and uncertainties all go by its row. */
export interface FunctionRow {
  readonly name: FunctionName;
  /** How many values it takes. */
  readonly takes: readonly [least: number, most: number];
  /** In a few words, for the list of functions. */
  readonly about: string;
  /** Its value with unit and figures. @throws ExpressionProblem at the place it is given. */
  apply(values: readonly [Quantity, ...Quantity[]], at: number, policy: RoundingPolicy): Applied;
  /** As plain numbers; null where it is put together of others. */
  readonly plain: ((policy: Pick<RoundingPolicy, 'water'>) => PlainFunction) | null;
  /** What it does not count, as a bound of its value in SI base units; absent where it is exact. */
  readonly leavesOut?: (policy: Pick<RoundingPolicy, 'water'>) => {
    readonly what: string;
    readonly bound: number;
  };
  tex(inside: readonly string[]): string;
  readonly source: string;
}

export interface Applied {
  readonly operands?: readonly Quantity[];
  readonly value: Decimal;
  readonly lastPlace: number | null;
  readonly unit: UnitProduct;
  readonly point?: boolean;
  readonly rule: RuleName;
}

export const plain =
  (value: (x: number) => number, derivative: (x: number) => number) => (): PlainFunction => ({
    value,
    derivative,
  });
export const named = (name: string) => (inside: readonly string[]) =>
  `\\${name}\\left(${inside[0] ?? ''}\\right)`;

/** A pure number. @throws ExpressionProblem */
export function pureValue(name: string, { unit, value }: Quantity, at: number): Decimal {
  if (unit.length > 0)
    throw new ExpressionProblem(
      'not-pure',
      at,
      `${name} takes a pure number, not ${unitWords(unit)}. Divide the unit out first.`,
    );
  return value;
}

/** The place where a result moves by one in the last place of what it is made of, to first and second order. */
export function movedPlace(
  given: Quantity,
  slope: Decimal,
  curvature: Decimal,
  perUnit: Decimal,
): number | null {
  if (given.lastPlace === null) return null;
  const step = perUnit.times(tenTo(given.lastPlace));
  const moved = Decimal.max(slope.abs().times(step), curvature.abs().times(step.pow(2)).div(2));
  return moved.isZero() ? given.lastPlace * 2 : leadingPlace(moved);
}
