import { boilingPoint, boilingSlope, pressureAt as atHeight, pressureSlope } from '../../reference/boiling';
import { Decimal } from '../../decimal/decimal';
import { parseProduct, sameDimension } from '../../units/product';
import { ExpressionProblem, type FunctionName } from '../expressionTree';
import { inUnit, type Quantity } from '../quantity';
import { movedPlace, type FunctionRow } from './row';

/** A quantity in the unit that a formula wants. @throws ExpressionProblem for another quantity */
function inOwn(name: FunctionName, quantity: Quantity, unit: string, words: string, at: number): Quantity {
  const wanted = parseProduct(unit);
  if (!sameDimension(quantity.unit, wanted))
    throw new ExpressionProblem('unit-clash', at, `${name} takes ${words}.`);
  return inUnit(quantity, wanted);
}

/** A formula with its slope, one unit in and one out. */
function row(
  name: FunctionName,
  [from, words]: readonly [unit: string, words: string],
  to: string,
  formula: (x: number) => number,
  slope: (x: number) => number,
  rest: Pick<FunctionRow, 'about' | 'tex' | 'source' | 'plain' | 'leavesOut'>,
): FunctionRow {
  return {
    name,
    takes: [1, 1],
    apply: ([given], at) => {
      const own = inOwn(name, given, from, words, at);
      const x = own.value.toNumber();
      try {
        return {
          value: new Decimal(formula(x)).toSignificantDigits(15),
          lastPlace: movedPlace(own, new Decimal(slope(x)), new Decimal(0), new Decimal(1)),
          unit: parseProduct(to),
          point: to === '°C',
          rule: 'slope times the last place',
        };
      } catch (error) {
        if (error instanceof RangeError) throw new ExpressionProblem('out-of-range', at, error.message);
        throw error;
      }
    },
    ...rest,
  };
}

/** The boiling point of water at a pressure. */
export const boiling = row('boiling', ['kPa', 'a pressure'], '°C', boilingPoint, boilingSlope, {
  about: 'boiling point of water at a pressure: boiling(99.8 kPa)',
  // A pressure is in Pa there.
  plain: () => ({ value: (p) => boilingPoint(p / 1000), derivative: (p) => boilingSlope(p / 1000) / 1000 }),
  leavesOut: () => ({ what: 'boiling points of Antoine’s equation', bound: 0.05 }),
  tex: ([of = '']) => `t_{\\mathrm{boiling}}\\left(${of}\\right)`,
  source: 'C. Antoine, Comptes rendus 107 (1888) 681; constants for water to 105 °C',
});

/** The usual pressure at a height above the sea. */
export const pressureAt = row('pressureAt', ['m', 'a height'], 'kPa', atHeight, pressureSlope, {
  about: 'usual pressure at a height above the sea: pressureAt(240 m)',
  plain: () => ({ value: (h) => 1000 * atHeight(h), derivative: (h) => 1000 * pressureSlope(h) }),
  leavesOut: () => ({ what: 'weather, in the usual pressure', bound: 2500 }),
  tex: ([of = '']) => `p\\left(${of}\\right)`,
  source: 'standard atmosphere, ISO 2533',
});
