import type { Investigation } from '@green-beam/core';

/** A pin of bronze or brass, on a beam balance. */
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

/** A second one, on an electronic balance, which a connected balance can write into. */
export const shackleRing: Investigation = {
  title: 'Shackle ring: stainless or not?',
  aim: 'Find the density of a shackle ring by displacement, weighed on an electronic balance.',
  object: 'shackle ring',
  method: 'displacement',
  kit: [
    { tag: 'E-03', kind: 'electronic-balance', model: 'electronic-0_01' },
    { tag: 'C-04', kind: 'graduated-cylinder', model: 'cylinder-50-1' },
  ],
  steps: [
    {
      text: 'Set E-03 to zero with nothing on it, the door shut. Weigh the dry ring and write every digit.',
      precaution: 'Moving air and water on the ring both change the mass that is shown.',
    },
    {
      text: 'Fill C-04 to about half, read the level, tilt it, slide the ring in and read again.',
      precaution: 'No splash and no bubble: water lost or air held changes the volume.',
      caution: 'A metal piece dropped in cracks the glass. Slide it. Broken glass: no bare hands.',
    },
    { text: 'Dry the ring. Do it again, at least three times in all.' },
    { text: 'Clear up and wash your hands.', caution: 'Your school’s own rules come before these.' },
  ],
  columns: [
    { key: 'mass', heading: 'Mass of the ring', symbol: 'm', unit: 'g', tag: 'E-03' },
    { key: 'before', heading: 'Volume before', symbol: 'V_1', unit: 'mL', tag: 'C-04' },
    { key: 'after', heading: 'Volume after', symbol: 'V_2', unit: 'mL', tag: 'C-04' },
  ],
  trials: 3,
  accepted: { value: '7.9', unit: 'g/cm³', source: 'a table: stainless steel 7.7 to 8.0' },
};

/** What every new class begins with, in this order. */
export const readyMade: readonly Investigation[] = [boltPin, shackleRing];
