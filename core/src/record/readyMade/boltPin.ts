import type { Investigation } from '../investigation';
import { clearUp, density, derived, measured, plain, displacement } from './plain';

/** A pin of bronze or brass, on a beam balance. */
export const boltPin: Investigation = {
  ...plain,
  title: 'Bolt pin: bronze or brass?',
  aim: 'Find the density of a salvaged bolt pin by displacement, with its uncertainty, and say which alloy it may be.',
  minutes: 45,
  level: 'first',
  object: 'bolt pin',
  route: 'Its shape is worn and cannot be measured; water takes any shape.',
  kit: [
    { tag: 'B-02', kind: 'three-beam-balance', model: 'three-beam-600' },
    { tag: 'C-07', kind: 'graduated-cylinder', model: 'cylinder-100-1' },
  ],
  steps: [
    {
      text: 'Set all riders of B-02 to zero. If the pointer does not rest on its mark, turn the zero screw.',
      precaution: 'A balance that is not at zero shifts every mass by the same amount.',
    },
    {
      text: 'Wipe the pin dry and weigh it. Write the mass at once.',
      precaution: 'Weigh it before it gets wet: water on it counts as mass.',
    },
    {
      text: 'Fill C-07 to about half, tap the clinging drops down, and read the level.',
      precaution:
        'Any start will do if it is written down; drops on the wall come down later and count twice.',
      caution: 'Wear eye protection. Wipe up spilt water: wet floors are slippery.',
    },
    {
      text: 'Tilt the cylinder, slide the pin in, set it upright and read the level again.',
      precaution: 'No splash and no bubble: water lost or air held changes the volume.',
      caution:
        'A heavy metal piece dropped in cracks the glass. Slide it. Broken glass: no bare hands, tell your teacher.',
    },
    { text: 'Dry the pin. Do it again, at least three times in all; let another reader read.' },
    clearUp,
  ],
  tables: [
    {
      key: 'pin',
      title: 'Trials',
      trials: 3,
      columns: [
        measured('mass', 'Mass of the pin', 'm', 'g', 'B-02'),
        ...displacement('C-07'),
        derived('rho', 'Density', 'ρ', 'g/cm³', 'mass / V'),
      ],
    },
  ],
  results: [
    density('rho', { value: '8.80', unit: 'g/cm³', source: 'the museum’s own bronze reference piece' }),
  ],
  predictions: [
    { key: 'guess', text: 'How dense do you expect the pin to be?', unit: 'g/cm³', result: 'rho' },
  ],
  questions: [
    {
      key: 'start',
      when: 'before',
      kind: 'statement',
      text: 'The cylinder has to be filled to a whole number of millilitres before the pin goes in.',
    },
    {
      key: 'alloy',
      when: 'after',
      kind: 'text',
      text: 'Bronze or brass, or can you not tell yet? Say how you know.',
    },
  ],
  causes: ['wet-when-weighed', 'bubble', 'splash', 'eye-height', 'curve-top', 'not-covered'],
};
