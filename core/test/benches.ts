import {
  boltPin,
  deckSleeve,
  evaporatingPan,
  jarInside,
  lampOil,
  oneDrop,
  panBrine,
  rivetCrate,
  shackleRing,
  tallyToken,
} from '../src/record/readyMade';
import { derived, measured, plain } from '../src/record/readyMade/plain';
import type { Investigation, LinePlan, MeanPlan, Table, ValuePlan } from '../src/record/investigation';
import type { Piece, Rows, ToleranceOn } from '../src/world';
import { mean, moved, straight, type HandWorked } from './byRule';

/** A result of an investigation, with what is true and how it is worked by hand. */
export interface Case extends HandWorked {
  readonly name: string;
  readonly investigation: Investigation;
  readonly plan: string;
  readonly value: number;
  /** Standard deviation of what really scatters, in a classroom; in units of its moves. */
  readonly classroomScatter: number;
  /** What is asked of a line: its slope, if nothing is said. */
  readonly asks?: 'height';
  /** Why its ± is more than half as large again as its errors, where it is. */
  readonly why?: string;
}

// What the makers promise and how far each is read, from the tables of the apparatus; steps as a class of metrology reads.
const piece = (
  shows: Piece['shows'],
  step: number,
  halfWidth: number,
  tolerance: number,
  rest = {},
): Piece => ({
  shows,
  step,
  halfWidth,
  tolerance,
  ...rest,
});
const tenths = piece('digits', 0.1, 0.05, 0.1);
const hundredths = piece('digits', 0.01, 0.005, 0.01);
const threeBeam = piece('marks', 0.1, 0.05, 0.1);
const cylinder50 = piece('marks', 0.1, 0.5, 0.5);
const cylinder100 = piece('marks', 0.1, 0.5, 0.5);
const cylinder10 = piece('marks', 0.01, 0.05, 0.1);
const burette = piece('marks', 0.01, 0.05, 0.05);
const caliper = piece('lines', 0.05, 0.05, 0.05);
const ruler = piece('marks', 0.1, 0.5, 0.5);
const byMinutes = piece('clock', 1, 0.5, 0);
const bySeconds = piece('clock', 1 / 60, 0.5 / 60, 0);

const readersDoBetter = 'half a division is allowed for each reading, and readers do better';
const neighbours =
  'neighbouring portions share a reading: what one gains the next one lacks, and their spread shows it twice';
const worstOfTolerance =
  'the worst that a tolerance could do over the whole scale is allowed, and half a division for each reading';

const at = (rows: Rows, column: string): readonly number[] => rows[column] ?? [];
const each = (rows: Rows, column: string, of: (value: number, row: number) => number) =>
  at(rows, column).map(of);
const same = (value: number, n: number): number[] => Array.from({ length: n }, () => value);
const rising = (from: number, by: number, n: number): number[] =>
  Array.from({ length: n }, (_, row) => from + by * row);
const get = (rows: Rows, column: string, row: number): number => at(rows, column)[row] ?? NaN;
const whole = (tag: string, ...columns: string[]): ToleranceOn[] =>
  columns.map((column) => ({ piece: tag, column, acts: 'whole' }));
const along = (tag: string, ...columns: string[]): ToleranceOn[] =>
  columns.map((column) => ({ piece: tag, column, acts: 'along' }));

/** The mean of what each row gives. */
const byRows = (of: (rows: Rows) => number[]): Pick<Case, 'each' | 'result' | 'running' | 'way'> => ({
  way: 'rows',
  running: false,
  each: of,
  result: (rows) => mean(of(rows)),
});

/** What a line through points gives. */
const byLine = (
  points: NonNullable<Case['points']>,
  gives: (slope: number, height: number) => number,
  { throughOrigin = false, scatter = null as { readonly of: Rows; readonly size: number } | null } = {},
): Pick<
  Case,
  'points' | 'gives' | 'throughOrigin' | 'result' | 'running' | 'way' | 'scatters' | 'classroomScatter'
> => ({
  way: 'line',
  running: false,
  scatters: scatter?.of ?? {},
  classroomScatter: scatter?.size ?? 0,
  points,
  throughOrigin,
  gives: (of) => gives(...straight(of, throughOrigin)),
  result: (rows) => gives(...straight(points(rows), throughOrigin)),
});

const displaced = (mass: string) => (rows: Rows) =>
  each(rows, 'after', (after, row) => get(rows, mass, row) / (after - get(rows, 'before', row)));

