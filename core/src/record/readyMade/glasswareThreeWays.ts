import type { Investigation } from '../investigation';
import { clearUp, derived, measured, plain, waterTable } from './plain';

const marked = (tolerance: string, of: string) => ({
  value: '20.00',
  tolerance,
  unit: 'mL',
  source: `the mark of the ${of}`,
});

/** The same volume from three kinds of glass, each portion in a capped jar of its own. */
export const glasswareThreeWays: Investigation = {
  ...plain,
  title: 'Glassware: three ways to 20 mL',
  aim: 'Deliver 20 mL of water four times from a burette, a cylinder and a beaker, weigh it, and say what each really gave.',
  minutes: 90,
  level: 'usual',
  object: 'water',
  route: 'A balance sees a hundredth of a millilitre: it is the judge of the glass.',
  kit: [
    { tag: 'E-03', kind: 'electronic-balance', model: 'electronic-0_01' },
    { tag: 'T-02', kind: 'thermometer', model: 'thermometer-0_5' },
    { tag: 'U-01', kind: 'burette', model: 'burette-50-0_1' },
    { tag: 'C-04', kind: 'graduated-cylinder', model: 'cylinder-50-1' },
    { tag: 'K-01', kind: 'beaker', model: 'beaker-50' },
  ],
  steps: [
    {
      text: 'Let the water stand until it has the temperature of the room. Read it on T-02, twice: before and after.',
      precaution: 'Water that is warmer is lighter: 5 °C make a thousandth.',
    },
    {
      text: 'Weigh twelve dry jars with their caps on E-03.',
      precaution: 'With its cap on, nothing evaporates between weighings.',
    },
    {
      text: 'Deliver 20 mL into each: four from U-01, four from C-04, four from K-01. Cap and weigh.',
      precaution: 'Last part dropwise, at eye level; touch off the hanging drop.',
      caution: 'Fill a burette below eye height. Wipe up spilt water.',
    },
    clearUp,
  ],
  tables: [
    waterTable('T-02'),
    {
      key: 'jars',
      title: 'Jars',
      trials: 12,
      rows: [
        { key: 'burette', name: 'Burette U-01', accepted: marked('0.05', 'burette') },
        { key: 'cylinder', name: 'Cylinder C-04', accepted: marked('0.5', 'cylinder') },
        { key: 'beaker', name: 'Beaker K-01', accepted: marked('2.5', 'beaker') },
      ],
      columns: [
        measured('dry', 'Mass of the dry jar', 'm_1', 'g', 'E-03'),
        measured('full', 'Mass with water', 'm_2', 'g', 'E-03'),
        derived('V', 'Volume delivered', 'V', 'mL', 'waterVolume(full - dry; t)'),
      ],
    },
  ],
  results: [
    {
      kind: 'mean',
      key: 'V',
      name: 'Volume',
      symbol: 'V',
      unit: 'mL',
      column: 'V',
      accepted: null,
      perRow: 'jars',
    },
  ],
  predictions: [],
  questions: [
    {
      key: 'rank',
      when: 'before',
      kind: 'text',
      text: 'Order the three by how well you expect them to do, and say why.',
    },
    {
      key: 'accurate',
      when: 'after',
      kind: 'compares',
      compares: { of: 'V', question: 'more accurate' },
      text: 'Which is the most accurate?',
    },
    {
      key: 'precise',
      when: 'after',
      kind: 'compares',
      compares: { of: 'V', question: 'more precise' },
      text: 'Which is the most precise?',
    },
    {
      key: 'which',
      when: 'after',
      kind: 'text',
      text: 'Are the more accurate and the more precise the same? Could they be two?',
    },
    {
      key: 'beaker',
      when: 'after',
      kind: 'text',
      text: 'A beaker gave 20.1, 20.0 and 20.2 mL. Was that skill or luck? What would settle it?',
    },
  ],
  causes: ['film', 'curve-top', 'eye-height', 'poured-beside', 'outside-wet'],
};
