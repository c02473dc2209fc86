import {
  multiplied,
  productFactor,
  factorFigures,
  pure,
  raised,
  sameDimension,
  writeProduct,
  type UnitProduct,
} from '../units/product';
import {
  exactly,
  figuresOf,
  multiply as multiplyTracked,
  placeFor,
  writeTracked,
  type Tracked,
} from './arithmetic';
import { Exact, tenTo } from './exact';
import { ExpressionProblem, parseExpression, type Expression, type FunctionName } from './expression';
import { leadingPlace, roundToPlace, type Rounding } from './rounding';

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
export interface ReckoningStep {
  readonly operation: '+' | '−' | '×' | '÷' | '^' | FunctionName;
  readonly operands: readonly Quantity[];
  readonly result: Quantity;
  readonly rule: RuleName;
  /** Which operands limit the result. */
  readonly limitedBy: readonly number[];
  /** Figures lost by subtracting nearly equal numbers; 0 otherwise. */
  readonly figuresLost: number;
}

export interface Reckoning {
  readonly expression: Expression;
  readonly result: Quantity;
  readonly steps: readonly ReckoningStep[];
}

export interface Manner {
  readonly rounding: Rounding;
  /** Whether each step is rounded, or the end alone. */
  readonly roundWhen: 'end' | 'each-step';
}

/** Values for the names of an expression. */
export type Names = Readonly<Record<string, Quantity>>;

const largestPower = 200;
const farthest = 5_000;

/**
 * Evaluates an expression. All digits are kept and the place that the data justify is tracked beside them; where the class
 * rounds each step, the value goes on rounded.
 * @throws ExpressionProblem with its place for anything that cannot be reckoned.
 */
export function evaluate(text: string, manner: Manner, names: Names = {}): Reckoning {
  const expression = parseExpression(text);
  return { expression, ...evaluateTree(expression, manner, names) };
}

export function evaluateTree(
  expression: Expression,
  { rounding, roundWhen }: Manner,
  names: Names = {},
): { readonly result: Quantity; readonly steps: readonly ReckoningStep[] } {
  const steps: ReckoningStep[] = [];
  const keep = (step: ReckoningStep, at: number): Quantity => {
    const { value, lastPlace } = step.result;
    if (!value.isFinite() || Math.abs(value.e) > farthest)
      throw new ExpressionProblem('out-of-range', at, 'The result is too large or too small to be written.');
    const rounded =
      roundWhen === 'each-step' && lastPlace !== null
        ? { ...step.result, value: roundToPlace(value, lastPlace, rounding) }
        : step.result;
    steps.push({ ...step, result: rounded });
    return rounded;
  };
  const reckon = (node: Expression): Quantity => {
    switch (node.kind) {
      case 'number':
        return literalQuantity(node);
      case 'name': {
        const value = Object.hasOwn(names, node.name) ? names[node.name] : undefined;
        if (value) return value;
        if (node.name === 'π' || node.name === 'pi')
          return { ...exactly(Exact.acos(-1)), unit: pure, point: false };
        throw new ExpressionProblem('unknown-name', node.at, `“${node.name}” has no value yet.`);
      }
      case 'group':
        return reckon(node.of);
      case 'negative': {
        const of = reckon(node.of);
        return { ...of, value: of.value.neg() };
      }
      case 'call':
        return keep(call(node.name, node.arguments.map(reckon), node.at), node.at);
      case 'operation': {
        const chain = node.operator === '^' ? null : leftChain(node);
        if (!chain)
          return keep(binary(node.operator, reckon(node.left), reckon(node.right), node.right.at), node.at);
        // A long sum or product leans left: it is walked, not descended.
        let value = reckon(chain.first);
        for (const { operator, right, at } of chain.rest)
          value = keep(binary(operator, value, reckon(right), right.at), at);
        return value;
      }
    }
  };
  return { result: reckon(expression), steps };
}

type Operation = Extract<Expression, { kind: 'operation' }>;

function leftChain(node: Operation): { first: Expression; rest: readonly Operation[] } {
  const rest: Operation[] = [];
  let first: Expression = node;
  while (first.kind === 'operation' && first.operator !== '^') {
    rest.unshift(first);
    first = first.left;
  }
  return { first, rest };
}

export function literalQuantity({ number, unit, exact }: Extract<Expression, { kind: 'number' }>): Quantity {
  const point = unit.length === 1 && unit[0]?.power === 1 && ['°C', '°F'].includes(unit[0].unit.symbol);
  return { value: number.value, lastPlace: exact ? null : number.lastPlace, unit, point };
}

function binary(operator: Operation['operator'], a: Quantity, b: Quantity, at: number): ReckoningStep {
  if (operator === '+' || operator === '−') return sum(operator, a, b, at);
  if (operator === '^') return power(a, b, at);
  return product(operator, a, b, at);
}

/** A name for the unit of a sum, for a message. */
const named = (unit: UnitProduct): string => writeProduct(unit) || 'a pure number';

