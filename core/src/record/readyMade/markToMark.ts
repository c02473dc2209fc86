import type { Investigation } from '../investigation';
import { clearUp, derived, measured, plain } from './plain';

/** From mark to mark in one vessel on the balance; and the same water from vessel to vessel without one. */
export const markToMark: Investigation = {
  ...plain,
  title: 'Mark to mark: does the cylinder agree with itself?',
  aim: 'Fill a cylinder from mark to mark on the balance, 10 mL at a time, and pour the same water from vessel to vessel.',
  minutes: 45,
  level: 'first',
  object: 'water',
  route: 'Nothing is poured out, so nothing is lost: only marks and weighings can be wrong.',
  kit: [
    { tag: 'E-03', kind: 'electronic-balance', model: 'electronic-0_01' },
    { tag: 'C-04', kind: 'graduated-cylinder', model: 'cylinder-50-1' },
    { tag: 'C-08', kind: 'graduated-cylinder', model: 'cylinder-100-1' },
    { tag: 'K-02', kind: 'beaker', model: 'beaker-100' },
  ],
  steps: [
    {
      text: 'Weigh C-04 filled to 10 mL, then to 20, 30, 40 and 50.',
      precaution: 'Drops on the wall come down later: push them down before you weigh.',
    },
    {
      text: 'Read 40 mL in C-08, pour it into K-02 and read, pour it back and read again. Three times.',
      precaution: 'Write what is there, not what was planned.',
      caution: 'Wipe up spilt water: wet floors are slippery.',
    },
    clearUp,
  ],
  tables: [
    {
      key: 'marks',
      title: 'From mark to mark',
      trials: 5,
      replicates: 'mark to mark',
      columns: [
        measured('M', 'Mass of cylinder and water', 'M', 'g', 'E-03', { differs: true }),
        derived('V', 'Ten millilitres', 'V', 'mL', '(M - M_before) / 0.9982 g/mL', { rises: true }),
      ],
    },
    {
      key: 'round',
      title: 'From vessel to vessel',
      trials: 3,
      columns: [
        measured('first', 'In the cylinder', 'V_1', 'mL', 'C-08'),
        measured('beaker', 'In the beaker', 'V_2', 'mL', 'K-02'),
        measured('back', 'Back in the cylinder', 'V_3', 'mL', 'C-08'),
        derived('lost', 'Lost on the way', 'ΔV', 'mL', 'first - back'),
      ],
    },
  ],
  results: [
    {
      kind: 'mean',
      key: 'ten',
      name: 'Ten millilitres of this cylinder',
      symbol: 'V',
      unit: 'mL',
      column: 'V',
      accepted: { value: '10.00', tolerance: '0.5', unit: 'mL', source: 'its marks' },
    },
    {
      kind: 'mean',
      key: 'lost',
      name: 'Lost on the way',
      symbol: 'ΔV',
      unit: 'mL',
      column: 'lost',
      accepted: null,
    },
  ],
  questions: [
    {
      key: 'beaker',
      when: 'before',
      kind: 'statement',
      text: 'The beaker shows whether water was lost.',
    },
    {
      key: 'where',
      when: 'after',
      kind: 'text',
      text: 'Water was lost, or it only seems so: how could you tell?',
    },
  ],
  causes: ['curve-top', 'eye-height', 'film', 'poured-beside', 'glass-warped'],
};
