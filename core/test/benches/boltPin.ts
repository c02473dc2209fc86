import { boltPin } from '../../src/record/readyMade';
import { byRows, displaced, readersDoBetter, same, type Case, whole } from './case';
import { cylinder100, threeBeam } from './pieces';

export const boltPinCases: readonly Case[] = [
  {
    name: 'Bolt pin, density',
    investigation: boltPin,
    plan: 'rho',
    value: 8.8,
    pieces: { 'B-02': threeBeam, 'C-07': cylinder100 },
    readOn: { mass: 'B-02', before: 'C-07', after: 'C-07' },
    tolerances: [...whole('B-02', 'mass'), ...whole('C-07', 'after')],
    truth: () => ({ mass: same(176, 3), before: same(50.3, 3), after: same(70.3, 3) }),
    scatters: { after: same(1, 3) },
    classroomScatter: 0.2,
    ...byRows(displaced('mass')),
    why: readersDoBetter,
  },
];
