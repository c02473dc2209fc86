import type { Conventions } from '../conventions';
import { clockSeconds, parseNumber } from '../figures';
import { columnRule, judgeCell } from './columnRule';
import type { Column, Investigation } from './investigation';

/**
 * What to say of a text in a column at once, or null when nothing is amiss. It advises and never blocks: what was
 * written stays as it was written.
 */
export function adviseOn(
  text: string,
  column: Column,
  investigation: Investigation,
  conventions: Conventions,
): string | null {
  if (text.trim() === '' || column.kind === 'derived') return null;
  if (column.kind === 'clock') return adviseOnClock(text);
  if (column.kind === 'count') return adviseOnCount(text, conventions);
  const rule = columnRule(column, investigation, conventions);
  const writing = judgeCell(text, rule, conventions);
  if (!writing.readable) return writing.problem.message;
  const { number, written, unit, faults, remarks } = writing;
  const shown = number.text.trim();
  if (unit.faults.length > 0) return inColumnUnit(column.unit);
  const [fault] = faults;
  if (fault) {
    const step = rule.step.size.div(unit.factor).toString();
    return `${shown} ${digitWords[fault.code] ?? `is amiss: ${fault.hint}`}: ${column.tag} is read to ${step} ${unit.symbol}.`;
  }
  const { lowest, highest } = rule.range;
  if (written.value.lt(lowest) || written.value.gt(highest))
    return `${shown} is off the scale: ${column.tag} goes from ${rangeWords(rule.range)} ${column.unit}.`;
  if (number.unitText !== '' && unit.symbol !== column.unit) return inColumnUnit(column.unit);
  return remarks[0] ?? null;
}

/** `0 to 150`, with a minus that is one. */
export const rangeWords = ({ lowest, highest }: ReturnType<typeof columnRule>['range']): string =>
  `${lowest.toString().replace('-', '−')} to ${highest.toString()}`;

const inColumnUnit = (unit: string): string =>
  `This column is in ${unit}. Write the number alone, in ${unit}.`;

const digitWords: Readonly<Record<string, string>> = {
  'dropped-final-digit': 'stops short',
  'dropped-trailing-zero': 'stops short',
  'bare-zero': 'stops short',
  'extra-digit': 'has a digit too many',
  'off-step': 'falls between the steps',
  'point-missing': 'ends in a zero that was read, and needs a point behind it',
};

function adviseOnCount(text: string, { trailingZeros }: Conventions): string | null {
  const parsed = parseNumber(text, trailingZeros);
  if (!parsed.ok) return parsed.problem.message;
  const { value } = parsed.number;
  return value.isInteger() && value.gte(0)
    ? null
    : `${parsed.number.text.trim()} is no count: it has to be a whole number.`;
}

function adviseOnClock(text: string): string | null {
  try {
    clockSeconds(text);
    return null;
  } catch (error) {
    return error instanceof RangeError ? error.message : null;
  }
}
