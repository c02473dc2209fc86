import { pure } from '../../units/product';
import { Decimal } from '../../decimal/decimal';
import { exactly } from '../arithmetic';
import { ExpressionProblem } from '../expressionTree';
import { unitWords, type Quantity } from '../quantity';
import { movedPlace, named, plain, type FunctionRow } from './row';

const pi = Decimal.acos(-1);

/** π, exact. */
export const piQuantity: Quantity = { ...exactly(pi), unit: pure, point: false };

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

export const sin = circular('sin');
export const cos = circular('cos');
