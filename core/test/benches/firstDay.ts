import { firstDay } from '../../src/record/readyMade';
import { byRows, each, get, readersDoBetter, same, type Case, whole } from './case';
import { cylinder10, cylinder50, piece, ruler } from './pieces';

const kelvin = (row: string, nth: number, value: number): Case => ({
  name: `First day, ${row}`,
  investigation: firstDay,
  plan: `T.${row}`,
  value,
  pieces: { 'T-01': piece('marks', 0.1, 0.5, 1) },
  readOn: { t: 'T-01' },
  tolerances: whole('T-01', 't'),
  truth: () => ({ t: [21.2, 0.1, 99.4] }),
  scatters: {},
  classroomScatter: 0,
  ...byRows((rows) => [get(rows, 't', nth) + 273.15]),
  why: readersDoBetter,
});
export const firstDayCases: readonly Case[] = [
  {
    name: 'First day, area of the chart',
    investigation: firstDay,
    plan: 'area',
    value: 21.4 * 14.7,
    pieces: { 'R-01': ruler },
    readOn: { L: 'R-01', W: 'R-01' },
    tolerances: whole('R-01', 'L', 'W'),
    truth: () => ({ L: same(214, 2), W: same(147, 2) }),
    scatters: { L: same(1, 2) },
    classroomScatter: 0.4,
    ...byRows((rows) => each(rows, 'L', (L, row) => (L * get(rows, 'W', row)) / 100)),
    why: readersDoBetter,
  },
  kelvin('air', 0, 294.35),
  kelvin('ice', 1, 273.25),
  kelvin('boiling', 2, 372.55),
  {
    name: 'First day, one drop',
    investigation: firstDay,
    plan: 'drop',
    value: 0.05,
    pieces: { 'C-01': cylinder10, 'K-01': piece('marks', 1, 5, 2.5), 'C-04': cylinder50 },
    readOn: { from: 'C-01', to: 'C-01', beaker: 'K-01', cylinder: 'C-04' },
    tolerances: whole('C-01', 'to'),
    truth: () => ({
      from: same(3.03, 2),
      to: same(5.03, 2),
      n: same(40, 2),
      beaker: [31, 28],
      cylinder: [30.4, 28.2],
    }),
    scatters: { to: same(1, 2) },
    classroomScatter: 0.05,
    ...byRows((rows) =>
      each(rows, 'from', (from, row) => (get(rows, 'to', row) - from) / get(rows, 'n', row)),
    ),
    why: readersDoBetter,
  },
];
