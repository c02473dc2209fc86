import { pure } from '../../units/product';
import { figuresOf, placeFor } from '../arithmetic';
import { ExpressionProblem } from '../expressionTree';
import { named, plain, pureValue, type FunctionRow } from './row';

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

export const log = logarithm('log');
export const ln = logarithm('ln');

/** The other way about: as many figures as the exponent has decimals. */
export const exp: FunctionRow = {
  name: 'exp',
  takes: [1, 1],
  about: 'e to a power',
  apply: ([given], at) => {
    const of = pureValue('exp', given, at);
    if (of.abs().gt(10_000))
      throw new ExpressionProblem('out-of-range', at, 'The result is too large or too small to be written.');
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
};
