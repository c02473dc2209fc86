import jsep from 'jsep';
import { parseProduct, pure, type UnitProduct } from '../units/product';
import { parseNumber, type WrittenNumber } from './writtenNumber';

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

export const longestExpression = 20_000;
const deepest = 60;
const mostLeaves = 3_000;

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

const notUnderstood = (text: string, at: number): string => {
  const character = [...text.slice(at)][0];
  if (character === undefined || text.slice(at).trim() === '')
    return 'Something is missing at the end of the expression.';
  return `“${character}” at place ${at + 1} was not understood here.`;
};

type Leaf = Extract<Expression, { kind: 'number' | 'name' }>;

interface Lifted {
  /** The expression with a name in place of each literal and each name. */
  readonly text: string;
  /** For each character of it, where that stood. */
  readonly origin: readonly number[];
  readonly leaves: readonly Leaf[];
}

const pieces = {
  space: /\s+/y,
  number:
    /(?:[1-9]\d{0,2}(?:[ \u00a0\u2009\u202f]\d{3})+(?!\d)|\d+)?(?:[.,]\d*)?(?:[eE][+\-−]?\d{1,4}(?![\d.])|\s*[×xX*·]\s*10\s*(?:\^\s*[+\-−]?\d{1,4}|[⁺⁻]?[⁰¹²³⁴-⁹]{1,4}))?/y,
  unit: /[ \u00a0\u2009\u202f]*((?:[a-zA-ZµμΩ°]+(?:\^?-?\d(?![.,\d])|[⁻]?[¹²³⁴-⁹])?)(?:[/·*](?:[a-zA-Zµμ°]+(?:\^?-?\d(?![.,\d])|[⁻]?[¹²³⁴-⁹])?))*)/y,
  exact: /\s*!/y,
  name: /[A-Za-z_α-ωΑ-Ωρ][A-Za-z0-9_α-ωΑ-Ω₀-₉′']*/y,
};

const operators: Readonly<Record<string, string>> = {
  '+': '+',
  '-': '-',
  '−': '-',
  '–': '-',
  '*': '*',
  '×': '*',
  '·': '*',
  '⋅': '*',
  '/': '/',
  '÷': '/',
  ':': '/',
  '^': '^',
  '(': '(',
  ')': ')',
  ',': ',',
  ';': ',',
};

function lift(text: string): Lifted {
  const out: string[] = [];
  const origin: number[] = [];
  const leaves: Leaf[] = [];
  let at = 0;
  let depth = 0;
  let afterValue = false;
  let negativePower = false;
  const emit = (written: string, from: number) => {
    for (const character of written) {
      out.push(character);
      origin.push(from);
    }
  };
  const take = (piece: RegExp): string | null => {
    piece.lastIndex = at;
    const match = piece.exec(text);
    if (!match || match[0] === '') return null;
    at = piece.lastIndex;
    return match[0];
  };
  const leaf = (made: Leaf) => {
    if (afterValue)
      throw new ExpressionProblem(
        'not-understood',
        made.at,
        `An operator is missing before place ${made.at + 1}.`,
      );
    leaves.push(made);
    if (leaves.length > mostLeaves)
      throw new ExpressionProblem(
        'too-long',
        made.at,
        `An expression holds at most ${mostLeaves} numbers and names.`,
      );
    emit(`q${leaves.length - 1}`, made.at);
    afterValue = true;
  };
  while (at < text.length) {
    if (take(pieces.space)) {
      emit(' ', at - 1);
      continue;
    }
    const from = at;
    const character = text.charAt(at);
    if (/[\d.]/.test(character)) {
      const written = take(pieces.number);
      if (!written || !/\d/.test(written))
        throw new ExpressionProblem('number', from, notUnderstood(text, from));
      const signedText = `${negativePower ? '-' : ''}${written}`;
      negativePower = false;
      leaf(
        literal(
          signedText,
          from,
          takeUnit(
            take,
            () => at,
            (back) => (at = back),
          ),
          take(pieces.exact) !== null,
        ),
      );
      continue;
    }
    const name = take(pieces.name);
    if (negativePower)
      throw new ExpressionProblem('not-understood', from, 'Put a negative power in parentheses.');
    if (name) {
      const calls = /^\s*\(/.test(text.slice(at));
      if (calls && isFunction(name)) {
        if (afterValue)
          throw new ExpressionProblem('not-understood', from, `An operator is missing before “${name}”.`);
        emit(`f_${name}`, from);
        at += /^\s*/.exec(text.slice(at))?.[0].length ?? 0;
        emit('(', at);
        at += 1;
        depth += 1;
      } else if (calls)
        throw new ExpressionProblem('unknown-name', from, `“${name}” is not a function that is known here.`);
      else leaf({ kind: 'name', at: from, name });
      continue;
    }
    const operator = operators[character];
    if (!operator) throw new ExpressionProblem('not-understood', from, notUnderstood(text, from));
    if (operator === '(') {
      if (afterValue)
        throw new ExpressionProblem(
          'not-understood',
          from,
          `An operator is missing before the parenthesis at place ${from + 1}.`,
        );
      emit('f_group(', from);
      depth += 1;
    } else if (operator === '-' && !afterValue && out.join('').trimEnd().endsWith('^')) {
      negativePower = true;
    } else if (operator === '-' && !afterValue) {
      // A sign binds less tightly than a power: −2^2 is −(2^2). It is written as a product that names it.
      emit('q_minus*', from);
      if (/(?:q_minus\*\s*){20}$/.test(out.slice(-240).join('')))
        throw new ExpressionProblem('too-deep', from, 'There are too many signs in a row.');
    } else if (operator === '+' && !afterValue) emit(' ', from);
    else emit(operator, from);
    if (operator === ')') depth -= 1;
    if (depth > deepest)
      throw new ExpressionProblem('too-deep', from, `Parentheses nest at most ${deepest} deep.`);
    if (depth < 0)
      throw new ExpressionProblem(
        'not-understood',
        from,
        `The parenthesis at place ${from + 1} was never opened.`,
      );
    afterValue = operator === ')';
    at += 1;
  }
  if (depth > 0) throw new ExpressionProblem('not-understood', text.length, 'A parenthesis is not closed.');
  return { text: out.join(''), origin, leaves };
}

/** A unit right after a number; a name that is no unit is left for the parser. */
function takeUnit(
  take: (piece: RegExp) => string | null,
  place: () => number,
  back: (at: number) => void,
): UnitProduct {
  const from = place();
  const written = take(pieces.unit);
  if (!written) return pure;
  // `g/x` is g divided by x: what is not a unit is given back, piece by piece.
  const parts = written.split(/(?=[/·*])/);
  for (let kept = parts.length; kept > 0; kept -= 1) {
    const text = parts.slice(0, kept).join('');
    try {
      const unit = parseProduct(text);
      back(from + text.length);
      return unit;
    } catch {
      continue;
    }
  }
  throw new ExpressionProblem(
    'unit',
    from + (written.length - written.trimStart().length),
    `“${written.trim()}” is not a unit that is known here.`,
  );
}

function literal(written: string, at: number, unit: UnitProduct, exact: boolean): Leaf {
  const parsed = parseNumber(written);
  if (!parsed.ok)
    throw new ExpressionProblem('number', at + Math.max(0, parsed.problem.at), parsed.problem.message);
  return { kind: 'number', at, number: parsed.number, unit, exact };
}

const isFunction = (name: string): name is FunctionName =>
  (functionNames as readonly string[]).includes(name);

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
