import { multiplied, raised, sameDimension } from '../units/product';
import { figuresOf, placeFor } from './arithmetic';
import { convert } from './convert';
import { ExpressionProblem, type Expression } from './expressionTree';
import { inUnit, unitWords, type Quantity, type EvaluationStep, type RuleName } from './quantity';

const largestPower = 200;

export type Operation = Extract<Expression, { kind: 'operation' }>;

export function binary(
  operator: Operation['operator'],
  a: Quantity,
  b: Quantity,
  at: number,
): EvaluationStep {
  if (operator === '+' || operator === '−') return sum(operator, a, b, at);
  if (operator === '^') return power(a, b, at);
  return product(operator, a, b, at);
}

/** + and −: the coarsest last place governs. The second is turned into the unit of the first. */
function sum(operation: '+' | '−', a: Quantity, given: Quantity, at: number): EvaluationStep {
  if (!sameDimension(a.unit, given.unit))
    throw new ExpressionProblem(
      'unit-clash',
      at,
      `${unitWords(given.unit)} cannot be ${operation === '+' ? 'added to' : 'taken from'} ${unitWords(a.unit)}: they do not measure the same.`,
    );
  if (a.point && given.point && operation === '+') {
    const kelvin = ontoKelvin(a, given) ?? ontoKelvin(given, a);
    if (kelvin) return kelvin;
    throw new ExpressionProblem(
      'unit-clash',
      at,
      'Two temperatures on a scale cannot be added; only their difference has a meaning.',
    );
  }
  if (!a.point && given.point) {
    if (operation === '+') return sum('+', given, a, at);
    throw new ExpressionProblem(
      'unit-clash',
      at,
      'A temperature on a scale cannot be taken from a difference; write the temperature first.',
    );
  }
  const b = given.point ? convert(given, a.unit) : inUnit(given, a.unit);
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

/** `21.4 °C + 273.15 K` is the definition of kelvin written out: a temperature on that scale, the offset exact. */
function ontoKelvin(celsius: Quantity, offset: Quantity): EvaluationStep | null {
  const [from, to] = [celsius.unit[0]?.unit.symbol, offset.unit[0]?.unit.symbol];
  if (from !== '°C' || to !== 'K' || !['273.15', '273'].includes(offset.value.toString())) return null;
  const exact: Quantity = { ...offset, lastPlace: null };
  const result: Quantity = {
    value: celsius.value.plus(offset.value),
    lastPlace: celsius.lastPlace,
    unit: offset.unit,
    point: true,
  };
  return {
    operation: '+',
    operands: [celsius, exact],
    result,
    rule: result.lastPlace === null ? 'all exact' : 'coarsest last place',
    limitedBy: result.lastPlace === null ? [] : [0],
    figuresLost: 0,
  };
}

/** × and ÷: the fewest figures govern. */
function product(operation: '×' | '÷', a: Quantity, b: Quantity, at: number): EvaluationStep {
  for (const operand of [a, b])
    if (operand.point && operand.unit[0]?.unit.symbol !== 'K')
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
function power(base: Quantity, exponent: Quantity, at: number): EvaluationStep {
  if (exponent.unit.length > 0)
    throw new ExpressionProblem('not-pure', at, `A power is a pure number, not ${unitWords(exponent.unit)}.`);
  if (base.point && base.unit[0]?.unit.symbol !== 'K')
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
    throw new ExpressionProblem('unit-clash', at, `${unitWords(base.unit)} has no such power.`);
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
