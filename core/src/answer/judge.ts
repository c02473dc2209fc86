import type { Conventions } from '../conventions';
import { parseReading, type NumberProblem, type WrittenNumber } from '../figures';
import type { Cause } from './cause';
import {
  inRuleUnit,
  judgeDigits,
  judgeFraction,
  type DigitsVerdict,
  type IntendedRange,
  type Resolution,
  type WrittenValue,
} from './digits';
import { judgeUnit, type UnitRule, type UnitVerdict } from './unit';

/** What is asked of one written number, whoever asks: the bench, a drill, a cell of a logbook, a worked value, a second look. */
export interface AnswerRule extends UnitRule {
  readonly resolution: Resolution;
  /** Whether some value of a closed interval, in the rule's unit, is right; null where nobody knows what is right. */
  readonly accepts: ((low: number, high: number) => boolean) | null;
  /** Who or what sets the step, for a sentence. */
  readonly reads: string;
}

/** What there is to say about the writing of a number: its unit, its digits, its place. */
export type Writing =
  | { readonly readable: false; readonly problem: NumberProblem }
  | {
      readonly readable: true;
      readonly number: WrittenNumber;
      /** In the rule's unit. */
      readonly written: WrittenValue;
      readonly unit: UnitVerdict;
      readonly digits: DigitsVerdict;
      /** Whether the value is right; null where nobody knows. */
      readonly valueIsRight: boolean | null;
      /** The values that may have been meant, in the rule's unit. */
      readonly intended: IntendedRange;
      /** Faults of unit and digits, in the order in which they are told. */
      readonly faults: readonly Cause[];
      readonly remarks: readonly string[];
    };

/**
 * The one way in which a written number is judged. Never throws.
 * @param unitText the unit that was chosen beside the number; '' when none was. A unit in the text goes before it.
 */
export function judgeWriting(
  text: string,
  unitText: string,
  rule: AnswerRule,
  conventions: Conventions,
): Writing {
  const parsed = parseReading(text, conventions.trailingZeros);
  if (!parsed.ok) return { readable: false, problem: parsed.problem };
  const { number } = parsed;
  const fractions = rule.resolution.by === 'step' ? rule.resolution.fractions : undefined;
  if (number.fractionOf !== null && !fractions)
    return { readable: false, problem: noFraction(text, number.value.toString()) };
  const unit = judgeUnit(number, number.unitText || unitText, rule, conventions);
  const written = inRuleUnit(number, unit.factor);
  const accepts = ({ low, high }: IntendedRange) => rule.accepts?.(low, high) ?? true;
  const asWritten =
    number.fractionOf !== null && fractions
      ? judgeFraction(written.value.toNumber(), number.fractionOf, fractions)
      : judgeDigits(
          written,
          rule.resolution,
          accepts,
          { unit: unit.symbol, factor: unit.factor, reads: rule.reads },
          conventions,
        );
  // The right amount in a unit that the scale does not have: it is the unit that is at fault, not the value or its digits.
  const converted = unit.converted;
  const otherUnit =
    converted !== null && !accepts(asWritten.intended) && accepts({ low: converted, high: converted });
  const digits: DigitsVerdict = otherUnit
    ? { faults: [], remarks: [], intended: { low: converted, high: converted } }
    : asWritten;
  return {
    readable: true,
    number,
    written,
    unit,
    digits,
    valueIsRight: rule.accepts === null ? null : accepts(digits.intended),
    intended: digits.intended,
    faults: [...digits.faults, ...unit.faults],
    remarks: [...digits.remarks, ...unit.remarks],
  };
}

const noFraction = (text: string, decimal: string): NumberProblem => ({
  code: 'not-understood',
  at: text.indexOf('/'),
  message: `Write it with decimals, ${decimal}: only a rule that is divided in sixteenths is read in fractions.`,
});
