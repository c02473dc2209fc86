import type { Investigation } from '../investigation';
import { clearUp, derived, given, measured, plain } from './plain';

const masses = ['5', '10', '20', '50', '100'] as const;

/** A balance against reference masses. */
export const balanceCheck: Investigation = {
  ...plain,
  title: 'Balance: can it be believed?',
  aim: 'Lay five reference masses on a balance, three times each, and draw how far it is off against what lies on it.',
  minutes: 30,
  level: 'usual',
  object: 'balance',
  route: 'What is off everywhere alike is its zero; what grows with the load is its scale.',
  kit: [{ tag: 'E-01', kind: 'electronic-balance', model: 'electronic-0_1' }],
  steps: [
    {
      text: 'Look at the bubble of E-01 and level it. Set it to zero with nothing on it.',
      precaution: 'A balance that stands askew weighs too little.',
    },
    {
      text: 'Lay each mass on, write what is shown, take it off; then all of them twice more, from the largest down and up again.',
      precaution: 'Tongs: a fingerprint weighs something. In the middle of the pan.',
      caution: 'Do not drop the masses: toes, and the pan.',
    },
    clearUp,
  ],
  tables: [
    {
      key: 'masses',
      title: 'Reference masses',
      trials: 15,
      rows: masses.map((mass) => ({ key: `m${mass}`, name: `${mass} g` })),
      columns: [
        given(
          'mass',
          'Reference mass',
          'm_0',
          'g',
          masses.map((mass) => ({ value: `${mass}.000`, plusMinus: '0.005', source: 'its certificate' })),
        ),
        measured('shown', 'Shown', 'm', 'g', 'E-01'),
        derived('off', 'Shown less reference', 'e', 'g', 'shown - mass'),
      ],
    },
  ],
  results: [
    {
      kind: 'line',
      key: 'scale',
      name: 'Shown for each gram',
      symbol: 'b',
      unit: 'g/g',
      x: 'mass',
      y: 'shown',
      throughOrigin: false,
      gives: 'slope',
      accepted: { value: '1', unit: 'g/g', source: 'what it should be' },
    },
    {
      kind: 'mean',
      key: 'off',
      name: 'Shown less reference',
      symbol: 'e',
      unit: 'g',
      column: 'off',
      accepted: null,
      perRow: 'masses',
    },
  ],
  questions: [
    {
      key: 'tare',
      when: 'before',
      kind: 'statement',
      text: 'After taring, a balance is right.',
    },
    {
      key: 'keep',
      when: 'after',
      kind: 'text',
      text: 'Would you correct its readings, or only say ± more? Give your reason.',
    },
  ],
  causes: ['balance-changed', 'outside-wet'],
};
