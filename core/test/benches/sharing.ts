import {
  type Investigation,
  type LinePlan,
  type MeanPlan,
  type Table,
  type ValuePlan,
} from '../../src/record/investigation';
import { derived, measured, plain } from '../../src/record/readyMade/plain';
import { type Rows } from '../../src/world';
import { mean, moved } from '../byRule';
import {
  against,
  along,
  at,
  byLine,
  byRows,
  each,
  get,
  neighbours,
  readersDoBetter,
  rising,
  same,
  type Case,
  whole,
} from './case';
import { bySeconds, cylinder100, hundredths } from './pieces';

const head = (
  title: string,
  kit: Investigation['kit'],
  tables: readonly Table[],
  plan: Investigation['results'][number],
): Pick<Case, 'investigation' | 'plan' | 'name'> => ({
  name: title,
  plan: plan.key,
  investigation: { ...plain, title, aim: '', object: '', kit, steps: [], tables, results: [plan] },
});
const meanOfColumn = (column: string, unit: string): MeanPlan => ({
  kind: 'mean',
  key: 'result',
  name: 'Result',
  symbol: 'r',
  unit,
  column,
  accepted: null,
});
const table = (trials: number, columns: Table['columns'], rest: Partial<Table> = {}): Table => ({
  key: 'table',
  title: 'Readings',
  trials,
  columns,
  ...rest,
});
const slope = (x: string, y: string, unit: string): LinePlan => ({
  kind: 'line',
  key: 'result',
  name: 'Slope',
  symbol: 'b',
  unit,
  x,
  y,
  throughOrigin: false,
  gives: 'slope',
  accepted: null,
});
const overMeans: ValuePlan = {
  kind: 'value',
  key: 'result',
  name: 'Density of one kind',
  symbol: 'ρ',
  unit: 'g/cm³',
  formula: 'M / V',
  accepted: null,
};
export const M = measured('M', 'Mass', 'M', 'g', 'E-03');
const portion = derived('m', 'Portion', 'm', 'g', 'M - M_before', { rises: true });
const [E03, C07] = [
  { tag: 'E-03', kind: 'electronic-balance', model: 'electronic-0_01' },
  { tag: 'C-07', kind: 'graduated-cylinder', model: 'cylinder-100-1' },
] as const;
const portions = (rows: Rows) => each(rows, 'M', (mass, row) => mass - get(rows, 'M', row - 1)).slice(1);
const uncertainX = {
  V: [21.3, 36.2, 48.9, 61.7, 77.4, 92.8],
  M: [21.3, 36.2, 48.9, 61.7, 77.4, 92.8].map((V) => 30.5 + 1.1 * V),
};
const pieces = { M: rising(24.3, 8, 6).map((V) => 2.7 * V), V: rising(24.3, 8, 6) };
const planned = { M: [20.2, 40.1, 59.7, 80.3].map((V) => 1.3 * V), V: [20.2, 40.1, 59.7, 80.3] };
const onBoth = { pieces: { 'E-03': hundredths, 'C-07': cylinder100 }, readOn: { M: 'E-03', V: 'C-07' } };
/** Kinds of sharing that no ready-made investigation has by itself. */
export const ownCases: readonly Case[] = [
  {
    ...head(
      'Mark to mark in one vessel',
      [E03],
      [table(6, [M, portion], { replicates: 'mark to mark' })],
      meanOfColumn('m', 'g'),
    ),
    value: 10,
    pieces: { 'E-03': hundredths },
    readOn: { M: 'E-03' },
    tolerances: along('E-03', 'M'),
    truth: () => ({ M: rising(50, 10, 6) }),
    scatters: { M: same(1, 6) },
    classroomScatter: 0.05,
    ...byRows(portions),
    way: 'marks',
  },
  {
    ...head('Portions into one receiver', [E03], [table(6, [M, portion])], meanOfColumn('m', 'g')),
    value: 10,
    pieces: { 'E-03': hundredths },
    readOn: { M: 'E-03' },
    tolerances: along('E-03', 'M'),
    truth: () => ({ M: rising(50, 10, 6) }),
    scatters: { M: same(1, 6) },
    classroomScatter: 0.03,
    ...byRows(portions),
    way: 'receiver',
    running: true,
    why: neighbours,
  },
  {
    ...head(
      'A rate by a clock with seconds',
      [E03],
      [
        table(6, [
          { kind: 'clock', key: 't', heading: 'Clock time', symbol: 't' },
          { ...M, differs: true } as typeof M,
        ]),
      ],
      slope('t', 'M', 'g/min'),
    ),
    value: -0.9,
    pieces: { clock: bySeconds, 'E-03': hundredths },
    readOn: { t: 'clock', M: 'E-03' },
    tolerances: along('E-03', 'M'),
    truth: (random) => {
      const t = [0, ...rising(1, 1, 5).map((time) => time + random.between(-0.2, 0.2))];
      return { t, M: t.map((time) => 312.4 - 0.9 * time) };
    },
    ...byLine(against('M'), (b) => b),
  },
  {
    ...head(
      'A slope whose x is uncertain',
      [E03, C07],
      [
        table(6, [
          measured('V', 'Volume', 'V', 'mL', 'C-07', { differs: true }),
          measured('M', 'Mass', 'M', 'g', 'E-03', { differs: true }),
        ]),
      ],
      slope('V', 'M', 'g/mL'),
    ),
    value: 1.1,
    ...onBoth,
    tolerances: [...along('C-07', 'V'), ...along('E-03', 'M')],
    truth: () => uncertainX,
    ...byLine(
      (rows) => ({ x: at(rows, 'V'), y: at(rows, 'M') }),
      (b) => b,
    ),
    why: readersDoBetter,
  },
  {
    ...head(
      'Amounts that differ by plan',
      [E03, C07],
      [
        table(4, [
          measured('M', 'Mass', 'M', 'g', 'E-03', { differs: true }),
          measured('V', 'Volume', 'V', 'mL', 'C-07', { differs: true }),
          derived('rho', 'Density', 'ρ', 'g/cm³', 'M / V'),
        ]),
      ],
      meanOfColumn('rho', 'g/cm³'),
    ),
    value: 1.3,
    ...onBoth,
    tolerances: [...whole('E-03', 'M'), ...whole('C-07', 'V')],
    truth: () => planned,
    scatters: { M: planned.V },
    classroomScatter: 0.005,
    ...byRows((rows) => each(rows, 'M', (mass, row) => mass / get(rows, 'V', row))),
    why: readersDoBetter,
  },
  {
    ...head(
      'Pieces whose mass and volume vary together',
      [E03, C07],
      [table(6, [M, measured('V', 'Volume', 'V', 'mL', 'C-07')])],
      overMeans,
    ),
    value: 2.7,
    ...onBoth,
    tolerances: [...whole('E-03', 'M'), ...whole('C-07', 'V')],
    truth: () => pieces,
    scatters: { M: same(1, 6) },
    classroomScatter: 0.3,
    way: 'means',
    running: false,
    // M − ρ·V about its mean, carried by the mass: what varies together cancels (JCGM 100:2008, H.2).
    each: (rows) => {
      const density = mean(at(rows, 'M')) / mean(at(rows, 'V'));
      return each(rows, 'M', (own, row) => own - density * get(rows, 'V', row));
    },
    result: (rows) => (mean(at(rows, 'M')) + moved(rows)) / mean(at(rows, 'V')),
    why: readersDoBetter,
  },
];
