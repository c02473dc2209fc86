import { sheathing } from '../../src/record/readyMade';
import { byRows, each, get, readersDoBetter, same, type Case, whole } from './case';
import { hundredths, ruler } from './pieces';

export const sheathingCases: readonly Case[] = [
  {
    name: 'Sheathing, thickness',
    investigation: sheathing,
    plan: 'h',
    value: 0.54,
    pieces: { 'E-03': hundredths, 'R-01': ruler },
    readOn: { m: 'E-03', L: 'R-01', W: 'R-01' },
    tolerances: [...whole('E-03', 'm'), ...whole('R-01', 'L', 'W')],
    given: [{ column: 'rho', rows: [0, 1, 2, 3, 4, 5], bound: 0.02 }],
    truth: (random) => {
      const L = [120, 120, 90, 90, 70, 70];
      const rho = 8.96 + random.between(-0.02, 0.02);
      return { L, W: same(41, 6), m: L.map((own) => (rho * own * 41 * 0.54) / 1000), rho: same(8.96, 6) };
    },
    scatters: { m: [120, 120, 90, 90, 70, 70].map((own) => (8.96 * own * 41) / 1000) },
    classroomScatter: 0.004,
    ...byRows((rows) =>
      each(
        rows,
        'm',
        (m, row) => (1000 * m) / (get(rows, 'rho', row) * get(rows, 'L', row) * get(rows, 'W', row)),
      ),
    ),
    why: readersDoBetter,
  },
];
