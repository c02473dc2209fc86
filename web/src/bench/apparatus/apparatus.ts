import type { Picture } from '@green-beam/core';
import type { ComponentType } from 'react';
import { BalanceApparatus } from './beamBalance';
import { BeakerApparatus } from './beaker';
import { BuretteApparatus } from './burette';
import { DigitalCaliperApparatus } from './digitalCaliper';
import { ElectronicBalanceApparatus } from './electronicBalance';
import { CylinderApparatus } from './graduatedCylinder';
import { GraduatedPipetteApparatus } from './graduatedPipette';
import { HydrometerApparatus } from './hydrometer';
import { MicrometerApparatus } from './micrometer';
import { RingMarkApparatus } from './ringMark';
import { RulerApparatus } from './ruler';
import { SqueezeApparatus } from './squeezePipette';
import { ThermometerApparatus } from './thermometer';
import { CaliperApparatus } from './vernierCaliper';

/** The state of an apparatus as the server takes it. */
export type Hands = Readonly<Record<string, number | boolean>>;

export interface ApparatusProps {
  readonly picture: Picture;
  /** True when it may be handled, false when it is only read. */
  readonly handled: boolean;
  /** How the hands left it before, after a reload. */
  readonly left: Hands | null;
  /** Told of every movement. It must not draw the page again. */
  readonly onHands: (hands: Hands) => void;
}

/** What is on the bench for each kind. A new instrument is a file beside this one and a line here. */
export const apparatuses: Readonly<Record<string, ComponentType<ApparatusProps>>> = {
  ruler: RulerApparatus,
  thermometer: ThermometerApparatus,
  'three-beam-balance': BalanceApparatus,
  'four-beam-balance': BalanceApparatus,
  'electronic-balance': ElectronicBalanceApparatus,
  'graduated-cylinder': CylinderApparatus,
  'vernier-caliper': CaliperApparatus,
  'digital-caliper': DigitalCaliperApparatus,
  micrometer: MicrometerApparatus,
  burette: BuretteApparatus,
  'graduated-pipette': GraduatedPipetteApparatus,
  'volumetric-pipette': RingMarkApparatus,
  'squeeze-pipette': SqueezeApparatus,
  beaker: BeakerApparatus,
  'volumetric-flask': RingMarkApparatus,
  hydrometer: HydrometerApparatus,
};
