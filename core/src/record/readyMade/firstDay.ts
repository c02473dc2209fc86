import type { Investigation } from '../investigation';
import { clearUp, derived, measured, plain } from './plain';

/** The first day in a laboratory: temperatures, an area, a volume, drops. */
export const firstDay: Investigation = {
  ...plain,
  title: 'First day: temperatures, an area, a volume, drops',
  aim: 'Read a thermometer, a ruler, a cylinder and a beaker, convert what you read, and count drops.',
  minutes: 45,
  level: 'first',
  object: 'chart of the harbour',
  route: 'Every reading of this day comes back in later work.',
  kit: [
    { tag: 'T-01', kind: 'thermometer', model: 'thermometer-1' },
    { tag: 'R-01', kind: 'ruler', model: 'ruler-mm' },
    { tag: 'C-04', kind: 'graduated-cylinder', model: 'cylinder-50-1' },
    { tag: 'K-01', kind: 'beaker', model: 'beaker-50' },
    { tag: 'C-01', kind: 'graduated-cylinder', model: 'cylinder-10-0_1' },
  ],
  steps: [
    {
      text: 'Read T-01 in the air, in ice and in boiling water.',
      waitMinutes: 5,
      precaution: 'Wait until it stands still; eye level with the end of the column.',
      caution: 'Boiling water and hot plate: clamp, tongs, no reaching over.',
    },
    { text: 'Measure the sides of the chart, twice.', precaution: 'Not from the end of the ruler.' },
    {
      text: 'Pour 30 mL by K-01 and read it in C-04. Then count how many drops make 2 mL in C-01.',
      precaution: 'Eye level; the lowest point of the curve.',
      caution: 'Wipe up spilt water.',
    },
    clearUp,
  ],
  tables: [
    {
      key: 'temperatures',
      title: 'Temperatures',
      trials: 3,
      rows: [
        { key: 'air', name: 'Air' },
        {
          key: 'ice',
          name: 'Melting ice',
          accepted: { value: '273.15', tolerance: '0.1', unit: 'K', source: 'melting ice' },
        },
        {
          key: 'boiling',
          name: 'Boiling water',
          accepted: {
            value: '372.8',
            tolerance: '0.5',
            unit: 'K',
            source: 'boiling point at the usual pressure here',
          },
        },
      ],
      columns: [
        measured('t', 'Temperature', 't', '°C', 'T-01'),
        derived('T', 'Temperature in kelvin', 'T', 'K', 't'),
      ],
    },
    {
      key: 'chart',
      title: 'Chart',
      trials: 2,
      columns: [
        measured('L', 'Length', 'L', 'mm', 'R-01'),
        measured('W', 'Width', 'W', 'mm', 'R-01'),
        derived('A', 'Area', 'A', 'cm²', 'L * W'),
        derived('inches', 'Area in square inches', 'A', 'in²', 'L * W'),
      ],
    },
    {
      key: 'volume',
      title: 'One volume twice',
      trials: 2,
      columns: [
        measured('beaker', 'In the beaker', 'V_1', 'mL', 'K-01'),
        measured('cylinder', 'In the cylinder', 'V_2', 'mL', 'C-04'),
      ],
    },
    {
      key: 'drops',
      title: 'Drops',
      trials: 2,
      columns: [
        measured('from', 'Level before', 'V_1', 'mL', 'C-01'),
        { kind: 'count', key: 'n', heading: 'Drops', symbol: 'n', unit: 'drops' },
        measured('to', 'Level after', 'V_2', 'mL', 'C-01'),
        derived('drop', 'Volume of one drop', 'v', 'mL/drops', '(to - from) / n'),
      ],
    },
  ],
  results: [
    {
      kind: 'mean',
      key: 'area',
      name: 'Area of the chart',
      symbol: 'A',
      unit: 'cm²',
      column: 'A',
      accepted: null,
    },
    {
      kind: 'mean',
      key: 'T',
      name: 'Temperature',
      symbol: 'T',
      unit: 'K',
      column: 'T',
      accepted: null,
      perRow: 'temperatures',
    },
    {
      kind: 'mean',
      key: 'drop',
      name: 'Volume of one drop',
      symbol: 'v',
      unit: 'mL/drops',
      column: 'drop',
      accepted: null,
    },
  ],
  questions: [
    {
      key: 'same',
      when: 'before',
      kind: 'statement',
      text: 'A temperature that is twice as high in °C is twice as high in K.',
    },
    {
      key: 'vessels',
      when: 'after',
      kind: 'text',
      text: 'Beaker and cylinder do not say the same of one water. Which do you write, and how many digits?',
    },
  ],
  causes: ['bulb-on-base', 'eye-height', 'curve-top', 'miscounted'],
};
