import type { Investigation, ResultPlan } from '../investigation';
import { clearUp, measured, plain } from './plain';

const length = (column: string, name: string): ResultPlan => ({
  kind: 'mean',
  key: column,
  name,
  symbol: 'L',
  unit: 'mm',
  column,
  quantity: 'length',
  accepted: null,
});

/** One length with ever finer sticks. */
export const tallyBoard: Investigation = {
  ...plain,
  title: 'Tally board: the same length, five tools',
  aim: 'Measure the length of a tally board with three sticks and a caliper, its thickness with caliper and micrometer, five looks each.',
  minutes: 45,
  level: 'first',
  object: 'tally board',
  route: 'A finer tool adds digits; whether they are worth anything, the spread of five looks tells.',
  kit: [
    { tag: 'S-03', kind: 'ruler', model: 'stick-dm' },
    { tag: 'S-02', kind: 'ruler', model: 'stick-half-cm' },
    { tag: 'R-01', kind: 'ruler', model: 'ruler-mm' },
    { tag: 'V-01', kind: 'vernier-caliper', model: 'vernier-20-39' },
    { tag: 'M-01', kind: 'micrometer', model: 'micrometer-plain' },
  ],
  steps: [
    {
      text: 'Measure the length with each stick, five looks, each time laid on anew.',
      precaution: 'Estimate one place between the lines; eye straight above.',
    },
    {
      text: 'Measure the length with the caliper, and the thickness with caliper and micrometer. Close both on nothing first.',
      precaution: 'A zero error shifts every length.',
      caution: 'A micrometer is not a clamp: turn the ratchet, not the barrel.',
    },
    clearUp,
  ],
  tables: [
    {
      key: 'board',
      title: 'Looks',
      trials: 5,
      columns: [
        measured('dm', 'Length, by decimetres', 'L_1', 'mm', 'S-03'),
        measured('half', 'Length, by half centimetres', 'L_2', 'mm', 'S-02'),
        measured('mm', 'Length, by millimetres', 'L_3', 'mm', 'R-01'),
        measured('caliper', 'Length, by caliper', 'L_4', 'mm', 'V-01'),
        measured('thick', 'Thickness, by caliper', 'h_1', 'mm', 'V-01'),
        measured('fine', 'Thickness, by micrometer', 'h_2', 'mm', 'M-01'),
      ],
    },
  ],
  results: [
    length('caliper', 'Length by caliper'),
    length('mm', 'Length by millimetres'),
    length('half', 'Length by half centimetres'),
    length('dm', 'Length by decimetres'),
    { ...length('thick', 'Thickness by caliper'), symbol: 'h', quantity: 'thickness' },
    { ...length('fine', 'Thickness by micrometer'), symbol: 'h', quantity: 'thickness' },
  ],
  questions: [
    {
      key: 'finer',
      when: 'before',
      kind: 'statement',
      text: 'The tool with more digits is the more accurate.',
    },
    {
      key: 'enough',
      when: 'after',
      kind: 'text',
      text: 'For a label “about 10 cm”, which tool was enough? For a new peg in its hole?',
    },
  ],
  causes: ['zero-error-left', 'jaws-askew', 'slide-loose', 'lines-worn', 'eye-height', 'edges-not-square'],
};
