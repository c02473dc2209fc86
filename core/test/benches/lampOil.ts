import { lampOil } from '../../src/record/readyMade';
import { type Rows } from '../../src/world';
import { mean } from '../byRule';
import { along, at, byLine, byRows, each, get, readersDoBetter, same, type Case, whole } from './case';
import { cylinder100, hundredths } from './pieces';

const oil = {
  empty: same(88.42, 3),
  V: [20.2, 39.7, 60.1, 79.8, 98.9],
  M: [20.2, 39.7, 60.1, 79.8, 98.9].map((V) => 88.42 + 0.8 * V),
};
const oilRows = (rows: Rows) =>
  each(rows, 'M', (M, row) => (M - mean(at(rows, 'empty'))) / get(rows, 'V', row));
export const lampOilCases: readonly Case[] = [
  {
    name: 'Lamp oil, slope',
    investigation: lampOil,
    plan: 'slope',
    value: 0.8,
    pieces: { 'E-03': hundredths, 'C-07': cylinder100 },
    readOn: { V: 'C-07', M: 'E-03' },
    tolerances: [...along('C-07', 'V'), ...along('E-03', 'M')],
    truth: () => oil,
    ...byLine(
      (rows) => ({ x: at(rows, 'V'), y: at(rows, 'M') }),
      (b) => b,
    ),
    why: readersDoBetter,
  },
  {
    name: 'Lamp oil, trial by trial',
    investigation: lampOil,
    plan: 'rho',
    value: 0.8,
    pieces: { 'E-03': hundredths, 'C-07': cylinder100 },
    readOn: { empty: 'E-03', V: 'C-07', M: 'E-03' },
    tolerances: [...whole('E-03', 'M'), ...whole('C-07', 'V')],
    truth: () => oil,
    scatters: { M: oil.V },
    classroomScatter: 0.004,
    meansOf: ['empty'],
    ...byRows(oilRows),
    why: readersDoBetter,
  },
];
