import { beamBalance } from './beamBalance';
import type { BeamModel } from './riders';

const make = (id: string, name: string, order: readonly string[]): BeamModel => ({
  id,
  name,
  unit: 'g',
  division: '0.1',
  reads: 'scale',
  labelEvery: '1',
  lowest: '0',
  highest: '600',
  tolerance: '0.1',
  beams: [
    { key: 'hundreds', name: 'hundreds', top: 500, notch: 100 },
    { key: 'tens', name: 'tens', top: 90, notch: 10 },
    { key: 'ones', name: '0 to 10 g', top: 10, notch: null },
  ],
  order,
});

export const threeBeamModels: readonly BeamModel[] = [
  make('three-beam-600', 'Three-beam balance, 600 g', ['hundreds', 'tens', 'ones']),
  make('three-beam-600-tens-first', 'Three-beam balance, 600 g, tens at the back', [
    'tens',
    'hundreds',
    'ones',
  ]),
];

export const threeBeamBalance = beamBalance({
  kind: 'three-beam-balance',
  name: 'three-beam balance',
  models: threeBeamModels,
});
