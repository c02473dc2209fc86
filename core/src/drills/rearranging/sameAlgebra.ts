import { seeded, seedFrom } from '../../chance/random';
import { ExpressionProblem, parseExpression } from '../../figures';
import { constant, dualOf, termOf, type ModelEquation } from '../../uncertainty';

/** A formula solved for one of its letters: what two answers are compared by. */
export interface Solved {
  readonly id: string;
  readonly formula: string;
  readonly wanted: string;
  readonly names: readonly string[];
}

/**
 * True when two expressions agree for several sets of numbers for which the formula holds; a set for which one of them cannot be
 * reckoned says nothing.
 * @throws ExpressionProblem where what was written cannot be read, or reckoned for any of them
 */
export function sameAlgebra({ id, formula, wanted, names }: Solved, a: string, b: string): boolean {
  const random = seeded(seedFrom(id));
  const [left = '', right = ''] = formula.split(' = ');
  const term = (text: string, letters: readonly string[]): ModelEquation =>
    termOf(parseExpression(text), (name) => (letters.includes(name) ? { kind: 'input', name } : undefined));
  const [whole, one, other] = [term(right, [wanted, ...names]), term(a, names), term(b, names)];
  const agree: boolean[] = [];
  for (let set = 0; set < 6 && agree.length < 3; set += 1) {
    // Each is a temperature, too, at which the density of water is known.
    const given = new Map([wanted, ...names].map((name) => [name, 5 + 30 * random.next()]));
    given.set(left, valueOf(whole, given));
    const difference = Math.abs(valueOf(one, given) / valueOf(other, given) - 1);
    if (Number.isFinite(difference)) agree.push(difference < 1e-9);
  }
  if (agree.length === 0)
    throw new ExpressionProblem(
      'out-of-range',
      0,
      'This comes to no number, whatever its letters stand for.',
    );
  return agree.every(Boolean);
}

/** NaN where it cannot be reckoned. */
function valueOf(term: ModelEquation, given: ReadonlyMap<string, number>): number {
  try {
    return dualOf(term, (name) => constant(given.get(name) ?? NaN)).value;
  } catch (error) {
    if (error instanceof RangeError) return NaN;
    throw error;
  }
}
