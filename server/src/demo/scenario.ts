import type { Investigation } from '@green-beam/core';

/** A made-up school by the sea helps a small harbour museum to find out what its salvaged fittings are made of. */
export const teacher = {
  name: 'Ms Marrow',
  address: 'marrow@lantern-quay.example',
  password: 'level beam 9',
};
export const coTeacher = { name: 'Mr Teal', address: 'teal@lantern-quay.example', password: 'level beam 10' };
export const demoClass = { name: '9 Tern', code: 'TERN9' };

/** How a made-up student reads: the share of slips, and the faults that their slips lean to. */
export interface Reader {
  readonly name: string;
  readonly slips: number;
  readonly habits: readonly string[];
}

const reader = (name: string, slips: number, ...habits: string[]): Reader => ({ name, slips, habits });

/** Three to a bench, in this order. */
export const readers: readonly Reader[] = [
  reader('Adaline Moor', 0.15, 'top-of-meniscus'),
  reader('Bastian Wren', 0.5, 'top-of-meniscus', 'dropped-trailing-zero'),
  reader('Corin Vale', 0.3, 'rider-rounded-up'),
  reader('Delphi Marsh', 0.1),
  reader('Eskil Tarn', 0.35, 'miscounted-division'),
  reader('Fenna Holt', 0.45, 'top-of-meniscus'),
  reader('Garrick Sloe', 0.2, 'dropped-final-digit'),
  reader('Hesper Lunt', 0.3, 'empty-place-dropped'),
  reader('Ivo Brack', 0.55, 'top-of-meniscus', 'next-label'),
  reader('Junia Fell', 0.1),
  reader('Kester Pike', 0.4, 'extra-digit'),
  reader('Linnea Cray', 0.25, 'top-of-meniscus'),
  reader('Magnus Dell', 0.3, 'riders-swapped'),
  reader('Nerys Quill', 0.15),
  reader('Osric Thorne', 0.4, 'top-of-meniscus', 'wrong-scale'),
  reader('Petra Lowe', 0.2, 'dropped-trailing-zero'),
  reader('Quentin Ashe', 0.35, 'rider-forgotten'),
  reader('Rhoswen Kite', 0.1),
  reader('Silas Burr', 0.5, 'top-of-meniscus', 'target-written'),
  reader('Thora Gale', 0.2, 'next-label'),
  reader('Ulric Stone', 0.3, 'empty-place-dropped'),
  reader('Verity Moss', 0.15),
  reader('Wilfred Sand', 0.45, 'top-of-meniscus', 'dropped-final-digit'),
  reader('Xanthe Reed', 0.25, 'miscounted-division'),
];

export const studentsPerBench = 3;

export const boltPin: Investigation = {
  title: 'Bolt pin: bronze or brass?',
  aim: 'Find the density of a salvaged bolt pin by displacement, with its uncertainty, and say which alloy it may be.',
  object: 'bolt pin',
  method: 'displacement',
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
    { text: 'Clear up and wash your hands.', caution: 'Your school’s own rules come before these.' },
  ],
  columns: [
    { key: 'mass', heading: 'Mass of the pin', symbol: 'm', unit: 'g', tag: 'B-02' },
    { key: 'before', heading: 'Volume before', symbol: 'V_1', unit: 'mL', tag: 'C-07' },
    { key: 'after', heading: 'Volume after', symbol: 'V_2', unit: 'mL', tag: 'C-07' },
  ],
  trials: 3,
  accepted: { value: '8.80', unit: 'g/cm³', source: 'the museum’s own bronze reference piece' },
};

/** How far each bench has come, in the order of the benches. */
export const benchProgress = [
  'complete',
  'corrected',
  'complete',
  'two trials',
  'one reading',
  'complete',
  'two trials',
  'empty',
] as const;
export type Progress = (typeof benchProgress)[number];
