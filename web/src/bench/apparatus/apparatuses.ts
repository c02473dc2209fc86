import type { InstrumentKind } from '@green-beam/core';
import { lazy, type ComponentType } from 'react';
import type { ApparatusProps } from './apparatus';

const fetched = (load: () => Promise<ComponentType<ApparatusProps>>) =>
  lazy(async () => ({ default: await load() }));

const balance = fetched(async () => (await import('./beamBalance')).BalanceApparatus);
const ringMark = fetched(async () => (await import('./ringMark')).RingMarkApparatus);

/** What is on the bench for each kind, fetched when it is taken. A new instrument is a file beside this one and a line here. */
export const apparatuses: Readonly<Record<InstrumentKind, ComponentType<ApparatusProps>>> = {
  ruler: fetched(async () => (await import('./ruler')).RulerApparatus),
  thermometer: fetched(async () => (await import('./thermometer')).ThermometerApparatus),
  'three-beam-balance': balance,
  'four-beam-balance': balance,
  'electronic-balance': fetched(async () => (await import('./electronicBalance')).ElectronicBalanceApparatus),
  'vernier-caliper': fetched(async () => (await import('./vernierCaliper')).CaliperApparatus),
  'digital-caliper': fetched(async () => (await import('./digitalCaliper')).DigitalCaliperApparatus),
  micrometer: fetched(async () => (await import('./micrometer')).MicrometerApparatus),
  'graduated-cylinder': fetched(async () => (await import('./graduatedCylinder')).CylinderApparatus),
  burette: fetched(async () => (await import('./burette')).BuretteApparatus),
  'graduated-pipette': fetched(async () => (await import('./graduatedPipette')).GraduatedPipetteApparatus),
  'volumetric-pipette': ringMark,
  'squeeze-pipette': fetched(async () => (await import('./squeezePipette')).SqueezeApparatus),
  beaker: fetched(async () => (await import('./beaker')).BeakerApparatus),
  'volumetric-flask': ringMark,
  hydrometer: fetched(async () => (await import('./hydrometer')).HydrometerApparatus),
};
