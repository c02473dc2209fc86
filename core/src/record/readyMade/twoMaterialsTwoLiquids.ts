import type { Investigation } from '../investigation';
import { clearUp, density, derived, given, measured, plain } from './plain';

const water = { value: '0.9982', plusMinus: '0.0005', source: 'water at 20 °C' };
const brine = { value: '1.197', plusMinus: '0.003', source: 'the hydrometer in the brine' };

/** Weighed in air and hanging in a liquid; the same object in two liquids has to agree. */
export const twoMaterialsTwoLiquids: Investigation = {
  ...plain,
  title: 'Hanging in water and brine: one density, or two?',
  aim: 'Weigh a bronze pin and a slate token in air and hanging in water and in brine, and compare the densities.',
  minutes: 90,
  level: 'demanding',
  object: 'bolt pin and tally token',
  route:
    'What a thing loses in a liquid is what the liquid in its place would weigh: the volume is never read.',
  kit: [{ tag: 'E-03', kind: 'electronic-balance', model: 'electronic-0_01' }],
  steps: [
    {
      text: 'Fit bridge and hook, then set E-03 to zero. Weigh the dry piece hanging in air.',
      precaution: 'Bridge and hook belong to the balance: fit first, zero after.',
    },
    {
      text: 'Bring the liquid up until the piece is covered, wait, write the mass. Three times each.',
      precaution: 'A thin thread; nothing touches; no bubbles. Rinse and dry between the liquids.',
      caution: 'Keep water off the balance. Brine stings in cuts: rinse.',
    },
    clearUp,
  ],
  tables: [
    {
      key: 'hanging',
      title: 'Hanging',
      trials: 12,
      rows: [
        {
          key: 'pinWater',
          name: 'Pin in water',
          accepted: { value: '8.8', unit: 'g/cm³', source: 'a table: bronze 8.7 to 8.9' },
        },
        {
          key: 'pinBrine',
          name: 'Pin in brine',
          accepted: { value: '8.8', unit: 'g/cm³', source: 'a table: bronze 8.7 to 8.9' },
        },
        {
          key: 'slateWater',
          name: 'Slate in water',
          accepted: { value: '2.8', unit: 'g/cm³', source: 'a table: slate 2.7 to 2.9' },
        },
        {
          key: 'slateBrine',
          name: 'Slate in brine',
          accepted: { value: '2.8', unit: 'g/cm³', source: 'a table: slate 2.7 to 2.9' },
        },
      ],
      columns: [
        measured('m', 'Mass in air', 'm', 'g', 'E-03'),
        measured('hung', 'Hanging in the liquid', "m'", 'g', 'E-03'),
        given('liquid', 'Density of the liquid', 'ρ_L', 'g/cm³', [water, brine, water, brine]),
        derived('rho', 'Density', 'ρ', 'g/cm³', 'liquid * m / (m - hung)'),
      ],
    },
  ],
  results: [{ ...density('rho', null), perRow: 'hanging' }],
  predictions: [],
  questions: [
    {
      key: 'share',
      when: 'before',
      kind: 'text',
      text: 'Foretell which share of its weight each piece loses in water.',
    },
    {
      key: 'same',
      when: 'after',
      kind: 'text',
      text: 'Do the two liquids agree for each piece? If not: which value would you change, and why?',
    },
  ],
  causes: ['thread-touches', 'bubble', 'soaks', 'wet-when-weighed', 'balance-changed'],
};
