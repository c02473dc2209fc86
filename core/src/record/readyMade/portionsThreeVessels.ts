import type { Investigation } from '../investigation';
import { clearUp, derived, measured, plain, waterTable } from './plain';

const marked = (tolerance: string) => ({ value: '10.00', tolerance, unit: 'mL', source: 'its mark' });

/** Four portions one after the other into one receiver, from three vessels. */
export const portionsThreeVessels: Investigation = {
  ...plain,
  title: 'Portions: four times 10 mL into one flask',
  aim: 'Deliver four portions of 10 mL from a beaker, a cylinder and a pipette into a flask that stays on the balance, and compare what they gave.',
  minutes: 90,
  level: 'demanding',
  object: 'water',
  route: 'The flask need not be emptied; but each weighing serves two portions, and the ± has to know it.',
  kit: [
    { tag: 'E-03', kind: 'electronic-balance', model: 'electronic-0_01' },
    { tag: 'T-02', kind: 'thermometer', model: 'thermometer-0_5' },
    { tag: 'K-01', kind: 'beaker', model: 'beaker-50' },
    { tag: 'C-01', kind: 'graduated-cylinder', model: 'cylinder-10-0_1' },
    { tag: 'P-01', kind: 'graduated-pipette', model: 'graduated-pipette-10' },
  ],
  steps: [
    {
      text: 'Read the temperature of the water, before and after.',
      precaution: 'Let it stand until it is as warm as the room.',
    },
    {
      text: 'Weigh the dry flask: that is the first line of each vessel. Add 10 mL, weigh; four times from each vessel, with a dry flask for the next.',
      precaution: 'The outside dry; nothing lost between two weighings.',
      caution: 'Never by mouth: use a bulb. Broken glass: no bare hands.',
    },
    clearUp,
  ],
  tables: [
    waterTable('T-02'),
    {
      key: 'portions',
      title: 'Weighings',
      trials: 15,
      replicates: 'one receiver',
      rows: [
        { key: 'beaker', name: 'Beaker K-01', accepted: marked('2.5') },
        { key: 'cylinder', name: 'Cylinder C-01', accepted: marked('0.1') },
        { key: 'pipette', name: 'Pipette P-01', accepted: marked('0.05') },
      ],
      columns: [
        measured('M', 'Mass of the flask', 'M', 'g', 'E-03', { differs: true }),
        derived('V', 'Portion', 'V', 'mL', 'waterVolume(M - M_before; t)', { rises: true }),
      ],
    },
  ],
  results: [
    {
      kind: 'mean',
      key: 'V',
      name: 'Portion',
      symbol: 'V',
      unit: 'mL',
      column: 'V',
      accepted: null,
      perRow: 'portions',
    },
  ],
  questions: [
    {
      key: 'shared',
      when: 'before',
      kind: 'statement',
      text: 'If one weighing is 0.02 g too large, two portions come out wrong.',
    },
    {
      key: 'nearest',
      when: 'after',
      kind: 'compares',
      compares: { of: 'V', question: 'more accurate' },
      text: 'Which vessel is the most accurate at 10 mL?',
    },
    {
      key: 'best',
      when: 'after',
      kind: 'text',
      text: 'Which vessel spread least? Is that a claim or a chance?',
    },
  ],
  causes: ['film', 'curve-top', 'poured-beside', 'outside-wet', 'evaporated'],
};
