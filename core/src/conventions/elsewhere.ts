import type { Conventions } from './conventions';
import { evaluate } from '../figures/evaluate';
import { ExpressionProblem } from '../figures/expressionTree';
import { writeQuantity } from '../figures/quantity';

/** The same as a class with another ready-made set of house rules states it. */
export interface StatedElsewhere {
  readonly preset: string;
  readonly text: string;
}

/** How other classes write the same result; null where they write it as this one does. */
export interface Elsewhere {
  /** A class that breaks a tie the other way. */
  readonly otherTie: string | null;
  /** A class that rounds at each step where this one does at the end, or the other way about. */
  readonly otherTime: string | null;
}

/** What a calculation would come to in classes that round otherwise. @throws ExpressionProblem for what is no calculation. */
export function writtenElsewhere(text: string, conventions: Conventions): Elsewhere {
  const by = (changed: Partial<Conventions>) => {
    const changedConventions = { ...conventions, ...changed };
    return writeQuantity(evaluate(text, changedConventions).result, changedConventions.rounding);
  };
  const own = by({});
  const unlessSame = (changed: Partial<Conventions>) => {
    try {
      const other = by(changed);
      return other === own ? null : other;
    } catch (error) {
      // What is rounded on the way may become nothing, and not be divided by.
      if (error instanceof ExpressionProblem) return null;
      throw error;
    }
  };
  return {
    otherTie: unlessSame({ rounding: conventions.rounding === 'half-even' ? 'half-away' : 'half-even' }),
    otherTime: unlessSame({ roundWhen: conventions.roundWhen === 'end' ? 'each-step' : 'end' }),
  };
}
