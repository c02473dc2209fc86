import { waterBy } from '../reference/water';
import { multiplied, parseProduct, pure, raised, sameDimension, type UnitProduct } from '../units/product';
import { exactly, figuresOf, placeFor } from './arithmetic';
import { Decimal, tenTo } from '../decimal/decimal';
import { ExpressionProblem, type FunctionName } from './expressionTree';
import type { RoundingPolicy } from './policy';
import { inUnit, unitWords, type Quantity, type EvaluationStep, type RuleName } from './quantity';
import { leadingPlace } from './rounding';

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
  tex(inside: readonly string[]): string;
  readonly source: string;
}

interface Applied {
  readonly operands?: readonly Quantity[];
  readonly value: Decimal;
  readonly lastPlace: number | null;
  readonly unit: UnitProduct;
  readonly point?: boolean;
  readonly rule: RuleName;
}

const plain = (value: (x: number) => number, derivative: (x: number) => number) => (): PlainFunction => ({
  value,
  derivative,
});
const named = (name: string) => (inside: readonly string[]) => `\\${name}\\left(${inside[0] ?? ''}\\right)`;
const upright = (name: string) => (inside: readonly string[]) =>
  `\\mathrm{${name}}\\left(${inside.join(',\\, ')}\\right)`;

/** A pure number. @throws ExpressionProblem */
function pureValue(name: string, { unit, value }: Quantity, at: number): Decimal {
  if (unit.length > 0)
    throw new ExpressionProblem(
      'not-pure',
      at,
      `${name} takes a pure number, not ${unitWords(unit)}. Divide the unit out first.`,
    );
  return value;
}

/** The place where a result moves by one in the last place of what it is made of, to first and second order. */
function movedPlace(given: Quantity, slope: Decimal, curvature: Decimal, perUnit: Decimal): number | null {
  if (given.lastPlace === null) return null;
  const step = perUnit.times(tenTo(given.lastPlace));
  const moved = Decimal.max(slope.abs().times(step), curvature.abs().times(step.pow(2)).div(2));
  return moved.isZero() ? given.lastPlace * 2 : leadingPlace(moved);
}

/** sin and cos: the place comes from |f′| times one in the last place of the angle. */
const circular = (name: 'sin' | 'cos'): FunctionRow => ({
  name,
  takes: [1, 1],
  about: 'of an angle, 30.0°',
  apply: ([angle], at) => {
    const inDegrees = angle.unit.length === 1 && angle.unit[0]?.unit.symbol === '°';
    if (angle.unit.length > 0 && !inDegrees)
      throw new ExpressionProblem(
        'not-pure',
        at,
        `${name} takes an angle or a pure number, not ${unitWords(angle.unit)}.`,
      );
    if (angle.value.abs().gt(1e9)) throw new ExpressionProblem('out-of-range', at, 'The angle is too large.');
    const perUnit = inDegrees ? pi.div(180) : new Decimal(1);
    const radians = angle.value.times(perUnit);
    const tidy = (value: Decimal) => value.toDecimalPlaces(50);
    const [sine, cosine] = [tidy(radians.sin()), tidy(radians.cos())];
    const [value, slope] = name === 'sin' ? [sine, cosine] : [cosine, sine];
    return {
      value,
      lastPlace: movedPlace(angle, slope, value, perUnit),
      unit: pure,
      rule: 'slope times the last place',
    };
  },
  plain: plain(Math[name], name === 'sin' ? Math.cos : (x) => -Math.sin(x)),
  tex: named(name),
  source: 'analysis',
});

const logarithm = (name: 'log' | 'ln'): FunctionRow => ({
  name,
  takes: [1, 1],
  about: name === 'log' ? 'to the base ten' : 'natural',
  apply: ([given], at) => {
    const of = pureValue(name, given, at);
    if (!of.gt(0))
      throw new ExpressionProblem('out-of-range', at, `${name} takes a number greater than zero.`);
    const figures = figuresOf(given);
    return {
      value: name === 'log' ? of.log(10) : of.ln(),
      lastPlace: Number.isFinite(figures) ? -figures : null,
      unit: pure,
      rule: 'decimals from figures',
    };
  },
  plain: name === 'log' ? plain(Math.log10, (x) => 1 / (x * Math.LN10)) : plain(Math.log, (x) => 1 / x),
  tex: named(name),
  source: 'analysis',
});

/** A temperature in °C. @throws ExpressionProblem for anything else */
function celsius(name: string, { unit, value }: Quantity, at: number): Decimal {
  if (unit.length !== 1 || unit[0]?.unit.symbol !== '°C' || unit[0].power !== 1)
    throw new ExpressionProblem('unit-clash', at, `${name} takes a temperature in °C.`);
  return value;
}

const gramsPerCm3 = parseProduct('g/cm³');