const slate = { L: 60, W: 45, H: 6 };
const token = {
  mass: same(45.36, 4),
  L: same(slate.L, 4),
  W: same(slate.W, 4),
  H: same(slate.H, 4),
  before: same(20.3, 3),
  after: same(36.5, 3),
};
const octagon = 2 * (Math.SQRT2 - 1);

const oil = {
  empty: same(88.42, 3),
  V: [20.2, 39.7, 60.1, 79.8, 98.9],
  M: [20.2, 39.7, 60.1, 79.8, 98.9].map((V) => 88.42 + 0.8 * V),
};
const oilRows = (rows: Rows) =>
  each(rows, 'M', (M, row) => (M - mean(at(rows, 'empty'))) / get(rows, 'V', row));

/** The pan dries by 0.2 mm and 0.9 g a minute, and is looked at when somebody comes by. */
const pan: Pick<Case, 'truth'> = {
  truth: (random) => {
    const t = [0, ...rising(10, 10, 5).map((time) => time + random.between(-1, 1))];
    return { t, depth: t.map((time) => 24.3 - 0.2 * time), mass: t.map((time) => 612.4 - 0.9 * time) };
  },
};
/** Its surface trembles. */
const surface = { of: { depth: same(1, 6) }, size: 0.3 };
const sinceFirst = (rows: Rows) => at(rows, 't').map((time) => time - get(rows, 't', 0));
const against = (column: string) => (rows: Rows) => ({ x: sinceFirst(rows), y: at(rows, column) });

const rivets = {
  n: [10, 20, 30, 40, 50],
  tray: same(85.2, 5),
  M: [10, 20, 30, 40, 50].map((n) => 85.2 + 2.25 * n),
};
const eachRivet = (rows: Rows) =>
  each(rows, 'M', (M, row) => (M - get(rows, 'tray', row)) / get(rows, 'n', row));
/** The rivets of a tray are as heavy as they are: what scatters is the mass of one, whole trays of them. */
const trays = { M: rivets.n };

const onBalance = { 'E-01': tenths };
const rivetPieces = { pieces: onBalance, readOn: { tray: 'E-01', M: 'E-01' }, truth: () => rivets };

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
const M = measured('M', 'Mass', 'M', 'g', 'E-03');
const portion = derived('m', 'Portion', 'm', 'g', 'M - M_before', { rises: true });
const [E03, C07] = [
  { tag: 'E-03', kind: 'electronic-balance', model: 'electronic-0_01' },
  { tag: 'C-07', kind: 'graduated-cylinder', model: 'cylinder-100-1' },
] as const;
const portions = (rows: Rows) => each(rows, 'M', (mass, row) => mass - get(rows, 'M', row - 1)).slice(1);

