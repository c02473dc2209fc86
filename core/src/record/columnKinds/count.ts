import { exactly, isScale, parseNumber } from '../../figures';
import { parseProduct } from '../../units';
import type { CountColumn } from '../investigation';
import type { ColumnKind } from './columnKind';

/** A whole number, exact. */
export const countKind: ColumnKind<CountColumn> = {
  quantity(text, { unit }, { conventions }) {
    const parsed = parseNumber(text, conventions.trailingZeros);
    return parsed.ok
      ? {
          ...exactly(parsed.number.value),
          unit: unit === '' ? [] : parseProduct(unit),
          point: isScale(unit),
        }
      : null;
  },
  advise(text, _, __, { trailingZeros }) {
    const parsed = parseNumber(text, trailingZeros);
    if (!parsed.ok) return parsed.problem.message;
    const { value } = parsed.number;
    return value.isInteger() && value.gte(0)
      ? null
      : `${parsed.number.text.trim()} is no count: it has to be a whole number.`;
  },
  halfWidth: () => 0,
  audit: () => ({}),
};
