import type { Investigation } from '../investigation';
import { clearUp, derived, measured, plain } from './plain';

/** Drops: how many fill a volume, and so how large one is. */
export const oneDrop: Investigation = {
  ...plain,
  title: 'One drop: how much is it?',
  aim: 'Count the drops of a squeeze pipette that fill a few millilitres, and find the volume of one.',
  minutes: 30,
  level: 'first',
  object: 'squeeze pipette',
  route: 'One drop is far below what the cylinder can show; a hundred are not.',
  kit: [{ tag: 'C-01', kind: 'graduated-cylinder', model: 'cylinder-10-0_1' }],
  steps: [
    {
      text: 'Put about 2 mL into C-01 and read the level.',
      precaution: 'Any start will do if it is written down.',
    },
    {
      text: 'Hold the pipette upright and let drops fall in, counting each, until the level has risen by about 4 mL. Read again.',
      precaution: 'Lose count, and the run begins again: the abandoned one stays written.',
      caution: 'Water only, and never by mouth.',
    },
    { text: 'Do it four times; take turns.' },
    clearUp,
  ],
  tables: [
    {
      key: 'runs',
      title: 'Runs',
      trials: 4,
      columns: [
        measured('before', 'Level before', 'V_1', 'mL', 'C-01'),
        { kind: 'count', key: 'n', heading: 'Drops', symbol: 'n', unit: 'drops' },
        measured('after', 'Level after', 'V_2', 'mL', 'C-01'),
        derived('V', 'Volume', 'V', 'mL', 'after - before', { rises: true }),
        derived('drop', 'Volume of one drop', 'v', 'mL/drops', 'V / n'),
      ],
    },
  ],
  results: [
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
  predictions: [{ key: 'guess', text: 'How large is one drop?', unit: 'mL/drops', result: 'drop' }],
  questions: [
    {
      key: 'per',
      when: 'after',
      kind: 'text',
      text: 'Say it as a sentence with “per one”, and turn it round: how many drops per millilitre?',
    },
  ],
  causes: ['drops-uneven', 'miscounted', 'eye-height'],
};
