import type { UnitProduct } from '../units/product';
import type { WrittenNumber } from './writtenNumber';

/** An expression of measured values, as it was written. `at` is where its first character stands in the text. */
export type Expression =
  | {
      readonly kind: 'number';
      readonly at: number;
      readonly number: WrittenNumber;
      readonly unit: UnitProduct;
      /** Marked with `!`, or a whole number used as a power: never limiting. */
      readonly exact: boolean;
    }
  | { readonly kind: 'name'; readonly at: number; readonly name: string }
  | { readonly kind: 'negative'; readonly at: number; readonly of: Expression }
  | {
      readonly kind: 'operation';
      readonly at: number;
      readonly operator: '+' | '−' | '×' | '÷' | '^';
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

export const functionNames = ['sqrt', 'log', 'ln', 'exp', 'sin', 'cos', 'mean', 'abs'] as const;

export type FunctionName = (typeof functionNames)[number];

export const isFunction = (name: string): name is FunctionName =>
  (functionNames as readonly string[]).includes(name);

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
