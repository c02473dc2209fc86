import { beaker } from './beaker';
import { burette } from './burette';
import { digitalCaliper } from './digitalCaliper';
import { electronicBalance } from './electronicBalance';
import { fourBeamBalance } from './fourBeamBalance';
import { graduatedCylinder } from './graduatedCylinder';
import { graduatedPipette } from './graduatedPipette';
import { hydrometer } from './hydrometer';
import type { Instrument } from './instrument';
import type { InstrumentKind } from './kinds';
import { micrometer } from './micrometer';
import { ruler } from './ruler';
import { squeezePipette } from './squeezePipette';
import { thermometer } from './thermometer';
import { threeBeamBalance } from './threeBeamBalance';
import { vernierCaliper } from './vernierCaliper';
import { volumetricFlask } from './volumetricFlask';
import { volumetricPipette } from './volumetricPipette';

/** Every instrument on the bench. A new one is a file beside this one and a line here. */
export const instruments: readonly Instrument[] = [
  ruler,
  thermometer,
  threeBeamBalance,
  fourBeamBalance,
  electronicBalance,
  vernierCaliper,
  digitalCaliper,
  micrometer,
  graduatedCylinder,
  burette,
  graduatedPipette,
  volumetricPipette,
  squeezePipette,
  beaker,
  volumetricFlask,
  hydrometer,
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
export * from './glass';
export {
  levelRiders,
  nearest,
  type BalanceSetting,
  type Beam,
  type BeamBalanceKind,
  type BeamModel,
  type Riders,
} from './riders';
export * from './beamBalance';
export * from './ringMark';
export * from './zeroError';
export * from './ruler';
export * from './thermometer';
export * from './threeBeamBalance';
export * from './fourBeamBalance';
export {
  displayed,
  electronicBalances,
  flaws,
  stableAfterSeconds,
  type ElectronicBalanceSetting,
  type Flaw,
} from './balanceLoad';
export * from './electronicBalance';
export * from './verniers';
export { turnedBy, type CaliperSetting, type Jaws } from './caliperGrip';
export * from './vernierCaliper';
export * from './digitalCaliper';
export * from './screws';
export * from './micrometer';
export * from './graduatedCylinder';
export * from './burette';
export * from './graduatedPipette';
export * from './volumetricPipette';
export * from './squeezePipette';
export * from './beaker';
export * from './volumetricFlask';
export * from './hydrometer';
