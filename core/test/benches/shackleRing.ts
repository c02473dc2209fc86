import { shackleRing } from '../../src/record/readyMade';
import { byRows, displaced, readersDoBetter, same, type Case, whole } from './case';
import { cylinder50, hundredths } from './pieces';

export const shackleRingCases: readonly Case[] = [
  {
    name: 'Shackle ring, density',
    investigation: shackleRing,
    plan: 'rho',
    value: 62.48 / 7.9,
    pieces: { 'E-03': hundredths, 'C-04': cylinder50 },
    readOn: { mass: 'E-03', before: 'C-04', after: 'C-04' },
    tolerances: [...whole('E-03', 'mass'), ...whole('C-04', 'after')],
    truth: () => ({ mass: same(62.48, 3), before: same(21.4, 3), after: same(29.3, 3) }),
    scatters: { after: same(1, 3) },
    classroomScatter: 0.1,
    ...byRows(displaced('mass')),
    why: readersDoBetter,
  },
];
