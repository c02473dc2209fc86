import { instrumentOf, modelOf } from '../instruments';
import type { Check, Piece } from './piece';

/** What is promised of a piece, as ±, in the unit of its make: by its certificate, else by its maker. */
export const promisedPlusMinus = ({
  kind,
  model,
  certified,
}: Pick<Piece, 'kind' | 'model' | 'certified'>): string =>
  certified?.plusMinus ?? modelOf(instrumentOf(kind), model).tolerance;

/** What a piece showed less what was known. */
export const checkError = ({ known, shown }: Check): number => Number(shown) - Number(known);

/** Whether a check lies outside a limit; on it is within, as differences of decimals go. */
export const isOutside = (check: Check, limit: number): boolean =>
  Math.abs(checkError(check)) > limit * (1 + 1e-9);
