import { beamBalance } from './beamBalance';
import type { BeamModel } from './riders';

export const fourBeamModels: readonly BeamModel[] = [
  {
    id: 'four-beam-310',
    name: 'Four-beam balance, 310 g',
    unit: 'g',
    division: '0.01',
    reads: 'scale',
    labelEvery: '0.1',
    lowest: '0',
    highest: '310',
    tolerance: '0.01',
    beams: [
      { key: 'hundreds', name: 'hundreds', top: 200, notch: 100 },
      { key: 'tens', name: 'tens', top: 100, notch: 10 },
      { key: 'ones', name: '1 g to a notch', top: 10, notch: 1 },
      { key: 'tenths', name: '0 to 1 g', top: 1, notch: null },
    ],
    order: ['hundreds', 'tens', 'ones', 'tenths'],
  },
];

export const fourBeamBalance = beamBalance({
  kind: 'four-beam-balance',
  name: 'four-beam balance',
  models: fourBeamModels,
});
