import { sleeveInParts } from '../../src/record/readyMade';
import { byRows, each, get, same, type Case, whole } from './case';
import { caliper50, tenths } from './pieces';

export const sleeveInPartsCases: readonly Case[] = [
  {
    name: 'Pulley bush, density',
    investigation: sleeveInParts,
    plan: 'rho',
    value: 8.8,
    pieces: { 'E-01': tenths, 'V-02': caliper50 },
    readOn: { mass: 'E-01', D: 'V-02', d: 'V-02', h: 'V-02' },
    tolerances: [...whole('E-01', 'mass'), ...whole('V-02', 'D', 'd', 'h')],
    truth: () => ({
      mass: same((8.8 * Math.PI * (44 ** 2 - 26 ** 2) * 38) / 4000, 4),
      D: same(44, 4),
      d: same(26, 4),
      h: same(38, 4),
    }),
    scatters: { d: same(1, 4) },
    classroomScatter: 0.05,
    ...byRows((rows) =>
      each(
        rows,
        'mass',
        (mass, row) =>
          (4000 * mass) /
          (Math.PI * (get(rows, 'D', row) ** 2 - get(rows, 'd', row) ** 2) * get(rows, 'h', row)),
      ),
    ),
  },
];
