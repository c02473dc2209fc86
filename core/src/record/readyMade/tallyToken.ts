import type { Investigation } from '../investigation';
import { clearUp, density, derived, measured, plain } from './plain';

/** A slate token by two routes: its dimensions, and the water it displaces. */
export const tallyToken: Investigation = {
  ...plain,
  title: 'Tally token: two routes to one density',
  aim: 'Find the density of a slate tally token from its dimensions and by displacement, and say which route to trust.',
  minutes: 60,
  level: 'usual',
  object: 'tally token',
  route: 'A flat box can be measured well; the water checks whether it is one.',
  kit: [
    { tag: 'E-03', kind: 'electronic-balance', model: 'electronic-0_01' },
    { tag: 'V-01', kind: 'vernier-caliper', model: 'vernier-20-39', offset: '0.05' },
    { tag: 'C-04', kind: 'graduated-cylinder', model: 'cylinder-50-1' },
  ],
  steps: [
    {
      text: 'Weigh the dry token on E-03.',
      precaution: 'Slate soaks up water: weigh it before it gets wet.',
    },
    {
      text: 'Close V-01 on nothing and note its zero error. Measure length, width and thickness, each at another place for each trial.',
      precaution: 'A zero error left in shifts all three lengths.',
      caution: 'Edges of slate are sharp.',
    },
    {
      text: 'Read C-04, slide the token in, read again. Dry it and repeat.',
      precaution: 'Cover it wholly; tap bubbles off.',
      caution: 'Slide it, or the glass cracks.',
    },
    clearUp,
  ],
  tables: [
    {
      key: 'sides',
      title: 'From its dimensions',
      trials: 4,
      columns: [
        measured('mass', 'Mass of the token', 'm', 'g', 'E-03', { carried: true }),
        measured('L', 'Length', 'L', 'mm', 'V-01'),
        measured('W', 'Width', 'W', 'mm', 'V-01'),
        measured('H', 'Thickness', 'H', 'mm', 'V-01'),
        derived('box', 'Volume', 'V', 'cm³', 'L * W * H'),
        derived('rho', 'Density', 'ρ', 'g/cm³', 'mass / box'),
      ],
    },
    {
      key: 'water',
      title: 'By displacement',
      trials: 3,
      columns: [
        measured('before', 'Volume before', 'V_1', 'mL', 'C-04'),
        measured('after', 'Volume after', 'V_2', 'mL', 'C-04'),
        derived('V', 'Volume', 'V_w', 'mL', 'after - before', { rises: true }),
        derived('rhoWater', 'Density', 'ρ_w', 'g/cm³', 'mass / V'),
      ],
    },
  ],
  results: [
    density(
      'rho',
      { value: '2.8', unit: 'g/cm³', source: 'a table: slate 2.7 to 2.9' },
      { name: 'Density from its dimensions', quantity: 'density' },
    ),
    density('rhoWater', null, { name: 'Density by displacement', symbol: 'ρ_w', quantity: 'density' }),
  ],
  predictions: [
    {
      key: 'guess',
      text: 'Which route will be more certain, and what will it give?',
      unit: 'g/cm³',
      result: 'rho',
    },
  ],
  questions: [
    {
      key: 'trust',
      when: 'after',
      kind: 'text',
      text: 'Do the two routes agree? Which do you trust, and why?',
    },
  ],
  causes: ['zero-error-left', 'not-square', 'soaks', 'bubble', 'wet-when-weighed', 'eye-height'],
};
