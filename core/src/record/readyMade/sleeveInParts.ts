import type { Investigation } from '../investigation';
import { clearUp, density, derived, measured, plain } from './plain';

/** A hollow cylinder in parts: outer, inner, metal. */
export const sleeveInParts: Investigation = {
  ...plain,
  title: 'Pulley bush: outer less inner',
  aim: 'Find the density of a hollow bronze bush from its parts: the outer cylinder, the bore, and the metal between.',
  minutes: 60,
  level: 'demanding',
  object: 'pulley bush',
  route: 'Two volumes are easy, the metal is their difference: see what that does to the ±.',
  kit: [
    { tag: 'E-01', kind: 'electronic-balance', model: 'electronic-0_1' },
    { tag: 'V-02', kind: 'vernier-caliper', model: 'vernier-50-49' },
  ],
  steps: [
    { text: 'Weigh the bush.', caution: 'It is heavy: two hands.' },
    {
      text: 'Outside across, bore and height, a quarter-turn further each time.',
      precaution:
        'Outside is smallest when it is square; a bore is largest across. The depth rod upright, its own zero checked on a flat plate.',
    },
    clearUp,
  ],
  tables: [
    {
      key: 'turns',
      title: 'Quarter-turns',
      trials: 4,
      columns: [
        measured('mass', 'Mass', 'm', 'g', 'E-01', { carried: true }),
        measured('D', 'Outside across', 'D', 'mm', 'V-02'),
        measured('d', 'Bore', 'd', 'mm', 'V-02'),
        measured('h', 'Height', 'h', 'mm', 'V-02'),
        derived('outer', 'Outer cylinder', 'V_1', 'cm³', 'π * D^2 / 4! * h'),
        derived('inner', 'Bore', 'V_2', 'cm³', 'π * d^2 / 4! * h'),
        derived('metal', 'Metal', 'V', 'cm³', 'outer - inner', { rises: true }),
        derived('rho', 'Density', 'ρ', 'g/cm³', 'mass / metal'),
      ],
    },
  ],
  results: [density('rho', { value: '8.8', unit: 'g/cm³', source: 'a table: bronze 8.7 to 8.9' })],
  questions: [
    {
      key: 'relative',
      when: 'before',
      kind: 'statement',
      text: 'If both volumes are known to 1 %, so is their difference.',
    },
    {
      key: 'round',
      when: 'after',
      kind: 'text',
      text: 'The bore is out of round by 0.1 mm. Does that matter here? Show it with your numbers.',
    },
  ],
  causes: ['zero-error-left', 'jaws-askew', 'slide-loose', 'rod-zero', 'not-square'],
};
