import jsep from 'jsep';
import { ExpressionProblem, isFunction, notUnderstood, type Expression, type Leaf } from './expressionTree';
import { lift } from './lifting';

export const longestExpression = 20_000;

/**
 * Parses an expression: `+ − × ÷ ^`, parentheses, the functions of `functionNames`, names, and numbers as they are
 * written, each with its unit and `!` where it is exact. The literals are lifted out first, so that their text is kept;
 * the rest is parsed by jsep.
 * @throws ExpressionProblem
 */
export function parseExpression(text: string): Expression {
  if (text.trim() === '') throw new ExpressionProblem('empty', 0, 'Nothing is written yet.');
  if (text.length > longestExpression)
    throw new ExpressionProblem(
      'too-long',
      longestExpression,
      `An expression is at most ${longestExpression} characters long.`,
    );
  const lifted = lift(text);
  let tree: jsep.Expression;
  try {
    tree = jsep(lifted.text);
  } catch (error) {
    const index = typeof error === 'object' && error !== null && 'index' in error ? Number(error.index) : 0;
    const at = lifted.origin[Math.min(index, lifted.origin.length - 1)] ?? text.length;
    throw new ExpressionProblem('not-understood', at, notUnderstood(text, at));
  }
  return build(tree, lifted.leaves, text);
}

jsep.addBinaryOp('^', 11, true);
// Nothing else of the parser's usual language is ours.
for (const operator of [
  '||',
  '&&',
  '|',
  '&',
  '==',
  '!=',
  '===',
  '!==',
  '<',
  '>',
  '<=',
  '>=',
  '<<',
  '>>',
  '>>>',
  '%',
  '??',
])
  jsep.removeBinaryOp(operator);
for (const operator of ['!', '~', '-', '+']) jsep.removeUnaryOp(operator);

const symbols = { '+': '+', '-': '−', '*': '×', '/': '÷', '^': '^' } as const;

function build(tree: jsep.Expression, leaves: readonly Leaf[], text: string): Expression {
  const inner = (node: jsep.Expression): Expression => build(node, leaves, text);
  const refuse = (at = 0): never => {
    throw new ExpressionProblem(
      'not-understood',
      at,
      'The expression was not understood. Is an operator missing?',
    );
  };
  switch (tree.type) {
    case 'Identifier': {
      const leaf = leaves[Number(String(tree['name']).slice(1))];
      return leaf ?? refuse();
    }
    case 'BinaryExpression': {
      const { operator, left, right } = tree as jsep.BinaryExpression;
      if (operator === '*' && left.type === 'Identifier' && left['name'] === 'q_minus') {
        const of = inner(right);
        return { kind: 'negative', at: of.at, of };
      }
      const sign = symbols[operator as keyof typeof symbols];
      if (sign === undefined) return refuse();
      return operation(sign, inner(left), inner(right));
    }
    case 'CallExpression': {
      const { callee, arguments: given } = tree as jsep.CallExpression;
      const name = callee.type === 'Identifier' ? String(callee['name']).slice(2) : '';
      const first = given[0];
      if (!first) return refuse(text.length - 1);
      const inside = given.map(inner);
      const at = Math.max(0, (inside[0]?.at ?? 1) - 1);
      if (name === 'group') {
        if (inside.length > 1 || !inside[0]) return refuse(at);
        return { kind: 'group', at, of: inside[0] };
      }
      if (!isFunction(name)) return refuse(at);
      if (name !== 'mean' && inside.length > 1)
        throw new ExpressionProblem('not-understood', at, `“${name}” takes one value.`);
      return { kind: 'call', at, name, arguments: inside };
    }
    default:
      return refuse();
  }
}

function operation(operator: '+' | '−' | '×' | '÷' | '^', left: Expression, right: Expression): Expression {
  // A whole number as a power is exact: it counts how often.
  const power =
    operator === '^' && right.kind === 'number' && right.number.decimals === 0 && right.unit.length === 0
      ? { ...right, exact: true }
      : right;
  return { kind: 'operation', at: left.at, operator, left, right: power };
}
