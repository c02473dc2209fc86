import { panBrine } from '../../src/record/readyMade';
import { along, byRows, each, get, neighbours, rising, same, type Case } from './case';
import { burette, hundredths } from './pieces';

export const panBrineCases: readonly Case[] = [
  {
    name: 'Brine, portions into one beaker',
    investigation: panBrine,
    plan: 'rho',
    value: 1.2,
    pieces: { 'E-03': hundredths, 'U-01': burette },
    readOn: { R: 'U-01', M: 'E-03' },
    tolerances: [...along('U-01', 'R'), ...along('E-03', 'M')],
    truth: () => ({ R: rising(0.5, 8, 6), M: rising(60.11, 9.6, 6) }),
    scatters: { M: same(1, 6) },
    classroomScatter: 0.03,
    ...byRows((rows) =>
      each(
        rows,
        'M',
        (mass, row) => (mass - get(rows, 'M', row - 1)) / (get(rows, 'R', row) - get(rows, 'R', row - 1)),
      ).slice(1),
    ),
    way: 'receiver',
    running: true,
    why: neighbours,
  },
];
