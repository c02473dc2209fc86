import { pure, sameDimension } from '../units/product';
import { exactly, figuresOf, placeFor } from './arithmetic';
import { Decimal, tenTo } from '../decimal/decimal';
import { ExpressionProblem, type FunctionName } from './expressionTree';
import { inUnit, unitWords, type Quantity, type ReckoningStep, type RuleName } from './quantity';
import { leadingPlace } from './rounding';

export function call(name: FunctionName, values: readonly Quantity[], at: number): ReckoningStep {
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
      throw new ExpressionProblem('unit-clash', at, `${unitWords(first.unit)} has no square root.`);
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
      `${name} takes a pure number, not ${unitWords(first.unit)}. Divide the unit out first.`,
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
      `${name} takes an angle or a pure number, not ${unitWords(angle.unit)}.`,
    );
  if (angle.value.abs().gt(1e9)) throw new ExpressionProblem('out-of-range', at, 'The angle is too large.');
  const perUnit = inDegrees ? Decimal.acos(-1).div(180) : new Decimal(1);
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
        `${unitWords(value.unit)} cannot be averaged with ${unitWords(first.unit)}.`,
      );
    return inUnit(value, first.unit);
  });
  const total = alike.reduce((sumSoFar, { value }) => sumSoFar.plus(value), new Decimal(0));
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