/** + and −: the coarsest last place governs. The second is turned into the unit of the first. */
function sum(operation: '+' | '−', a: Quantity, given: Quantity, at: number): ReckoningStep {
  if (!sameDimension(a.unit, given.unit))
    throw new ExpressionProblem(
      'unit-clash',
      at,
      `${named(given.unit)} cannot be ${operation === '+' ? 'added to' : 'taken from'} ${named(a.unit)}: they do not measure the same.`,
    );
  if (a.point && given.point && operation === '+')
    throw new ExpressionProblem(
      'unit-clash',
      at,
      'Two temperatures on a scale cannot be added; only their difference has a meaning.',
    );
  if (!a.point && given.point)
    throw new ExpressionProblem(
      'unit-clash',
      at,
      'A temperature on a scale cannot be added to a difference; write the temperature first.',
    );
  const b = inUnit(given, a.unit);
  const value = operation === '+' ? a.value.plus(b.value) : a.value.minus(b.value);
  const places = [a.lastPlace, b.lastPlace].filter((place) => place !== null);
  const lastPlace = places.length === 0 ? null : Math.max(...places);
  const result = { value, lastPlace, unit: a.unit, point: a.point && !b.point };
  const fewest = Math.min(figuresOf(a), figuresOf(b));
  return {
    operation,
    operands: [a, b],
    result,
    rule: lastPlace === null ? 'all exact' : 'coarsest last place',
    limitedBy: [a, b].flatMap((operand, index) =>
      lastPlace !== null && operand.lastPlace === lastPlace ? [index] : [],
    ),
    figuresLost: Number.isFinite(fewest) ? Math.max(0, fewest - figuresOf(result)) : 0,
  };
}

/** × and ÷: the fewest figures govern. */
function product(operation: '×' | '÷', a: Quantity, b: Quantity, at: number): ReckoningStep {
  for (const operand of [a, b])
    if (operand.point)
      throw new ExpressionProblem(
        'unit-clash',
        at,
        'A temperature on the Celsius or Fahrenheit scale cannot be multiplied; turn it into kelvin first.',
      );
  if (operation === '÷' && b.value.isZero())
    throw new ExpressionProblem(
      'division-by-zero',
      at,
      `A number cannot be divided by zero (place ${at + 1}).`,
    );
  const { product: unit, factor } = multiplied(a.unit, raised(b.unit, operation === '×' ? 1 : -1));
  const value = (operation === '×' ? a.value.times(b.value) : a.value.div(b.value)).times(factor);
  const figures = Math.min(figuresOf(a), figuresOf(b));
  return {
    operation,
    operands: [a, b],
    result: { value, lastPlace: placeFor(value, figures, [a, b]), unit, point: false },
    rule: Number.isFinite(figures) ? 'fewest figures' : 'all exact',
    limitedBy: Number.isFinite(figures)
      ? [a, b].flatMap((operand, index) => (figuresOf(operand) === figures ? [index] : []))
      : [],
    figuresLost: 0,
  };
}

/** A power: an exact one keeps the figures of its base; ten to a measured one has as many figures as that has decimals. */
function power(base: Quantity, exponent: Quantity, at: number): ReckoningStep {
  if (exponent.unit.length > 0)
    throw new ExpressionProblem('not-pure', at, `A power is a pure number, not ${named(exponent.unit)}.`);
  if (base.point)
    throw new ExpressionProblem(
      'unit-clash',
      at,
      'A temperature on a scale cannot be raised to a power; turn it into kelvin first.',
    );
  const by = exponent.value.toNumber();
  if (Math.abs(by) > largestPower)
    throw new ExpressionProblem('out-of-range', at, `A power is at most ${largestPower}.`);
  if (base.value.isZero() && by <= 0)
    throw new ExpressionProblem('division-by-zero', at, 'Zero has no such power.');
  if (base.value.isNegative() && !Number.isInteger(by))
    throw new ExpressionProblem('out-of-range', at, 'A negative number has whole powers only.');
  const powers = base.unit.map(({ power: own }) => own * by);
  if (!powers.every((own) => Math.abs(own - Math.round(own)) < 1e-9))
    throw new ExpressionProblem('unit-clash', at, `${named(base.unit)} has no such power.`);
  const value = base.value.pow(exponent.value);
  const unit = raised(base.unit, by).map((own) => ({ ...own, power: Math.round(own.power) }));
  const limits = exponent.lastPlace === null ? figuresOf(base) : Math.max(1, -exponent.lastPlace);
  const rule: RuleName = exponent.lastPlace === null ? 'figures of the base' : 'figures from decimals';
  return {
    operation: '^',
    operands: [base, exponent],
    result: { value, lastPlace: placeFor(value, limits, [base]), unit, point: false },
    rule: Number.isFinite(limits) ? rule : 'all exact',
    limitedBy: Number.isFinite(limits) ? [exponent.lastPlace === null ? 0 : 1] : [],
    figuresLost: 0,
  };
}

