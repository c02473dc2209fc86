import type { GivenColumn } from '../investigation';
import type { ColumnKind } from './columnKind';
import { writtenNumber } from './writtenNumber';

/** Looked up or supplied; nobody writes in it. */
export const givenKind: ColumnKind<GivenColumn> = {
  quantity: writtenNumber,
  advise: () => null,
  halfWidth: () => 0,
  audit: () => ({}),
};
