import { parseExpression } from './expression';
import { isScale } from './convert';
import { ExpressionProblem, foldExpression, type Expression } from './expressionTree';
import { call, piQuantity } from './functions';
import { binary } from './operations';
import type { RoundingPolicy } from './policy';
import type { Quantity, EvaluationStep } from './quantity';
import { roundToPlace } from './rounding';

export interface Evaluation {
  readonly expression: Expression;
  readonly result: Quantity;
  readonly steps: readonly EvaluationStep[];
}

/** Values for the names of an expression. */
export type Names = Readonly<Record<string, Quantity>>;

const farthest = 5_000;
/** Functions and powers take a thousand times as long as a sum: a calculation holds so many at most. */
const mostFunctions = 60;

/**
 * Evaluates an expression. All digits are kept and the place that the data justify is tracked beside them; where the class
 * rounds each step, the value goes on rounded.
 * @throws ExpressionProblem with its place for anything that cannot be reckoned.
 */
export function evaluate(text: string, policy: RoundingPolicy, names: Names = {}): Evaluation {
  const expression = parseExpression(text, policy.trailingZeros);
  return { expression, ...evaluateTree(expression, policy, names) };
}

export function evaluateTree(
  expression: Expression,
  policy: RoundingPolicy,
  names: Names = {},
): { readonly result: Quantity; readonly steps: readonly EvaluationStep[] } {
  const { rounding, roundWhen } = policy;
  const steps: EvaluationStep[] = [];
  let functions = 0;
  const countFunction = (at: number) => {
    functions += 1;
    if (functions > mostFunctions)
      throw new ExpressionProblem(
        'too-long',
        at,
        `A calculation holds at most ${mostFunctions} functions and powers.`,
      );
  };
  const keep = (step: EvaluationStep, at: number): Quantity => {
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
  const result = foldExpression<Quantity>(expression, (node, parts) => {
    const [first, second] = parts;
    switch (node.kind) {
      case 'number':
        return literalQuantity(node);
      case 'name': {
        const value = Object.hasOwn(names, node.name) ? names[node.name] : undefined;
        if (value) return value;
        if (node.name === 'π' || node.name === 'pi') return piQuantity;
        throw new ExpressionProblem('unknown-name', node.at, `“${node.name}” has no value yet.`);
      }
      case 'call':
        countFunction(node.at);
        return keep(call(node.name, parts, node.arguments[0]?.at ?? node.at, policy), node.at);
    }
    if (!first) throw new ExpressionProblem('not-understood', node.at, 'Something is missing here.');
    if (node.kind === 'group') return first;
    if (node.kind === 'negative') return { ...first, value: first.value.neg() };
    if (!second) throw new ExpressionProblem('not-understood', node.at, 'Something is missing here.');
    if (node.operator === '^') countFunction(node.at);
    return keep(binary(node.operator, first, second, node.right.at), node.at);
  });
  return { result, steps };
}

export function literalQuantity({ number, unit, exact }: Extract<Expression, { kind: 'number' }>): Quantity {
  const point = unit.length === 1 && unit[0]?.power === 1 && isScale(unit[0].unit.symbol);
  return { value: number.value, lastPlace: exact ? null : number.lastPlace, unit, point };
}