/** Every result that comes with the app. */
export const readyMadeCases: readonly Case[] = [
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
  {
    name: 'Tally token, by its dimensions',
    investigation: tallyToken,
    plan: 'rho',
    value: 2.8,
    pieces: { 'E-03': hundredths, 'V-01': { ...caliper, offset: 0.05 }, 'C-04': cylinder50 },
    readOn: { mass: 'E-03', L: 'V-01', W: 'V-01', H: 'V-01', before: 'C-04', after: 'C-04' },
    tolerances: [...whole('E-03', 'mass'), ...whole('V-01', 'L', 'W', 'H')],
    truth: () => token,
    scatters: { H: same(1, 4) },
    classroomScatter: 0.04,
    ...byRows((rows) =>
      each(
        rows,
        'L',
        (L, row) => get(rows, 'mass', row) / ((L * get(rows, 'W', row) * get(rows, 'H', row)) / 1000),
      ),
    ),
  },
  {
    name: 'Tally token, by displacement',
    investigation: tallyToken,
    plan: 'rhoWater',
    value: 2.8,
    pieces: { 'E-03': hundredths, 'V-01': caliper, 'C-04': cylinder50 },
    readOn: { mass: 'E-03', before: 'C-04', after: 'C-04', L: 'V-01', W: 'V-01', H: 'V-01' },
    tolerances: [...whole('E-03', 'mass'), ...whole('C-04', 'after')],
    truth: () => token,
    scatters: { after: same(1, 3) },
    classroomScatter: 0.2,
    meansOf: ['mass'],
    ...byRows((rows) =>
      each(rows, 'after', (after, row) => mean(at(rows, 'mass')) / (after - get(rows, 'before', row))),
    ),
    why: readersDoBetter,
  },
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
  {
    name: 'Lamp oil, slope',
    investigation: lampOil,
    plan: 'slope',
    value: 0.8,
    pieces: { 'E-03': hundredths, 'C-07': cylinder100 },
    readOn: { V: 'C-07', M: 'E-03' },
    tolerances: [...along('C-07', 'V'), ...along('E-03', 'M')],
    truth: () => oil,
    ...byLine(
      (rows) => ({ x: at(rows, 'V'), y: at(rows, 'M') }),
      (b) => b,
    ),
    why: readersDoBetter,
  },
  {
    name: 'Lamp oil, trial by trial',
    investigation: lampOil,
    plan: 'rho',
    value: 0.8,
    pieces: { 'E-03': hundredths, 'C-07': cylinder100 },
    readOn: { empty: 'E-03', V: 'C-07', M: 'E-03' },
    tolerances: [...whole('E-03', 'M'), ...whole('C-07', 'V')],
    truth: () => oil,
    scatters: { M: oil.V },
    classroomScatter: 0.004,
    meansOf: ['empty'],
    ...byRows(oilRows),
    why: readersDoBetter,
  },
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
  {
    name: 'Oil jar, by its dimensions',
    investigation: jarInside,
    plan: 'inner',
    value: (Math.PI * 47 ** 2 * 57.6) / 4000,
    pieces: { 'V-01': { ...caliper, offset: 0.05 } },
    readOn: { d: 'V-01', h: 'V-01' },
    tolerances: whole('V-01', 'd', 'h'),
    truth: () => ({ d: same(47, 4), h: same(57.6, 4) }),
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
  {
    name: 'Evaporating pan, when it stands at 12 mm',
    investigation: evaporatingPan,
    plan: 'when',
    value: (24.3 - 12) / 0.2,
    pieces: { clock: byMinutes, 'R-01': ruler },
    readOn: { t: 'clock', depth: 'R-01' },
    tolerances: along('R-01', 'depth'),
    ...pan,
    ...byLine(against('depth'), (b, a) => (12 - a) / b, { scatter: surface }),
    asks: 'height',
    why: worstOfTolerance,
  },
  {
    name: 'Evaporating pan, sinking',
    investigation: evaporatingPan,
    plan: 'sinking',
    value: -0.2,
    pieces: { clock: byMinutes, 'R-01': ruler },
    readOn: { t: 'clock', depth: 'R-01' },
    tolerances: along('R-01', 'depth'),
    ...pan,
    ...byLine(against('depth'), (b) => b, { scatter: surface }),
    why: readersDoBetter,
  },
  {
    name: 'Evaporating pan, drying',
    investigation: evaporatingPan,
    plan: 'drying',
    value: -0.9,
    pieces: { clock: byMinutes, 'E-01': tenths },
    readOn: { t: 'clock', mass: 'E-01' },
    tolerances: along('E-01', 'mass'),
    ...pan,
    ...byLine(against('mass'), (b) => b),
  },
  {
    ...rivetPieces,
    name: 'Rivets, a crate by the line',
    investigation: rivetCrate,
    plan: 'crate',
    value: 270,
    tolerances: along('E-01', 'M'),
    ...byLine(
      (rows) => ({ x: at(rows, 'n'), y: each(rows, 'M', (mass, row) => mass - get(rows, 'tray', row)) }),
      (b) => 120 * b,
      { throughOrigin: true },
    ),
    asks: 'height',
    why: worstOfTolerance,
  },
  {
    ...rivetPieces,
    name: 'Rivets, 120 times one',
    investigation: rivetCrate,
    plan: 'times',
    value: 270,
    tolerances: whole('E-01', 'M'),
    scatters: trays,
    classroomScatter: 0.01,
    ...byRows(eachRivet),
    way: 'means',
    each: (rows) => eachRivet(rows).map((one) => 120 * one),
    result: (rows) => 120 * mean(eachRivet(rows)) + moved(rows),
  },
  {
    ...rivetPieces,
    name: 'Rivets, one',
    investigation: rivetCrate,
    plan: 'each',
    value: 2.25,
    tolerances: whole('E-01', 'M'),
    scatters: trays,
    classroomScatter: 0.01,
    ...byRows(eachRivet),
  },
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
