import type { Investigation } from '../investigation';
import { clearUp, density, derived, measured, plain } from './plain';

/** A liquid by difference, in increments into one receiver: neighbouring trials share a weighing. */
export const panBrine: Investigation = {
  ...plain,
  title: 'Brine: portions into one beaker',
  aim: 'Find the density of brine from the pan: portions from a burette into one beaker, weighed after each.',
  minutes: 60,
  level: 'usual',
  object: 'brine',
  route:
    'The beaker need not be emptied; but each weighing serves two trials, and the calculation has to know it.',
  kit: [
    { tag: 'E-03', kind: 'electronic-balance', model: 'electronic-0_01' },
    { tag: 'U-01', kind: 'burette', model: 'burette-50-0_1' },
  ],
  steps: [
    {
      text: 'Fill U-01 with brine, tip full, no bubble, funnel out. Weigh the empty beaker: that is the first row, with the first reading of the burette.',
      precaution: 'A bubble in the tip is brine that never came.',
      caution: 'Wear eye protection. Fill a burette below eye height.',
    },
    {
      text: 'Let about 8 mL run in, touch off the hanging drop, wait for the wall, read and weigh. Five times.',
      precaution: 'Read downward: the numbers grow towards the tap.',
    },
    clearUp,
  ],
  tables: [
    {
      key: 'portions',
      title: 'Portions',
      trials: 6,
      columns: [
        measured('R', 'Burette', 'R', 'mL', 'U-01', { differs: true }),
        measured('M', 'Mass of beaker and brine', 'M', 'g', 'E-03', { differs: true }),
        derived('V', 'Portion', 'V', 'mL', 'R - R_before', { rises: true }),
        derived('m', 'Its mass', 'm', 'g', 'M - M_before', { rises: true }),
        derived('rho', 'Density', 'ρ', 'g/cm³', 'm / V'),
      ],
    },
  ],
  results: [density('rho', { value: '1.20', unit: 'g/cm³', source: 'a table: saturated brine' })],
  questions: [
    {
      key: 'saturated',
      when: 'after',
      kind: 'text',
      text: 'Is the brine saturated? How sure can you be?',
    },
  ],
  causes: ['film', 'outside-wet', 'evaporated', 'balance-changed'],
};
