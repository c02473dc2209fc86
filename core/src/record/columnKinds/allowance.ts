import { Decimal, isScale, measured, parseReading } from '../../figures';
import { parseProduct } from '../../units';
import type { AllowanceColumn } from '../investigation';
import type { ColumnKind } from './columnKind';

/** What is written of an allowance, in its unit: `-0.3 ± 0.2, a drop lost on the rim`. */
export interface Allowance {
  readonly value: string;
  readonly plusMinus: string;
  readonly reason: string;
}

/** An allowance out of its text; null where a part of it is missing. */
export function allowanceFrom(text: string): Allowance | null {
  const [, value = '', plusMinus = '', reason = ''] =
    /^\s*([+\-−]?\d+(?:[.,]\d+)?)\s*(?:±|\+\/-)\s*(\d+(?:[.,]\d+)?)\s*[,;:]?\s*([^\s\d.,].*?)\s*$/.exec(
      text,
    ) ?? [];
  return reason === '' ? null : { value, plusMinus: plusMinus.replace(',', '.'), reason };
}

/** A correction by judgement; its ± is a line of the budget by itself. */
export const allowanceKind: ColumnKind<AllowanceColumn> = {
  quantity(text, { unit }, { conventions }) {
    const own = allowanceFrom(text);
    const parsed = own && parseReading(own.value, conventions.trailingZeros);
    return parsed?.ok
      ? { ...measured(parsed.number), unit: unit === '' ? [] : parseProduct(unit), point: isScale(unit) }
      : null;
  },
  advise(text, { unit }) {
    const own = allowanceFrom(text);
    if (!own)
      return `An allowance is a value, its ± and why, such as “-0.3 ± 0.2 a drop lost”, in ${unit || 'a pure number'}.`;
    return new Decimal(own.plusMinus).isZero()
      ? 'An allowance by judgement is not exact: say ± how much.'
      : null;
  },
  halfWidth: () => 0,
  audit: () => ({}),
};