function water(temperature: Quantity, name: string, at: number, policy: RoundingPolicy): Quantity {
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

const pi = Decimal.acos(-1);

/** Every function, by its name; a new one is a row here and a name in `functionNames`. */
export const functions: Readonly<Record<FunctionName, FunctionRow>> = {
  sqrt: {
    name: 'sqrt',
    takes: [1, 1],
    about: 'square root',
    apply: ([given], at) => {
      if (given.value.isNegative() && !given.value.isZero())
        throw new ExpressionProblem('out-of-range', at, 'A negative number has no square root here.');
      if (given.unit.some(({ power }) => power % 2 !== 0))
        throw new ExpressionProblem('unit-clash', at, `${unitWords(given.unit)} has no square root.`);
      const value = given.value.abs().sqrt();
      return {
        value,
        lastPlace: placeFor(value, figuresOf(given), [given]),
        unit: given.unit.map((own) => ({ ...own, power: own.power / 2 })),
        rule: 'figures of the base',
      };
    },
    plain: plain(Math.sqrt, (x) => 0.5 / Math.sqrt(x)),
    tex: ([of = '']) => `\\sqrt{${of}}`,
    source: 'analysis',
  },
  log: logarithm('log'),
  ln: logarithm('ln'),
  exp: {
    name: 'exp',
    takes: [1, 1],
    about: 'e to a power',
    apply: ([given], at) => {
      const of = pureValue('exp', given, at);
      if (of.abs().gt(10_000))
        throw new ExpressionProblem(
          'out-of-range',
          at,
          'The result is too large or too small to be written.',
        );
      const value = of.exp();
      const figures = given.lastPlace === null ? Infinity : Math.max(1, -given.lastPlace);
      return {
        value,
        lastPlace: placeFor(value, figures, [given]),
        unit: pure,
        rule: 'figures from decimals',
      };
    },
    plain: plain(Math.exp, Math.exp),
    tex: named('exp'),
    source: 'analysis',
  },
  sin: circular('sin'),
  cos: circular('cos'),
  mean: {
    name: 'mean',
    takes: [1, Infinity],
    about: 'of several values: mean(2.31; 2.35)',
    apply: (values, at) => {
      const [first] = values;
      const alike = values.map((value) => {
        if (!sameDimension(first.unit, value.unit))
          throw new ExpressionProblem(
            'unit-clash',
            at,
            `${unitWords(value.unit)} cannot be averaged with ${unitWords(first.unit)}.`,
          );
        return inUnit(value, first.unit);
      });
      const places = alike.flatMap(({ lastPlace }) => lastPlace ?? []);
      return {
        operands: alike,
        value: Decimal.sum(...alike.map(({ value }) => value)).div(values.length),
        lastPlace: places.length === 0 ? null : Math.max(...places),
        unit: first.unit,
        point: first.point,
        rule: 'last place of the readings',
      };
    },
    plain: null,
    tex: (inside) => `\\frac{${inside.join(' + ')}}{${inside.length}}`,
    source: 'a mean keeps the last place of its readings',
  },
  abs: {
    name: 'abs',
    takes: [1, 1],
    about: 'the size, without sign',
    apply: ([{ value, lastPlace, unit, point }]) => ({
      value: value.abs(),
      lastPlace,
      unit,
      point,
      rule: 'coarsest last place',
    }),
    plain: plain(Math.abs, Math.sign),
    tex: ([of = '']) => `\\left|${of}\\right|`,
    source: 'analysis',
  },
  water: {
    name: 'water',
    takes: [1, 1],
    about: 'density of water at a temperature, as the class takes it: water(21.4 °C)',
    apply: ([temperature], at, policy) => ({
      ...water(temperature, 'water', at, policy),
      rule: 'slope times the last place',
    }),
    // In base units a density is in kg/m³.
    plain: ({ water: rule = 'table' }) => ({
      value: (t) => waterBy(rule, t).density,
      derivative: (t) => waterBy(rule, t).slope,
    }),
    tex: ([of = '']) => `\\rho_{\\mathrm{water}}\\left(${of}\\right)`,
    source: 'M. Tanaka et al., Metrologia 38 (2001) 301; with buoyancy and glass, ISO 4787',
  },
  waterVolume: {
    name: 'waterVolume',
    takes: [2, 2],
    about: 'volume of water of a mass: waterVolume(24.93 g; 21.4 °C)',
    apply: ([mass, temperature], at, policy) => {
      if (!temperature || !sameDimension(mass.unit, parseProduct('g')))
        throw new ExpressionProblem('unit-clash', at, 'waterVolume takes a mass and a temperature.');
      const density = water(temperature, 'waterVolume', at, policy);
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
    tex: upright('V'),
    source: 'the mass over the density of water, as the class takes it',
  },
};

/** @throws ExpressionProblem at the place of the function */
export function call(
  name: FunctionName,
  values: readonly Quantity[],
  at: number,
  policy: RoundingPolicy,
): EvaluationStep {
  const row = functions[name];
  const [first, ...rest] = values;
  const [least, most] = row.takes;
  if (!first || values.length < least || values.length > most)
    throw new ExpressionProblem(
      'not-understood',
      at,
      `“${name}” takes ${least === 1 && most === 1 ? 'one value' : most === Infinity ? 'at least one value' : `${least} values`}.`,
    );
  const {
    operands = values,
    value,
    lastPlace,
    unit,
    point = false,
    rule,
  } = row.apply([first, ...rest], at, policy);
  return {
    operation: name,
    operands,
    result: { value, lastPlace, unit, point },
    rule: lastPlace === null ? 'all exact' : rule,
    limitedBy: lastPlace === null ? [] : [0],
    figuresLost: 0,
  };
}

/** π, exact. */
export const piQuantity: Quantity = { ...exactly(pi), unit: pure, point: false };