function call(name: FunctionName, values: readonly Quantity[], at: number): ReckoningStep {
  const [first = { ...exactly(0), unit: pure, point: false }] = values;
  if (name === 'mean') return mean(values, at);
  if (name === 'abs')
    return step(
      name,
      values,
      { ...first, value: first.value.abs() },
      first.lastPlace === null ? 'all exact' : 'coarsest last place',
    );
  if (name === 'sqrt') {
    if (first.value.isNegative())
      throw new ExpressionProblem('out-of-range', at, 'A negative number has no square root here.');
    if (first.unit.some(({ power: own }) => own % 2 !== 0))
      throw new ExpressionProblem('unit-clash', at, `${named(first.unit)} has no square root.`);
    const value = first.value.sqrt();
    const unit = first.unit.map((own) => ({ ...own, power: own.power / 2 }));
    return step(
      name,
      values,
      { value, lastPlace: placeFor(value, figuresOf(first), [first]), unit, point: false },
      'figures of the base',
    );
  }
  if (name === 'sin' || name === 'cos') return circular(name, first, at);
  if (first.unit.length > 0)
    throw new ExpressionProblem(
      'not-pure',
      at,
      `${name} takes a pure number, not ${named(first.unit)}. Divide the unit out first.`,
    );
  if (name === 'exp') {
    if (first.value.abs().gt(10_000))
      throw new ExpressionProblem('out-of-range', at, 'The result is too large or too small to be written.');
    const value = first.value.exp();
    const figures = first.lastPlace === null ? Infinity : Math.max(1, -first.lastPlace);
    return step(
      name,
      values,
      { value, lastPlace: placeFor(value, figures, [first]), unit: pure, point: false },
      'figures from decimals',
    );
  }
  if (!first.value.gt(0))
    throw new ExpressionProblem('out-of-range', at, `${name} takes a number greater than zero.`);
  const value = name === 'log' ? first.value.log(10) : first.value.ln();
  const figures = figuresOf(first);
  return step(
    name,
    values,
    { value, lastPlace: Number.isFinite(figures) ? -figures : null, unit: pure, point: false },
    'decimals from figures',
  );
}

/** sin and cos: the place comes from |f′| times one in the last place of the angle. */
function circular(name: 'sin' | 'cos', angle: Quantity, at: number): ReckoningStep {
  const inDegrees = angle.unit.length === 1 && angle.unit[0]?.unit.symbol === '°';
  if (angle.unit.length > 0 && !inDegrees)
    throw new ExpressionProblem(
      'not-pure',
      at,
      `${name} takes an angle or a pure number, not ${named(angle.unit)}.`,
    );
  if (angle.value.abs().gt(1e9)) throw new ExpressionProblem('out-of-range', at, 'The angle is too large.');
  const perUnit = inDegrees ? Exact.acos(-1).div(180) : new Exact(1);
  const radians = angle.value.times(perUnit);
  const [sine, cosine] = [radians.sin(), radians.cos()];
  const [value, slope] = name === 'sin' ? [sine, cosine] : [cosine, sine];
  const moved = angle.lastPlace === null ? null : slope.abs().times(perUnit).times(tenTo(angle.lastPlace));
  const lastPlace = moved === null ? null : moved.isZero() ? (angle.lastPlace ?? 0) * 2 : leadingPlace(moved);
  return step(name, [angle], { value, lastPlace, unit: pure, point: false }, 'slope times the last place');
}

/** A mean keeps the last place of its readings. */
function mean(values: readonly Quantity[], at: number): ReckoningStep {
  const [first] = values;
  if (!first) throw new ExpressionProblem('not-understood', at, 'A mean needs at least one value.');
  const alike = values.map((value) => {
    if (!sameDimension(first.unit, value.unit))
      throw new ExpressionProblem(
        'unit-clash',
        at,
        `${named(value.unit)} cannot be averaged with ${named(first.unit)}.`,
      );
    return inUnit(value, first.unit);
  });
  const total = alike.reduce((sumSoFar, { value }) => sumSoFar.plus(value), new Exact(0));
  const places = alike.map(({ lastPlace }) => lastPlace).filter((place) => place !== null);
  const lastPlace = places.length === 0 ? null : Math.max(...places);
  return step(
    'mean',
    alike,
    { value: total.div(values.length), lastPlace, unit: first.unit, point: first.point },
    'last place of the readings',
  );
}

const step = (
  operation: FunctionName,
  operands: readonly Quantity[],
  result: Quantity,
  rule: RuleName,
): ReckoningStep => ({
  operation,
  operands,
  result,
  rule: result.lastPlace === null ? 'all exact' : rule,
  limitedBy: result.lastPlace === null ? [] : [0],
  figuresLost: 0,
});

/** A quantity in another unit of the same dimension: an exact factor keeps its figures, a rounded one limits them. */
export function inUnit(quantity: Quantity, unit: UnitProduct): Quantity {
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
  [writeTracked(quantity, rounding), writeProduct(quantity.unit)].filter(Boolean).join(' ');
