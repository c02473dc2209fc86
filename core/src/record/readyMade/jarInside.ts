import type { Investigation } from '../investigation';
import { clearUp, derived, measured, plain } from './plain';

/** The inside of a vessel: from its dimensions, and from the water that fills it. */
export const jarInside: Investigation = {
  ...plain,
  title: 'Oil jar: how much does it hold?',
  aim: 'Find the inside volume of a straight-walled jar from its dimensions and from the water that fills it, and compare both with its mark.',
  minutes: 60,
  level: 'usual',
  object: 'oil jar',
  route: 'Dimensions need a straight wall; water finds every bulge.',
  kit: [
    { tag: 'V-01', kind: 'vernier-caliper', model: 'vernier-20-39', offset: '0.05' },
    { tag: 'E-01', kind: 'electronic-balance', model: 'electronic-0_1' },
  ],
  steps: [
    {
      text: 'Measure the inside across with the upper jaws, a quarter-turn further each time, and the depth with the rod upright.',
      precaution: 'A bore is largest across. The end of the beam lies flat on the rim.',
    },
    {
      text: 'Weigh the dry jar, fill it to the mark, eye level, the last part dropwise, and weigh again.',
      precaution: 'Wipe the outside dry.',
      caution: 'Wet floors and electric balances: keep water off the balance.',
    },
    clearUp,
  ],
  tables: [
    {
      key: 'inside',
      title: 'From its dimensions',
      trials: 4,
      columns: [
        measured('d', 'Inside across', 'd', 'mm', 'V-01'),
        measured('h', 'Depth to the mark', 'h', 'mm', 'V-01'),
        derived('V', 'Volume', 'V', 'mL', 'π * d^2 / 4! * h'),
      ],
    },
    {
      key: 'filled',
      title: 'From the water',
      trials: 3,
      columns: [
        measured('dry', 'Mass of the dry jar', 'm_1', 'g', 'E-01'),
        measured('full', 'Mass filled', 'm_2', 'g', 'E-01'),
        derived('Vw', 'Volume of water', 'V_w', 'mL', '(full - dry) / 0.9982 g/mL'),
      ],
    },
  ],
  results: [
    {
      kind: 'mean',
      key: 'inner',
      name: 'Volume from its dimensions',
      symbol: 'V',
      unit: 'mL',
      column: 'V',
      quantity: 'inside',
      accepted: null,
    },
    {
      kind: 'mean',
      key: 'water',
      name: 'Volume from the water',
      symbol: 'V_w',
      unit: 'mL',
      column: 'Vw',
      quantity: 'inside',
      accepted: { value: '100', tolerance: '2', unit: 'mL', source: 'the mark on the jar' },
    },
  ],
  questions: [
    {
      key: 'differ',
      when: 'after',
      kind: 'text',
      text: 'Why might the two volumes part? Which would you give the museum?',
    },
  ],
  causes: ['zero-error-left', 'not-square', 'outside-wet', 'curve-top'],
};
