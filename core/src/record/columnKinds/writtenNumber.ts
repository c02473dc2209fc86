import { isScale, measured, parseNumber, type Quantity } from '../../figures';
import { parseProduct } from '../../units';
import type { CellContext } from './columnKind';

/** A number as it is written, with its figures, in the unit of its column; null where it cannot be read. */
export function writtenNumber(
  text: string,
  { unit }: { readonly unit: string },
  { conventions }: CellContext,
): Quantity | null {
  const parsed = parseNumber(text, conventions.trailingZeros);
  return parsed.ok
    ? { ...measured(parsed.number), unit: unit === '' ? [] : parseProduct(unit), point: isScale(unit) }
    : null;
}
