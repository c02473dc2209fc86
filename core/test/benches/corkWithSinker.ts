import { corkWithSinker } from '../../src/record/readyMade';
import { byRows, each, get, same, type Case, whole } from './case';
import { hundredths } from './pieces';

export const corkWithSinkerCases: readonly Case[] = [
  {
    name: 'Cork with a sinker',
    investigation: corkWithSinker,
    plan: 'rho',
    value: 0.19,
    pieces: { 'E-03': hundredths },
    readOn: { m: 'E-03', s: 'E-03', sHung: 'E-03', bothHung: 'E-03' },
    tolerances: whole('E-03', 'm', 'sHung', 'bothHung'),
    given: [{ column: 'liquid', rows: [0, 1, 2, 3], bound: 0.0005 }],
    truth: (random) => {
      const liquid = 0.9982 + random.between(-0.0005, 0.0005);
      const sHung = 110 * (1 - liquid / 7.85);
      return {
        m: same(7.6, 4),
        s: same(110, 4),
        sHung: same(sHung, 4),
        bothHung: same(sHung + 7.6 - 40 * liquid, 4),
        liquid: same(0.9982, 4),
      };
    },
    scatters: { bothHung: same(1, 4) },
    classroomScatter: 0.1,
    ...byRows((rows) =>
      each(
        rows,
        'm',
        (m, row) =>
          (m * get(rows, 'liquid', row)) / (m + get(rows, 'sHung', row) - get(rows, 'bothHung', row)),
      ),
    ),
  },
];
