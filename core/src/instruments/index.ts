import { beaker } from './beaker';
import { burette } from './burette';
import { digitalCaliper } from './digitalCaliper';
import { electronicBalance } from './electronicBalance';
import { fourBeamBalance } from './fourBeamBalance';
import { graduatedCylinder } from './graduatedCylinder';
import { graduatedPipette } from './graduatedPipette';
import { hydrometer } from './hydrometer';
import type { Instrument } from './instrument';
import { instrumentKinds, type InstrumentKind } from '../conventions/kinds';
import { micrometer } from './micrometer';
import { ruler } from './ruler';
import { squeezePipette } from './squeezePipette';
import { thermometer } from './thermometer';
import { threeBeamBalance } from './threeBeamBalance';
import { vernierCaliper } from './vernierCaliper';
import { volumetricFlask } from './volumetricFlask';
import { volumetricPipette } from './volumetricPipette';

/** Every instrument on the bench, by its kind. A new one is a file beside this one and a line here. */
const byKind: Readonly<Record<InstrumentKind, Instrument>> = {
  ruler,
  thermometer,
  'three-beam-balance': threeBeamBalance,
  'four-beam-balance': fourBeamBalance,
  'electronic-balance': electronicBalance,
  'vernier-caliper': vernierCaliper,
  'digital-caliper': digitalCaliper,
  micrometer,
  'graduated-cylinder': graduatedCylinder,
  burette,
  'graduated-pipette': graduatedPipette,
  'volumetric-pipette': volumetricPipette,
  'squeeze-pipette': squeezePipette,
  beaker,
  'volumetric-flask': volumetricFlask,
  hydrometer,
};

/** Every instrument on the bench, in the order of their kinds. */
export const instruments: readonly Instrument[] = instrumentKinds.map((kind) => byKind[kind]);

/** @throws RangeError for a kind that is not on the bench. */
export function instrumentOf(kind: InstrumentKind | (string & {})): Instrument {
  if (!Object.hasOwn(byKind, kind)) throw new RangeError(`There is no “${kind}” on the bench.`);
  return byKind[kind as InstrumentKind];
}

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
