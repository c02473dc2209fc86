import type { UnitProduct } from '../units/product';
import type { WrittenNumber } from './writtenNumber';

/** An expression of measured values, as it was written. `at` is where its first character stands in the text. */
export type Expression =
  | {
      readonly kind: 'number';
      readonly at: number;
      /** Where it ends, with its unit and its mark. */
      readonly end: number;
      readonly number: WrittenNumber;
      readonly unit: UnitProduct;
      /** Marked as exact, or a whole number used as a power: never limiting. */
      readonly exact: boolean;
    }
  | { readonly kind: 'name'; readonly at: number; readonly name: string }
  | { readonly kind: 'negative'; readonly at: number; readonly of: Expression }
  | {
      readonly kind: 'operation';
      readonly at: number;
      readonly operator: Operator;
      readonly left: Expression;
      readonly right: Expression;
    }
  | {
      readonly kind: 'call';
      readonly at: number;
      readonly name: FunctionName;
      readonly arguments: readonly Expression[];
    }
  | { readonly kind: 'group'; readonly at: number; readonly of: Expression };

export type Operator = '+' | '−' | '×' | '÷' | '^';

/** Functions of measured values; what each does stands in its row of `functions`. */
export const functionNames = [
  'sqrt',
  'log',
  'ln',
  'exp',
  'sin',
  'cos',
  'mean',
  'abs',
  'water',
  'waterVolume',
  'boiling',
  'pressureAt',
] as const;

export type FunctionName = (typeof functionNames)[number];

export const isFunction = (name: string): name is FunctionName =>
  (functionNames as readonly string[]).includes(name);

/** What a node is made of, in the order in which it is written. */
export function childrenOf(node: Expression): readonly Expression[] {
  switch (node.kind) {
    case 'number':
    case 'name':
      return [];
    case 'negative':
    case 'group':
      return [node.of];
    case 'operation':
      return [node.left, node.right];
    case 'call':
      return node.arguments;
  }
}

/**
 * Makes something of a whole expression from the bottom up, its parts from left to right, without descending: a sum of thousands
 * leans as deep as it is long.
 */
export function foldExpression<T>(
  root: Expression,
  combine: (node: Expression, parts: readonly T[]) => T,
): T {
  const frame = (node: Expression) => ({ node, parts: childrenOf(node), done: [] as T[] });
  const stack = [frame(root)];
  for (;;) {
    const top = stack.at(-1) ?? frame(root);
    const next = top.parts[top.done.length];
    if (next) {
      stack.push(frame(next));
      continue;
    }
    const made = combine(top.node, top.done);
    stack.pop();
    const below = stack.at(-1);
    if (!below) return made;
    below.done.push(made);
  }
}

/** The same expression with something else in place of its numbers and names. */
export const exchanged = (root: Expression, other: (leaf: Leaf) => Expression): Expression =>
  foldExpression<Expression>(root, (node, parts) => {
    const [first = node, second = node] = parts;
    switch (node.kind) {
      case 'number':
      case 'name':
        return other(node);
      case 'group':
      case 'negative':
        return { ...node, of: first };
      case 'operation':
        return { ...node, left: first, right: second };
      case 'call':
        return { ...node, arguments: parts };
    }
  });

/** Every name in an expression, once; π is none. */
export function namesIn(root: Expression): string[] {
  const names = new Set<string>();
  foldExpression<null>(root, (node) => {
    if (node.kind === 'name') names.add(node.name);
    return null;
  });
  return [...names].filter((name) => name !== 'π' && name !== 'pi');
}

export type Leaf = Extract<Expression, { kind: 'number' | 'name' }>;

export type ExpressionProblemCode =
  | 'empty'
  | 'too-long'
  | 'too-deep'
  | 'number'
  | 'unit'
  | 'not-understood'
  | 'unknown-name'
  | 'unit-clash'
  | 'not-pure'
  | 'division-by-zero'
  | 'out-of-range';

/** What is wrong with an expression, and where. */
export class ExpressionProblem extends Error {
  constructor(
    readonly code: ExpressionProblemCode,
    /** Position in the text, from 0. */
    readonly at: number,
    message: string,
  ) {
    super(message);
  }
}

export const notUnderstood = (text: string, at: number): string => {
  const character = [...text.slice(at)][0];
  if (character === undefined || text.slice(at).trim() === '')
    return 'Something is missing at the end of the expression.';
  return `“${character}” at place ${at + 1} was not understood here.`;
};
