import { deckSleeve } from '../../src/record/readyMade';
import { byRows, each, get, same, type Case, whole } from './case';
import { piece, tenths } from './pieces';

const octagon = 2 * (Math.SQRT2 - 1);
export const deckSleeveCases: readonly Case[] = [
  {
    name: 'Deck sleeve, density',
    investigation: deckSleeve,
    plan: 'rho',
    value: 8.8,
    pieces: { 'E-01': tenths, 'V-02': piece('lines', 0.02, 0.02, 0.05) },
    readOn: { mass: 'E-01', w: 'V-02', d: 'V-02', h: 'V-02' },
    tolerances: [...whole('E-01', 'mass'), ...whole('V-02', 'w', 'd', 'h')],
    truth: () => ({
      mass: same((8.8 * (octagon * 60 ** 2 - Math.PI * 15 ** 2) * 25) / 1000, 4),
      w: same(60, 4),
      d: same(30, 4),
      h: same(25, 4),
    }),
    scatters: { h: same(1, 4) },
    classroomScatter: 0.03,
    ...byRows((rows) =>
      each(
        rows,
        'mass',
        (mass, row) =>
          mass /
          (((octagon * get(rows, 'w', row) ** 2 - Math.PI * (get(rows, 'd', row) / 2) ** 2) *
            get(rows, 'h', row)) /
            1000),
      ),
    ),
  },
];
