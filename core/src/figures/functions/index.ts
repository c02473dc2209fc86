import { ExpressionProblem, type FunctionName } from '../expressionTree';
import type { RoundingPolicy } from '../policy';
import type { EvaluationStep, Quantity } from '../quantity';
import { cos, sin } from './circular';
import { exp, ln, log } from './logarithms';
import { mean } from './mean';
import { abs, sqrt } from './roots';
import { boiling, pressureAt } from './pressure';
import type { FunctionRow } from './row';
import { water, waterVolume } from './water';

/** Every function, by its name; a new one is a row here and a name in `functionNames`. */
export const functions: Readonly<Record<FunctionName, FunctionRow>> = {
  sqrt,
  log,
  ln,
  exp,
  sin,
  cos,
  mean,
  abs,
  water,
  waterVolume,
  boiling,
  pressureAt,
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

export { piQuantity } from './circular';
export type { PlainFunction } from './row';
