import type { Conventions } from '../conventions';
import { parseNumber, type Decimal, type NumberProblem } from '../figures';
import type { Cause } from './cause';
import type { WrittenValue } from './digits';
import { judgeWriting, type AnswerRule } from './judge';
import { commonMistakes, type Mistake } from './mistakes';

/** A number that was worked out: in a drill, in a cell of a logbook, under a column. */
export interface WorkedAnswer {
  /** The right answer, unrounded, with the place that its data justify; null for an exact one. */
  readonly value: Decimal;
  readonly lastPlace: number | null;
  /** The right answer as the class writes it, without its unit. */
  readonly text: string;
  /** '' for a pure number. */
  readonly unit: string;
  /** What is asked of the writing besides: a power of ten with one digit before the point, a sign. */
  readonly form: 'any' | 'scientific' | 'signed';
  /** The mistakes that belong to it. */
  readonly mistakes: readonly Mistake[];
}

/** What is said of a worked answer. It never holds the right one. */
export type WorkedVerdict =
  | { readonly outcome: 'right'; readonly remarks: readonly string[] }
  | { readonly outcome: 'wrong'; readonly causes: readonly Cause[]; readonly remarks: readonly string[] }
  | { readonly outcome: 'unreadable'; readonly problem: Pick<NumberProblem, 'at' | 'message'> };

/**
 * Judges a worked answer: the same value to the same place is right, in any accepted writing. A wrong one is named by the
 * mistake that leads to it: one of its own, else one that any can have, else what is amiss with its digits.
 * @param unitText the unit that was chosen beside it; a unit in the text goes before it.
 * @param headed true where a heading says the unit, so that none has to be written.
 */
export function judgeWorked(
  answer: WorkedAnswer,
  text: string,
  unitText: string,
  conventions: Conventions,
  headed = false,
): WorkedVerdict {
  const writing = judgeWriting(text, unitText, ruleFor(answer, conventions, headed), conventions);
  if (!writing.readable) return { outcome: 'unreadable', problem: writing.problem };
  const { digits, unit, written, valueIsRight } = writing;
  const right = valueIsRight === true && digits.faults.length === 0;
  const causes = [
    ...(right
      ? formFaults(answer, text)
      : causesOf(answer, written, digits.faults, valueIsRight, conventions)),
    ...unit.faults,
  ];
  if (right && causes.length === 0) return { outcome: 'right', remarks: unit.remarks };
  return { outcome: 'wrong', causes, remarks: unit.remarks };
}

function ruleFor(
  { text, lastPlace, unit }: WorkedAnswer,
  conventions: Conventions,
  headed: boolean,
): AnswerRule {
  const key = parseNumber(text, conventions.trailingZeros);
  const value = key.ok ? key.number.value.toNumber() : NaN;
  const slack = Math.abs(value) * 1e-12;
  return {
    unit,
    headed,
    resolution:
      lastPlace === null || !key.ok ? { by: 'exact' } : { by: 'place', place: key.number.lastPlace },
    accepts: (low, high) => value >= low - slack && value <= high + slack,
    reads: 'It is written',
  };
}

function causesOf(
  answer: WorkedAnswer,
  written: WrittenValue,
  digits: readonly Cause[],
  valueIsRight: boolean | null,
  conventions: Conventions,
): Cause[] {
  const leads = ({ text }: Mistake): boolean => {
    const parsed = parseNumber(text, conventions.trailingZeros);
    if (!parsed.ok || !parsed.number.value.eq(written.value)) return false;
    return answer.lastPlace === null || parsed.number.lastPlace === written.lastPlace;
  };
  const own = answer.mistakes.filter(leads);
  const told: readonly Mistake[] = own.length > 0 ? own : commonMistakes(answer).filter(leads).slice(0, 1);
  if (told.length === 0) return valueIsRight ? digits.slice(0, 1) : [];
  const distinct = told.filter(({ code }, at) => told.findIndex((other) => other.code === code) === at);
  return distinct.map(({ code, title, hint, skill }) => ({ code, title, hint, skill }));
}

function formFaults({ form }: WorkedAnswer, text: string): Cause[] {
  if (form === 'scientific' && !/^\s*[+\-−]?[1-9](?:[.,]\d*)?\s*(?:[eE]|[×xX*·])/.test(text))
    return [
      {
        code: 'not-scientific',
        title: 'That is not scientific notation yet.',
        hint: 'One digit that is not 0 before the point, then times a power of ten: 4.20×10⁻³.',
        skill: 'digits',
      },
    ];
  if (form === 'signed' && !/^\s*[+\-−]/.test(text))
    return [
      {
        code: 'sign-missing',
        title: 'The sign is missing.',
        hint: 'Your class writes this error with its sign, a plus too: it says which way it leans.',
        skill: 'working',
      },
    ];
  return [];
}
