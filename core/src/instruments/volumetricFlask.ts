import type { GlassModel } from './glass';
import { ringMark } from './ringMark';

const make = (capacity: number, tolerance: string, boreMm: number): GlassModel => ({
  id: `volumetric-flask-${capacity}`,
  name: `Volumetric flask, ${capacity} mL`,
  unit: 'mL',
  division: '0.1',
  reads: 'digits',
  labelEvery: String(capacity),
  lowest: '0',
  highest: String(capacity),
  tolerance,
  boreMm,
});

export const volumetricFlasks: readonly GlassModel[] = [make(100, '0.10', 13), make(250, '0.15', 15)];

/** Filled to its ring, the last part by drops: to contain. */
export const volumetricFlask = ringMark({
  kind: 'volumetric-flask',
  name: 'volumetric flask',
  models: volumetricFlasks,
  delivers: false,
});
