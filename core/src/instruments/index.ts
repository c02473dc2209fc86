import { electronicBalance } from './electronicBalance';
import { graduatedCylinder } from './graduatedCylinder';
import type { Instrument } from './instrument';
import type { InstrumentKind } from './kinds';
import { micrometer } from './micrometer';
import { ruler } from './ruler';
import { thermometer } from './thermometer';
import { threeBeamBalance } from './threeBeamBalance';
import { vernierCaliper } from './vernierCaliper';

/** Every instrument on the bench. A new one is a file beside this one and a line here. */
export const instruments: readonly Instrument[] = [
  ruler,
  thermometer,
  threeBeamBalance,
  electronicBalance,
  vernierCaliper,
  micrometer,
  graduatedCylinder,
];

/** @throws RangeError for a kind that is not on the bench. */
export function instrumentOf(kind: InstrumentKind | (string & {})): Instrument {
  const found = instruments.find((candidate) => candidate.kind === kind);
  if (!found) throw new RangeError(`There is no “${kind}” on the bench.`);
  return found;
}

export * from './kinds';
export * from './instrument';
export * from './scale';
export { beams, type Riders } from './riders';
export * from './ruler';
export * from './thermometer';
export * from './threeBeamBalance';
export * from './electronicBalance';
export * from './graduatedCylinder';
export * from './zeroError';
export * from './vernierCaliper';
export * from './micrometer';
