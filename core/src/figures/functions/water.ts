import { waterBy, type WaterRule } from '../../reference/water';
import { multiplied, parseProduct, raised, sameDimension } from '../../units/product';
import { Decimal } from '../../decimal/decimal';
import { figuresOf, placeFor } from '../arithmetic';
import { ExpressionProblem } from '../expressionTree';
import type { RoundingPolicy } from '../policy';
import { inUnit, type Quantity } from '../quantity';
import { movedPlace, type FunctionRow } from './row';

/** A temperature in °C. @throws ExpressionProblem for anything else */
function celsius(name: string, { unit, value }: Quantity, at: number): Decimal {
  if (unit.length !== 1 || unit[0]?.unit.symbol !== '°C' || unit[0].power !== 1)
    throw new ExpressionProblem('unit-clash', at, `${name} takes a temperature in °C.`);
  return value;
}

const gramsPerCm3 = parseProduct('g/cm³');

function densityAt(temperature: Quantity, name: string, at: number, policy: RoundingPolicy): Quantity {
  const t = celsius(name, temperature, at);
  try {
    const { density, slope } = waterBy(policy.water ?? 'table', t.toNumber());
    const lastPlace =
      slope === 0 || temperature.lastPlace === null
        ? null
        : movedPlace(temperature, new Decimal(slope).div(1000), new Decimal(0), new Decimal(1));
    const value = new Decimal(density).div(1000).toSignificantDigits(15);
    return { value, lastPlace, unit: gramsPerCm3, point: false };
  } catch (error) {
    if (error instanceof RangeError) throw new ExpressionProblem('out-of-range', at, error.message);
    throw error;
  }
}

/**
 * What each way of taking water leaves out, in kg/m³: that it is not 1 g/mL (0.999 to 0.996 from 15 to 27 °C), and that what is
 * weighed in air floats in it by a thousandth; with both counted, dissolved air and the formula itself.
 */
const leftOut: Readonly<Record<WaterRule, { readonly what: string; readonly bound: number }>> = {
  one: { what: 'water taken as 1 g/mL', bound: 5 },
  table: { what: 'air, not counted with the water', bound: 1.1 },
  buoyancy: { what: 'dissolved air in the water', bound: 0.02 },
};

/** The density of water at a temperature, by the rule of the class. */
export const water: FunctionRow = {
  name: 'water',
  takes: [1, 1],
  about: 'density of water at a temperature, as the class takes it: water(21.4 °C)',
  apply: ([temperature], at, policy) => ({
    ...densityAt(temperature, 'water', at, policy),
    rule: 'slope times the last place',
  }),
  // In base units a density is in kg/m³.
  plain: ({ water: rule = 'table' }) => ({
    value: (t) => waterBy(rule, t).density,
    derivative: (t) => waterBy(rule, t).slope,
  }),
  leavesOut: ({ water: rule = 'table' }) => leftOut[rule],
  tex: ([of = '']) => `\\rho_{\\mathrm{water}}\\left(${of}\\right)`,
  source: 'M. Tanaka et al., Metrologia 38 (2001) 301; with buoyancy and glass, ISO 4787',
};

/** The volume of water of a mass, at a temperature. */
export const waterVolume: FunctionRow = {
  name: 'waterVolume',
  takes: [2, 2],
  about: 'volume of water of a mass: waterVolume(24.93 g; 21.4 °C)',
  apply: ([mass, temperature], at, policy) => {
    if (!temperature || !sameDimension(mass.unit, parseProduct('g')))
      throw new ExpressionProblem('unit-clash', at, 'waterVolume takes a mass and a temperature.');
    const density = densityAt(temperature, 'waterVolume', at, policy);
    const grams = inUnit(mass, parseProduct('g'));
    const { product: unit, factor } = multiplied(parseProduct('g'), raised(density.unit, -1));
    const value = grams.value.div(density.value).times(factor);
    const figures = Math.min(figuresOf(grams), figuresOf(density));
    return {
      ...inUnit(
        { value, lastPlace: placeFor(value, figures, [grams, density]), unit, point: false },
        parseProduct('mL'),
      ),
      operands: [mass, temperature],
      rule: 'fewest figures',
    };
  },
  plain: null,
  tex: (inside) => `\\mathrm{V}\\left(${inside.join(',\\, ')}\\right)`,
  source: 'the mass over the density of water, as the class takes it',
};
