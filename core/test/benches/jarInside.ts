import { jarInside } from '../../src/record/readyMade';
import { byRows, each, get, same, type Case, whole } from './case';
import { caliper, tenths } from './pieces';

export const jarInsideCases: readonly Case[] = [
  {
    name: 'Oil jar, by its dimensions',
    investigation: jarInside,
    plan: 'inner',
    value: (Math.PI * 47.02 ** 2 * 57.6) / 4000,
    pieces: { 'V-01': { ...caliper, offset: 0.05 } },
    readOn: { d: 'V-01', h: 'V-01' },
    tolerances: whole('V-01', 'd', 'h'),
    truth: () => ({ d: same(47.02, 4), h: same(57.6, 4) }),
    scatters: { h: same(1, 4) },
    classroomScatter: 0.1,
    ...byRows((rows) => each(rows, 'd', (d, row) => (Math.PI * d ** 2 * get(rows, 'h', row)) / 4000)),
  },
  {
    name: 'Oil jar, from the water',
    investigation: jarInside,
    plan: 'water',
    value: 99.9,
    pieces: { 'E-01': tenths },
    readOn: { dry: 'E-01', full: 'E-01' },
    tolerances: whole('E-01', 'full'),
    truth: () => ({ dry: same(212.34, 3), full: same(212.34 + 99.9 * 0.9982, 3) }),
    scatters: { full: same(1, 3) },
    classroomScatter: 0.2,
    ...byRows((rows) => each(rows, 'full', (full, row) => (full - get(rows, 'dry', row)) / 0.9982)),
  },
];
