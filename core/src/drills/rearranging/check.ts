import type { Cause, WorkedVerdict } from '../../answer';
import { ExpressionProblem, parseExpression } from '../../figures';
import { sameAlgebra } from './sameAlgebra';
import type { Rearranging } from './solve';

/** Checks what somebody wrote for the wanted letter: right where it gives the same number, whatever its letters stand for. */
export function checkRearranged(item: Rearranging, text: string): WorkedVerdict {
  const written = text.replace(new RegExp(`^\\s*${item.wanted}\\s*=`), (head) => ' '.repeat(head.length));
  try {
    parseExpression(written);
    if (sameAlgebra(item, written, item.answer)) return { outcome: 'right', remarks: [] };
    const causes = item.mistakes
      .filter(({ expression }) => sameAlgebra(item, written, expression))
      .map(({ code, title, hint }): Cause => ({ code, title, hint, skill: 'working' }));
    const distinct = causes.filter(({ code }, at) => causes.findIndex((other) => other.code === code) === at);
    return { outcome: 'wrong', causes: distinct, remarks: [] };
  } catch (error) {
    if (error instanceof ExpressionProblem)
      return { outcome: 'unreadable', problem: { at: error.at, message: error.message } };
    throw error;
  }
}
