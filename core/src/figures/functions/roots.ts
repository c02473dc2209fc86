import { figuresOf, placeFor } from '../arithmetic';
import { ExpressionProblem } from '../expressionTree';
import { unitWords } from '../quantity';
import { plain, type FunctionRow } from './row';

export const sqrt: FunctionRow = {
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
};

export const abs: FunctionRow = {
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
};
