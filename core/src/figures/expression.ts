import {
  exchanged,
  ExpressionProblem,
  foldExpression,
  notUnderstood,
  type Expression,
  type Leaf,
  type Operator,
} from './expressionTree';
import { tokenize, type Token } from './tokenize';
import type { TrailingZeros } from './writtenNumber';

export const longestExpression = 40_000;

/**
 * Parses an expression: `+ − × ÷ ^`, signs, parentheses, the functions of `functions`, names, and numbers as they are
 * written, each with its unit, and marked *exact* where it is. A sign binds less tightly than a power (−2^2 is −4) and may
 * stand after an operator; powers stack from the right.
 * @throws ExpressionProblem with its place
 */
export function parseExpression(text: string, trailingZeros: TrailingZeros = 'written-point'): Expression {
  if (text.trim() === '') throw new ExpressionProblem('empty', 0, 'Nothing is written yet.');
  if (text.length > longestExpression)
    throw new ExpressionProblem(
      'too-long',
      longestExpression,
      `An expression is at most ${longestExpression} characters long.`,
    );
  return new Parser(text, tokenize(text, trailingZeros)).whole();
}

const mostPowers = 60;

/** Goes through the tokens once. Sums, products and signs are walked, however long; only parentheses and powers nest. */
class Parser {
  #next = 0;

  constructor(
    private readonly text: string,
    private readonly tokens: readonly Token[],
  ) {}

  whole(): Expression {
    const made = this.#sum();
    const left = this.#peek();
    if (left.kind === 'end') return made;
    throw left.kind === 'leaf' || left.kind === 'open'
      ? new ExpressionProblem(
          'not-understood',
          left.at,
          `An operator is missing before place ${left.at + 1}.`,
        )
      : this.#unexpected(left);
  }

  #peek(): Token {
    return this.tokens[this.#next] ?? { kind: 'end', at: this.text.length };
  }

  #takeOperator(...wanted: readonly Operator[]): { operator: Operator; at: number } | null {
    const token = this.#peek();
    if (token.kind !== 'operator' || !wanted.includes(token.operator)) return null;
    this.#next += 1;
    return token;
  }

  #unexpected({ at }: Token): ExpressionProblem {
    return new ExpressionProblem('not-understood', at, notUnderstood(this.text, at));
  }

  #sum(): Expression {
    return this.#chain(['+', '−'], () => this.#chain(['×', '÷'], () => this.#signed(0)));
  }

  /** Operators of one rank, from the left. */
  #chain(rank: readonly Operator[], part: () => Expression): Expression {
    let left = part();
    for (let sign = this.#takeOperator(...rank); sign; sign = this.#takeOperator(...rank))
      left = operation(sign.operator, left, part());
    return left;
  }

  #signed(powers: number): Expression {
    const first = this.#peek().at;
    let negative = false;
    for (let sign = this.#takeOperator('+', '−'); sign; sign = this.#takeOperator('+', '−'))
      negative = negative !== (sign.operator === '−');
    const of = this.#power(powers);
    return negative ? { kind: 'negative', at: first, of } : of;
  }

  #power(powers: number): Expression {
    const base = this.#atom();
    const sign = this.#takeOperator('^');
    if (!sign) return base;
    if (powers >= mostPowers)
      throw new ExpressionProblem('too-deep', sign.at, `Powers stack at most ${mostPowers} high.`);
    return operation('^', base, this.#signed(powers + 1));
  }

  #atom(): Expression {
    const token = this.#peek();
    this.#next += 1;
    if (token.kind === 'leaf') return token.leaf;
    if (token.kind !== 'open') throw this.#unexpected(token);
    const inside = [this.#sum()];
    while (this.#peek().kind === 'separator' && token.name !== null) {
      this.#next += 1;
      inside.push(this.#sum());
    }
    const end = this.#peek();
    if (end.kind !== 'close')
      throw end.kind === 'leaf' || end.kind === 'open'
        ? new ExpressionProblem(
            'not-understood',
            end.at,
            `An operator is missing before place ${end.at + 1}.`,
          )
        : this.#unexpected(end);
    this.#next += 1;
    const [first] = inside;
    if (token.name !== null) return { kind: 'call', at: token.at, name: token.name, arguments: inside };
    if (!first) throw this.#unexpected(end);
    return { kind: 'group', at: token.at, of: first };
  }
}

function operation(operator: Operator, left: Expression, right: Expression): Expression {
  if (operator !== '^' || !counts(right)) return { kind: 'operation', at: left.at, operator, left, right };
  // A power of ten places the point; it is nothing that somebody read.
  const base = left.kind === 'number' && left.number.text.trim() === '10' ? exactly(left) : left;
  return { kind: 'operation', at: left.at, operator, left: base, right: exchanged(right, exactly) };
}

/** Whole numbers as a power, in parentheses or not, count how often: they are exact. */
const counts = (power: Expression): boolean =>
  foldExpression<boolean>(power, (node, parts) =>
    node.kind === 'number'
      ? node.number.decimals === 0 && node.unit.length === 0
      : node.kind !== 'name' && parts.every(Boolean),
  );

const exactly = (leaf: Leaf): Leaf =>
  leaf.kind === 'number' && leaf.unit.length === 0 ? { ...leaf, exact: true } : leaf;
