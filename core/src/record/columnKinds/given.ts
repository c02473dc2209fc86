import { isScale, measured, parseNumber } from '../../figures';
import { parseProduct } from '../../units';
import type { GivenColumn } from '../investigation';
import type { ColumnKind } from './columnKind';

/** Looked up or supplied; nobody writes in it. */
export const givenKind: ColumnKind<GivenColumn> = {
  quantity(text, { unit }, { conventions }) {
    const parsed = parseNumber(text, conventions.trailingZeros);
    return parsed.ok
      ? { ...measured(parsed.number), unit: unit === '' ? [] : parseProduct(unit), point: isScale(unit) }
      : null;
  },
  advise: () => null,
  halfWidth: () => 0,
  audit: () => ({}),
};
