import { parseExpression } from './expression';
import { exchanged, type Expression } from './expressionTree';
import { writeExpression } from './writeExpression';

/** A formula with another one put in for one of its letters: m / V with L × W × h for V. @throws ExpressionProblem */
export const substitute = (formula: string, name: string, other: string): string =>
  writeExpression(substituted(parseExpression(formula), name, parseExpression(other)));

const substituted = (root: Expression, name: string, by: Expression): Expression =>
  exchanged(root, (leaf) =>
    leaf.kind === 'name' && leaf.name === name ? { kind: 'group', at: leaf.at, of: by } : leaf,
  );
