import { oneDrop } from '../../src/record/readyMade';
import { byRows, each, get, same, type Case, whole } from './case';
import { cylinder10 } from './pieces';

export const oneDropCases: readonly Case[] = [
  {
    name: 'One drop',
    investigation: oneDrop,
    plan: 'drop',
    value: 0.05,
    pieces: { 'C-01': cylinder10 },
    readOn: { before: 'C-01', after: 'C-01' },
    tolerances: whole('C-01', 'after'),
    truth: () => ({ before: same(2.03, 4), after: same(6.03, 4), n: same(80, 4) }),
    scatters: { after: same(1, 4) },
    classroomScatter: 0.08,
    ...byRows((rows) =>
      each(rows, 'after', (after, row) => (after - get(rows, 'before', row)) / get(rows, 'n', row)),
    ),
  },
];
