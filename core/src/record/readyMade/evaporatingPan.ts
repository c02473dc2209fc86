import type { Investigation } from '../investigation';
import { clearUp, measured, plain } from './plain';

/** A rate from clock times, by depth and by weight, and what the line predicts. */
export const evaporatingPan: Investigation = {
  ...plain,
  title: 'Evaporating pan: when will it be down to the mark?',
  aim: 'Measure how fast the brine pan dries, by depth and by weight, and predict when it will stand at 12 mm.',
  minutes: 90,
  level: 'demanding',
  object: 'evaporating pan',
  route: 'Depth is what is asked for; weight is what can be read finely.',
  kit: [
    { tag: 'R-01', kind: 'ruler', model: 'ruler-mm' },
    { tag: 'E-01', kind: 'electronic-balance', model: 'electronic-0_1' },
  ],
  steps: [
    {
      text: 'Set the pan on E-01 near the warm lamp. Write the clock time, the mass, and the depth at the mark.',
      caution: 'The lamp is hot. Keep its lead away from the water.',
    },
    {
      text: 'Read again every ten minutes, at least six times. The exact time does not matter: only write what the clock shows.',
      waitMinutes: 10,
      precaution: 'Read clock, mass and depth close together.',
    },
    {
      text: 'Do not move the pan between readings.',
      precaution: 'A tilted pan has another depth at the mark.',
    },
    clearUp,
  ],
  tables: [
    {
      key: 'pan',
      title: 'Readings',
      trials: 6,
      columns: [
        { kind: 'clock', key: 't', heading: 'Clock time', symbol: 't' },
        measured('depth', 'Depth', 'z', 'mm', 'R-01', { differs: true }),
        measured('mass', 'Mass of pan and brine', 'm', 'g', 'E-01', { differs: true }),
      ],
    },
  ],
  results: [
    {
      kind: 'line',
      key: 'when',
      name: 'Minutes until it stands at 12 mm',
      symbol: 't',
      unit: 'min',
      x: 't',
      y: 'depth',
      throughOrigin: false,
      gives: 'x',
      at: '12',
      accepted: null,
    },
    {
      kind: 'line',
      key: 'sinking',
      name: 'Change of depth per minute',
      symbol: 'b_z',
      unit: 'mm/min',
      x: 't',
      y: 'depth',
      throughOrigin: false,
      gives: 'slope',
      accepted: null,
    },
    {
      kind: 'line',
      key: 'drying',
      name: 'Change of mass per minute',
      symbol: 'b_m',
      unit: 'g/min',
      x: 't',
      y: 'mass',
      throughOrigin: false,
      gives: 'slope',
      accepted: null,
    },
  ],
  predictions: [
    { key: 'guess', text: 'After how many minutes will it stand at 12 mm?', unit: 'min', result: 'when' },
  ],
  questions: [
    {
      key: 'exact',
      when: 'before',
      kind: 'statement',
      text: 'The first reading has to be taken at exactly the full hour.',
    },
    {
      key: 'part',
      when: 'after',
      kind: 'text',
      text: 'By depth and by weight the rates may not fit together. Why?',
    },
  ],
  causes: ['air-moves', 'eye-height', 'left-on-holder'],
};
