import type { Investigation } from '../investigation';
import { clearUp, derived, measured, plain } from './plain';

/** Many alike: some are weighed, more are weighed, a crate is predicted. */
export const rivetCrate: Investigation = {
  ...plain,
  title: 'Rivets: what does the crate weigh?',
  aim: 'Weigh a few rivets, then more of them, and predict the mass of a crate of 120.',
  minutes: 45,
  level: 'first',
  object: 'rivets',
  route: 'One rivet is too light for the balance to tell much; many share its last digit.',
  kit: [{ tag: 'E-01', kind: 'electronic-balance', model: 'electronic-0_1' }],
  steps: [
    {
      text: 'Weigh the empty tray, then the tray with 10, 20, 30, 40 and 50 rivets.',
      precaution: 'Count them in rows of ten: one too many is an error of a tenth.',
    },
    { text: 'Doubling the count should double the mass of the rivets: look whether it does.' },
    clearUp,
  ],
  tables: [
    {
      key: 'rivets',
      title: 'Weighings',
      trials: 5,
      columns: [
        { kind: 'count', key: 'n', heading: 'Rivets', symbol: 'n', unit: '', differs: true },
        measured('tray', 'Mass of the tray', 'm_1', 'g', 'E-01', { carried: true }),
        measured('M', 'Mass with rivets', 'm_2', 'g', 'E-01', { differs: true }),
        derived('m', 'Mass of the rivets', 'm', 'g', 'M - tray', { rises: true }),
        derived('each', 'Mass of one', 'm_r', 'g', 'm / n'),
      ],
    },
  ],
  results: [
    {
      kind: 'line',
      key: 'crate',
      name: 'Mass of a crate of 120, by the line',
      symbol: 'm_{120}',
      unit: 'g',
      x: 'n',
      y: 'm',
      throughOrigin: true,
      gives: 'y',
      at: '120',
      quantity: 'crate',
      accepted: null,
    },
    {
      kind: 'value',
      key: 'times',
      name: '120 times the mean of one',
      symbol: 'm_{120}',
      unit: 'g',
      formula: '120 exact * each',
      quantity: 'crate',
      accepted: null,
    },
    {
      kind: 'mean',
      key: 'each',
      name: 'Mass of one rivet',
      symbol: 'm_r',
      unit: 'g',
      column: 'each',
      accepted: null,
    },
  ],
  predictions: [{ key: 'guess', text: 'What will the crate of 120 weigh?', unit: 'g', result: 'crate' }],
  questions: [
    {
      key: 'double',
      when: 'before',
      kind: 'statement',
      text: 'Twice as many rivets have twice the mass, tray included.',
    },
  ],
  causes: ['miscounted', 'balance-changed'],
};
