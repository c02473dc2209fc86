import { sameDimension } from '../../units/product';
import { Decimal } from '../../decimal/decimal';
import { ExpressionProblem } from '../expressionTree';
import { inUnit, unitWords } from '../quantity';
import type { FunctionRow } from './row';

export const mean: FunctionRow = {
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
};
