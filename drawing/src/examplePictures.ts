import type {
  BalancePicture,
  BeakerPicture,
  BurettePicture,
  CaliperPicture,
  CylinderPicture,
  DigitalCaliperPicture,
  ElectronicBalancePicture,
  GraduatedPipettePicture,
  HydrometerPicture,
  MicrometerPicture,
  RingPicture,
  RulerPicture,
  SqueezePicture,
  ThermometerPicture,
} from '@green-beam/core';

// Each instrument at rest on something of the museum’s drawer: for the shelf, the cards and paper.

export const ruler: RulerPicture = { kind: 'ruler', model: 'ruler-mm', from: 20, to: 64.3, eyeMm: 0 };
export const caliper: CaliperPicture = {
  kind: 'vernier-caliper',
  model: 'vernier-50-49',
  at: 31.46,
  closedAt: 0,
  touchesAt: 31.46,
  yields: 0,
  task: 'size',
  jaws: 'inside',
  closings: [0],
  outOfRound: 0,
  turn: 0,
};
export const digital: DigitalCaliperPicture = {
  kind: 'digital-caliper',
  model: 'digital-mm',
  sizeMm: 27.2,
  yieldsMm: 0,
  atMm: 27.2,
  closedShowsMm: 0,
  zeroed: true,
};
export const micrometer: MicrometerPicture = {
  kind: 'micrometer',
  model: 'micrometer-plain',
  at: 7.38,
  closedAt: 0,
  touchesAt: 7.38,
};
export const threeBeam: BalancePicture = {
  kind: 'three-beam-balance',
  model: 'three-beam-600',
  riders: { hundreds: 200, tens: 30, ones: 7.4 },
  onPan: true,
  loadMoment: 237.4,
  zeroMoment: 0,
  handled: false,
};
export const fourBeam: BalancePicture = {
  ...threeBeam,
  kind: 'four-beam-balance',
  model: 'four-beam-310',
  riders: { hundreds: 100, tens: 40, ones: 7, tenths: 0.43 },
};
export const electronic: ElectronicBalancePicture = {
  kind: 'electronic-balance',
  model: 'electronic-0_01',
  task: 'straight',
  loadedGrams: 62.08,
  vesselGrams: 0,
  emptyGrams: 0,
  draughtGrams: 0,
  doorOpen: false,
  tared: 'nothing',
  seconds: 99,
  flaw: 'none',
  flawGrams: 0,
  hops: false,
};
export const cylinder: CylinderPicture = {
  kind: 'graduated-cylinder',
  model: 'cylinder-100-1',
  heightMm: 76.4 * 1.74656,
  surface: 'concave',
  eyeMm: 0,
  targetMl: null,
  filmMl: null,
  filling: false,
};
export const burette: BurettePicture = {
  kind: 'burette',
  model: 'burette-50-0_1',
  task: 'reading',
  initialMl: 0,
  levelMl: 24.06,
  surface: 'concave',
  eyeMm: 0,
  faults: { bubble: 0, drop: 0, wall: 0 },
  airInTip: false,
  wantedMl: 20,
};
export const pipette: GraduatedPipettePicture = {
  kind: 'graduated-pipette',
  model: 'graduated-pipette-10',
  task: 'reading',
  initialMl: 0,
  levelMl: 3.42,
  surface: 'concave',
  eyeMm: 0,
};
const ring = {
  aboveMm: 0,
  eyeMm: 0,
  markedExpel: false,
  handled: false,
  lastDrop: 'marking',
} as const;
export const ringPipette: RingPicture = {
  ...ring,
  kind: 'volumetric-pipette',
  model: 'volumetric-pipette-25',
};
export const ringFlask: RingPicture = { ...ring, kind: 'volumetric-flask', model: 'volumetric-flask-100' };
export const squeeze: SqueezePicture = {
  kind: 'squeeze-pipette',
  model: 'squeeze-3',
  levelMl: 1.8,
  surface: 'flat',
  eyeMm: 0,
  drops: 0,
  wanted: 0,
};
export const beaker: BeakerPicture = {
  kind: 'beaker',
  model: 'beaker-250',
  levelMl: 135,
  surface: 'concave',
  eyeMm: 0,
};
export const thermometer: ThermometerPicture = {
  kind: 'thermometer',
  model: 'thermometer-1',
  bath: 23.4,
  before: 20,
  seconds: 99,
  baseExcess: 0,
  bulbOnBase: false,
  eyeMm: 0,
};
export const hydrometer: HydrometerPicture = {
  kind: 'hydrometer',
  model: 'hydrometer-980',
  density: 1.025,
  line: 'level',
};
