import { pure } from '../units/product';
import { exactly } from './arithmetic';
import { Decimal } from '../decimal/decimal';
import { parseExpression } from './expression';
import { isScale } from './convert';
import { ExpressionProblem, type Expression } from './expressionTree';
import { call } from './functions';
import { binary, type Operation } from './operations';
import type { Quantity, ReckoningStep } from './quantity';
import { roundToPlace, type Rounding } from './rounding';

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
          return { ...exactly(Decimal.acos(-1)), unit: pure, point: false };
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
  const point = unit.length === 1 && unit[0]?.power === 1 && isScale(unit[0].unit.symbol);
  return { value: number.value, lastPlace: exact ? null : number.lastPlace, unit, point };
}
