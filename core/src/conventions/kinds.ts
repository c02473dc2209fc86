/** Every kind of instrument that conventions and kits can speak of. */
export const instrumentKinds = [
  'ruler',
  'thermometer',
  'three-beam-balance',
  'four-beam-balance',
  'electronic-balance',
  'vernier-caliper',
  'digital-caliper',
  'micrometer',
  'graduated-cylinder',
  'burette',
  'graduated-pipette',
  'volumetric-pipette',
  'squeeze-pipette',
  'beaker',
  'volumetric-flask',
  'hydrometer',
] as const;

export type InstrumentKind = (typeof instrumentKinds)[number];
