import { slatePieces } from '../../src/record/readyMade';
import {
  along,
  at,
  byLine,
  byRows,
  each,
  get,
  readersDoBetter,
  same,
  type Case,
  whole,
  worstOfTolerance,
} from './case';
import { cylinder100, hundredths } from './pieces';

const slates = [24, 40, 52, 70, 88].map((mass) => ({ mass, V: mass / 2.8 }));
const slate5: Pick<Case, 'investigation' | 'pieces' | 'readOn' | 'truth' | 'value'> = {
  investigation: slatePieces,
  value: 2.8,
  pieces: { 'E-03': hundredths, 'C-07': cylinder100 },
  readOn: { m: 'E-03', before: 'C-07', after: 'C-07' },
  truth: () => ({
    m: slates.map(({ mass }) => mass),
    before: same(40.3, 5),
    after: slates.map(({ V }) => 40.3 + V),
  }),
};
export const slatePiecesCases: readonly Case[] = [
  {
    ...slate5,
    name: 'Slate in pieces, slope',
    plan: 'slope',
    tolerances: along('C-07', 'after'),
    ...byLine(
      (rows) => ({
        x: each(rows, 'after', (after, row) => after - get(rows, 'before', row)),
        y: at(rows, 'm'),
      }),
      (b) => b,
      { throughOrigin: true, scatter: { of: { after: same(1, 5) }, size: 0.3 } },
    ),
    asks: 'height',
    why: worstOfTolerance,
  },
  {
    ...slate5,
    name: 'Slate, piece by piece',
    plan: 'rho',
    tolerances: [...whole('E-03', 'm'), ...whole('C-07', 'after')],
    scatters: { after: slates.map(({ V }) => V) },
    classroomScatter: 0.01,
    ...byRows((rows) =>
      each(rows, 'm', (m, row) => m / (get(rows, 'after', row) - get(rows, 'before', row))),
    ),
    why: readersDoBetter,
  },
];
