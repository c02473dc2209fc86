import { tallyToken } from '../../src/record/readyMade';
import { mean } from '../byRule';
import { at, byRows, each, get, readersDoBetter, same, type Case, whole } from './case';
import { caliper, cylinder50, hundredths } from './pieces';

export const slate = { L: 60.02, W: 45.03, H: 6.01 };
const token = {
  mass: same((2.8 * slate.L * slate.W * slate.H) / 1000, 4),
  L: same(slate.L, 4),
  W: same(slate.W, 4),
  H: same(slate.H, 4),
  before: same(20.3, 3),
  after: same(20.3 + (slate.L * slate.W * slate.H) / 1000, 3),
};
export const tallyTokenCases: readonly Case[] = [
  {
    name: 'Tally token, by its dimensions',
    investigation: tallyToken,
    plan: 'rho',
    value: 2.8,
    pieces: { 'E-03': hundredths, 'V-01': { ...caliper, offset: 0.05 }, 'C-04': cylinder50 },
    readOn: { mass: 'E-03', L: 'V-01', W: 'V-01', H: 'V-01', before: 'C-04', after: 'C-04' },
    tolerances: [...whole('E-03', 'mass'), ...whole('V-01', 'L', 'W', 'H')],
    truth: () => token,
    scatters: { H: same(1, 4) },
    classroomScatter: 0.04,
    ...byRows((rows) =>
      each(
        rows,
        'L',
        (L, row) => get(rows, 'mass', row) / ((L * get(rows, 'W', row) * get(rows, 'H', row)) / 1000),
      ),
    ),
  },
  {
    name: 'Tally token, by displacement',
    investigation: tallyToken,
    plan: 'rhoWater',
    value: 2.8,
    pieces: { 'E-03': hundredths, 'V-01': caliper, 'C-04': cylinder50 },
    readOn: { mass: 'E-03', before: 'C-04', after: 'C-04', L: 'V-01', W: 'V-01', H: 'V-01' },
    tolerances: [...whole('E-03', 'mass'), ...whole('C-04', 'after')],
    truth: () => token,
    scatters: { after: same(1, 3) },
    classroomScatter: 0.2,
    meansOf: ['mass'],
    ...byRows((rows) =>
      each(rows, 'after', (after, row) => mean(at(rows, 'mass')) / (after - get(rows, 'before', row))),
    ),
    why: readersDoBetter,
  },
];
