import type { GlassModel } from './glass';
import { ringMark } from './ringMark';

const make = (capacity: number, tolerance: string, boreMm: number): GlassModel => ({
  id: `volumetric-pipette-${capacity}`,
  name: `Volumetric pipette, ${capacity} mL`,
  unit: 'mL',
  division: '0.01',
  reads: 'digits',
  labelEvery: String(capacity),
  lowest: '0',
  highest: String(capacity),
  tolerance,
  boreMm,
});

export const volumetricPipettes: readonly GlassModel[] = [make(10, '0.02', 5), make(25, '0.03', 6)];

/** Filled above its ring, run down to it, and delivered. */
export const volumetricPipette = ringMark({
  kind: 'volumetric-pipette',
  name: 'volumetric pipette',
  models: volumetricPipettes,
  delivers: true,
});
