import type { Investigation } from '../investigation';
import { clearUp, derived, given, measured, plain } from './plain';

/** Too thin to grip: a thickness from mass, area and density. */
export const sheathing: Investigation = {
  ...plain,
  title: 'Copper sheathing: how thin is it?',
  aim: 'Find the thickness of copper sheathing from mass, length and width of three pieces, each measured by two people.',
  minutes: 45,
  level: 'usual',
  object: 'copper sheathing',
  route: 'Jaws would squeeze it; mass and area do not.',
  kit: [
    { tag: 'E-03', kind: 'electronic-balance', model: 'electronic-0_01' },
    { tag: 'R-01', kind: 'ruler', model: 'ruler-mm' },
  ],
  steps: [
    {
      text: 'Weigh each piece.',
      precaution: 'Wipe it: fingerprints weigh.',
      caution: 'Edges of sheet metal cut.',
    },
    {
      text: 'Measure length and width in the middle and at both ends; write the middle one. Then the other person, without looking.',
      precaution: 'Not from the end of the ruler; eye straight above.',
    },
    clearUp,
  ],
  tables: [
    {
      key: 'pieces',
      title: 'Pieces',
      trials: 6,
      rows: [
        { key: 'a', name: 'Piece A' },
        { key: 'b', name: 'Piece B' },
        { key: 'c', name: 'Piece C' },
      ],
      columns: [
        measured('m', 'Mass', 'm', 'g', 'E-03'),
        measured('L', 'Length', 'L', 'mm', 'R-01'),
        measured('W', 'Width', 'W', 'mm', 'R-01'),
        given('rho', 'Density of copper', 'ρ', 'g/cm³', [
          { value: '8.96', plusMinus: '0.02', source: 'a table: copper' },
        ]),
        derived('h', 'Thickness', 'h', 'mm', 'm / (rho * L * W)'),
      ],
    },
  ],
  results: [
    {
      kind: 'mean',
      key: 'h',
      name: 'Thickness',
      symbol: 'h',
      unit: 'mm',
      column: 'h',
      accepted: { value: '0.55', tolerance: '0.03', unit: 'mm', source: 'the roller’s list' },
    },
  ],
  predictions: [{ key: 'guess', text: 'How thick do you think it is?', unit: 'mm', result: 'h' }],
  questions: [
    {
      key: 'grip',
      when: 'before',
      kind: 'statement',
      text: 'A micrometer would give a better answer.',
    },
    {
      key: 'worn',
      when: 'after',
      kind: 'text',
      text: 'The sheathing is thinner than its list says. Worn, or a thinner sheet? What speaks for which?',
    },
  ],
  causes: ['gripped', 'edges-not-square', 'eye-height', 'lines-worn'],
};
