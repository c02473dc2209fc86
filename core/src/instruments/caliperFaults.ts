import { contact, turnedBy, type CaliperSetting } from './caliperGrip';
import { countFaults } from './countFaults';
import type { Misreading } from './instrument';
import { slack } from './scale';
import { caliperModel, leastCount, slideEdge, vernierParts } from './verniers';
import { lessZeroError, zeroErrorMisreadings } from './zeroError';

const count = countFaults((setting: CaliperSetting, seen) => {
  const model = caliperModel(setting.model);
  return [model, vernierParts(model, seen), leastCount(model)] as const;
});

const rows: readonly Misreading<CaliperSetting>[] = [
  {
    code: 'squeezed',
    stage: 'place',
    skill: 'handling',
    point: 'edge',
    title: 'The object was squeezed.',
    predict: (setting, seen) => {
      const squeezedBy = contact(setting) - setting.at;
      return squeezedBy > slack ? [seen - squeezedBy] : [];
    },
    hint: () =>
      'It is soft: the harder the jaws press, the smaller it reads. Open until they only just touch.',
  },
  count({
    code: 'main-scale-only',
    skill: 'd',
    point: 'other-side',
    title: 'You read the main scale alone.',
    predict: (_, { main }) => [main],
    hint: 'The main scale gives the whole divisions; the line of the vernier that coincides gives the rest.',
  }),
  count({
    code: 'coincidence-not-scaled',
    skill: 'd',
    point: 'other-side',
    title: 'You added the number of the line as it is.',
    predict: ({ inches }, { main, line }) => [main + line, main + line / (inches ? 100 : 10)],
    hint: 'The index of the coinciding line counts least counts. Multiply it by the least count before you add it.',
  }),
  count({
    code: 'printed-number-as-line',
    skill: 'd',
    point: 'other-side',
    title: 'You took a number printed on the vernier for the index of a line.',
    predict: (model, { main, line }) => [main + Math.floor(model.printed(line) + slack) * leastCount(model)],
    hint: 'The printed numbers do not count the lines. Count the lines themselves, from the vernier’s zero line.',
  }),
  count({
    code: 'jaw-edge-as-zero',
    skill: 'place',
    point: 'zero-line',
    title: 'You read the main scale at the edge of the slide.',
    predict: ({ mainDivision }, { main, line }, count) => [
      (Math.ceil(main / mainDivision + (line * count) / mainDivision - slideEdge - slack) - 1) *
        mainDivision +
        line * count,
    ],
    hint: 'The slide begins left of its scale. The main scale is read at the vernier’s zero line, not at the edge.',
  }),
  count({
    code: 'next-main-mark',
    skill: 'place',
    point: 'zero-line',
    title: 'You took the main mark right of the zero line.',
    predict: ({ mainDivision }, { main, line }, count) => [main + mainDivision + line * count],
    hint: 'Take the last main mark that the vernier’s zero line has reached or passed.',
  }),
  {
    code: 'cm-mm-slip',
    stage: 'correction',
    skill: 'unit',
    rescales: true,
    title: 'You mixed centimetres and millimetres.',
    predict: (setting, observed) =>
      caliperModel(setting.model).inches
        ? []
        : [lessZeroError(setting, observed) / 10, lessZeroError(setting, observed) * 10],
    hint: () =>
      'The numbers of the main scale are centimetres; the lines between them are millimetres. Which unit did you write?',
  },
  ...zeroErrorMisreadings,
  {
    code: 'one-place-only',
    stage: 'place',
    skill: 'handling',
    point: 'edge',
    title: 'You measured it at one place only.',
    predict: ({ outOfRound, turn }, seen) => (outOfRound > 0 ? [seen - turnedBy(outOfRound, turn)] : []),
    hint: () => 'It is not round. Turn it a quarter at a time and take its widest place.',
  },
];

/** Slips in measuring; they do not happen to somebody who looks for the least count. */
export const measuringFaults = rows.map((row): Misreading<CaliperSetting> => ({
  ...row,
  predict: (setting, seen) => (setting.task === 'size' ? row.predict(setting, seen) : []),
}));
