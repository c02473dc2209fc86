import type { Cause } from '../../answer';
import { ExpressionProblem, parseExpression } from '../../figures';
import { sameAlgebra } from './sameAlgebra';
import type { Rearranging } from './solve';

export type RearrangingVerdict =
  | { readonly outcome: 'right' }
  | { readonly outcome: 'wrong'; readonly causes: readonly Cause[] }
  | { readonly outcome: 'unreadable'; readonly at: number; readonly message: string };

/** Checks what somebody wrote for the wanted letter: right where it gives the same number, whatever its letters stand for. */
export function checkRearranged(item: Rearranging, text: string): RearrangingVerdict {
  const written = text.replace(new RegExp(`^\\s*${item.wanted}\\s*=`), (head) => ' '.repeat(head.length));
  try {
    parseExpression(written);
    if (sameAlgebra(item, written, item.answer)) return { outcome: 'right' };
    const causes = item.mistakes
      .filter(({ expression }) => sameAlgebra(item, written, expression))
      .map(({ code, title, look }): Cause => ({ code, title, look, skill: 'working' }));
    const distinct = causes.filter(({ code }, at) => causes.findIndex((other) => other.code === code) === at);
    return { outcome: 'wrong', causes: distinct };
  } catch (error) {
    if (error instanceof ExpressionProblem)
      return { outcome: 'unreadable', at: error.at, message: error.message };
    throw error;
  }
}
