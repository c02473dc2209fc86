import type { DerivedColumn } from '../investigation';
import type { ColumnKind } from './columnKind';
import { writtenNumber } from './writtenNumber';

/** A formula over the columns before it; what is written in it was worked by a student. */
export const derivedKind: ColumnKind<DerivedColumn> = {
  quantity: writtenNumber,
  // What is worked is checked by itself, against its readings.
  advise: () => null,
  halfWidth: () => 0,
  audit: () => ({}),
};
