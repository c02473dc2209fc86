import { parseExpression } from './expression';
import { foldExpression, type Expression } from './expressionTree';
import { writeExpression } from './writeExpression';

/** A formula with another one put in for one of its letters: m / V with L × W × h for V. @throws ExpressionProblem */
export const substitute = (formula: string, name: string, other: string): string =>
  writeExpression(substituted(parseExpression(formula), name, parseExpression(other)));

const substituted = (root: Expression, name: string, by: Expression): Expression =>
  foldExpression<Expression>(root, (node, parts) => {
    const [first = node, second = node] = parts;
    switch (node.kind) {
      case 'number':
        return node;
      case 'name':
        return node.name === name ? { kind: 'group', at: node.at, of: by } : node;
      case 'group':
      case 'negative':
        return { ...node, of: first };
      case 'operation':
        return { ...node, left: first, right: second };
      case 'call':
        return { ...node, arguments: parts };
    }
  });
