import { thermometerCheck } from '../../src/record/readyMade';
import { along, at, byLine, byRows, each, get, readersDoBetter, same, type Case, whole } from './case';
import { piece, thermometer } from './pieces';

/** A thermometer that shows 0.3 °C too much in ice and half a percent too little for each degree. */
const shownBy = (temperature: number): number => 0.3 + 0.995 * temperature;
const fixedPoints: Pick<Case, 'investigation' | 'pieces' | 'readOn' | 'truth' | 'given'> = {
  investigation: thermometerCheck,
  pieces: { 'T-01': piece('marks', 0.1, 0.5, 1), 'T-02': thermometer },
  readOn: { shown: 'T-01' },
  given: [
    { column: 'true', rows: [0, 1, 2], bound: 0.05 },
    { column: 'true', rows: [3, 4, 5], bound: 0.1 },
  ],
  truth: (random) => {
    const [ice, boiling] = [random.between(-0.05, 0.05), 99.6 + random.between(-0.1, 0.1)];
    return {
      true: [0, 0, 0, 99.6, 99.6, 99.6],
      shown: [ice, ice, ice, boiling, boiling, boiling].map(shownBy),
    };
  },
};
const offAt = (row: string, from: number, value: number): Case => ({
  ...fixedPoints,
  name: `Thermometer, ${row}`,
  plan: `off.${row}`,
  value,
  given: (fixedPoints.given ?? []).slice(from / 3, from / 3 + 1),
  tolerances: whole('T-01', 'shown'),
  // A fresh bath each time is not quite as warm.
  scatters: { shown: same(1, 6) },
  classroomScatter: 0.2,
  ...byRows((rows) =>
    each(rows, 'shown', (shown, at_) => shown - get(rows, 'true', at_)).slice(from, from + 3),
  ),
  // What is off is held against the true temperature: the truth moves with it.
  why: readersDoBetter,
});
export const thermometerCheckCases: readonly Case[] = [
  offAt('ice', 0, 0.3),
  offAt('boiling', 3, shownBy(99.6) - 99.6),
  {
    ...fixedPoints,
    name: 'Thermometer, one degree',
    plan: 'degree',
    value: 1 / 0.995,
    tolerances: along('T-01', 'shown'),
    ...byLine(
      (rows) => ({ x: at(rows, 'shown'), y: at(rows, 'true') }),
      (b) => b,
    ),
    why: readersDoBetter,
  },
  {
    ...fixedPoints,
    name: 'Thermometers side by side',
    plan: 'apart',
    value: 0.4,
    given: [],
    readOn: { here: 'T-01', other: 'T-02' },
    tolerances: [...whole('T-01', 'here'), ...whole('T-02', 'other')],
    truth: () => ({ here: same(21.6, 2), other: same(21.2, 2) }),
    scatters: { here: same(1, 2) },
    classroomScatter: 0.1,
    ...byRows((rows) => each(rows, 'here', (here, at_) => here - get(rows, 'other', at_))),
    why: readersDoBetter,
  },
];
