import type { Investigation } from '../investigation';
import { clearUp, density, derived, measured, plain } from './plain';

/** An octagonal prism with a bore. */
export const deckSleeve: Investigation = {
  ...plain,
  title: 'Deck sleeve: eight sides and a hole',
  aim: 'Find the density of an octagonal bronze deck sleeve from its dimensions: the prism less its bore.',
  minutes: 45,
  level: 'usual',
  object: 'deck sleeve',
  route: 'It is too large for the cylinders, and its sides are true.',
  kit: [
    { tag: 'E-01', kind: 'electronic-balance', model: 'electronic-0_1' },
    { tag: 'V-02', kind: 'vernier-caliper', model: 'vernier-50-49' },
  ],
  steps: [
    {
      text: 'Weigh the sleeve on E-01.',
      caution: 'It is heavy: two hands, and away from the edge of the bench.',
    },
    {
      text: 'Measure across the flats, a quarter-turn further for each trial.',
      precaution: 'Across the corners is too large: rock it until it is smallest.',
    },
    {
      text: 'Measure the bore with the upper jaws, and the height with the depth rod.',
      precaution: 'A bore is largest across and smallest along.',
    },
    clearUp,
  ],
  tables: [
    {
      key: 'sleeve',
      title: 'Trials',
      trials: 4,
      columns: [
        measured('mass', 'Mass', 'm', 'g', 'E-01', { carried: true }),
        measured('w', 'Across the flats', 'w', 'mm', 'V-02'),
        measured('d', 'Bore', 'd', 'mm', 'V-02'),
        measured('h', 'Height', 'h', 'mm', 'V-02'),
        derived('r', 'Radius of the bore', 'r', 'mm', 'd / 2!'),
        derived('V', 'Volume', 'V', 'cm³', '(2! * (sqrt(2!) - 1!) * w^2 - π * r^2) * h'),
        derived('rho', 'Density', 'ρ', 'g/cm³', 'mass / V'),
      ],
    },
  ],
  results: [density('rho', { value: '8.8', unit: 'g/cm³', source: 'a table: bronze 8.7 to 8.9' })],
  questions: [
    {
      key: 'bore',
      when: 'before',
      kind: 'statement',
      text: 'A bore that is measured 1 % too wide makes the density come out too small.',
    },
  ],
  causes: ['zero-error-left', 'not-square'],
};
