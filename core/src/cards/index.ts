import type { InstrumentKind } from '../conventions';
import type { InstrumentCard } from './card';
import { digitalCaliperCard, micrometerCard, rulerCard, vernierCaliperCard } from './length';
import { beamBalanceCard, electronicBalanceCard } from './mass';
import { hydrometerCard, thermometerCard } from './other';
import {
  beakerCard,
  buretteCard,
  cylinderCard,
  graduatedPipetteCard,
  squeezePipetteCard,
  volumetricFlaskCard,
  volumetricPipetteCard,
} from './volume';

export type { CardPart, InstrumentCard, Precaution } from './card';

/** The card of each instrument. */
export const instrumentCards: Readonly<Record<InstrumentKind, InstrumentCard>> = {
  ruler: rulerCard,
  thermometer: thermometerCard,
  'three-beam-balance': beamBalanceCard,
  'four-beam-balance': beamBalanceCard,
  'electronic-balance': electronicBalanceCard,
  'vernier-caliper': vernierCaliperCard,
  'digital-caliper': digitalCaliperCard,
  micrometer: micrometerCard,
  'graduated-cylinder': cylinderCard,
  burette: buretteCard,
  'graduated-pipette': graduatedPipetteCard,
  'volumetric-pipette': volumetricPipetteCard,
  'squeeze-pipette': squeezePipetteCard,
  beaker: beakerCard,
  'volumetric-flask': volumetricFlaskCard,
  hydrometer: hydrometerCard,
};
