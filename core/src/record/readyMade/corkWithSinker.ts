import type { Investigation } from '../investigation';
import { clearUp, density, derived, given, measured, plain } from './plain';

/** What floats is pulled under by a sinker. */
export const corkWithSinker: Investigation = {
  ...plain,
  title: 'Net float: how light is cork?',
  aim: 'Find the density of a cork net float that will not sink: with a sinker, by weighing under water.',
  minutes: 60,
  level: 'demanding',
  object: 'net float',
  route: 'The sinker takes it under; what the sinker does by itself is weighed too, and taken off.',
  kit: [{ tag: 'E-03', kind: 'electronic-balance', model: 'electronic-0_01' }],
  steps: [
    {
      text: 'Weigh the dry float in air.',
      precaution: 'Cork soaks: weigh it before it gets wet, seal it with a little wax if you may.',
    },
    {
      text: 'Hang the sinker alone under water, then float and sinker together; both in air as well. Four times.',
      precaution: 'No bubbles; nothing touches.',
      caution: 'Lead is poisonous: use a steel sinker, or gloves, and wash your hands.',
    },
    clearUp,
  ],
  tables: [
    {
      key: 'hanging',
      title: 'Weighings',
      trials: 4,
      columns: [
        measured('m', 'Float in air', 'm', 'g', 'E-03'),
        measured('s', 'Sinker in air', 'm_s', 'g', 'E-03'),
        measured('sHung', 'Sinker under water', "m'_s", 'g', 'E-03'),
        measured('bothHung', 'Both under water', "m'", 'g', 'E-03'),
        given('liquid', 'Density of the water', 'ρ_L', 'g/cm³', [
          { value: '0.9982', plusMinus: '0.0005', source: 'water at 20 °C' },
        ]),
        derived('V', 'Volume of the float', 'V', 'cm³', '(m + sHung - bothHung) / liquid'),
        derived('rho', 'Density', 'ρ', 'g/cm³', 'm / V'),
      ],
    },
  ],
  results: [density('rho', { value: '0.19', unit: 'g/cm³', source: 'a table: cork 0.12 to 0.26' })],
  predictions: [{ key: 'guess', text: 'How dense is cork?', unit: 'g/cm³', result: 'rho' }],
  questions: [
    {
      key: 'heavier',
      when: 'before',
      kind: 'statement',
      text: 'A larger float is denser than a small one of the same cork.',
    },
    {
      key: 'wax',
      when: 'after',
      kind: 'text',
      text: 'The float took up water while it hung. Which way did the density go, and by how much at most?',
    },
  ],
  causes: ['soaks', 'bubble', 'thread-touches', 'wet-when-weighed'],
};
