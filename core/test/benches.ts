import {
  balanceCheck,
  boltPin,
  corkWithSinker,
  deckSleeve,
  evaporatingPan,
  firstDay,
  glasswareThreeWays,
  jarInside,
  lampOil,
  markToMark,
  oneDrop,
  panBrine,
  portionsThreeVessels,
  rivetCrate,
  shackleRing,
  sheathing,
  slatePieces,
  sleeveInParts,
  tallyBoard,
  tallyToken,
  thermometerCheck,
  twoMaterialsTwoLiquids,
} from '../src/record/readyMade';
import { derived, measured, plain } from '../src/record/readyMade/plain';
import type { Investigation, LinePlan, MeanPlan, Table, ValuePlan } from '../src/record/investigation';
import type { Piece, Rows, ToleranceOn } from '../src/world';
import { mean, moved, straight, type HandWorked, type Rule } from './byRule';

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
const byRows = (
  of: (rows: Rows, rule: Rule) => number[],
): Pick<Case, 'each' | 'result' | 'running' | 'way'> => ({
  way: 'rows',
  running: false,
  each: of,
  result: (rows, rule) => mean(of(rows, rule)),
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

const slate = { L: 60.02, W: 45.03, H: 6.01 };
const token = {
  mass: same((2.8 * slate.L * slate.W * slate.H) / 1000, 4),
  L: same(slate.L, 4),
  W: same(slate.W, 4),
  H: same(slate.H, 4),
  before: same(20.3, 3),
  after: same(20.3 + (slate.L * slate.W * slate.H) / 1000, 3),
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

/** Results of one object measured again and again. */
const firstCases: readonly Case[] = [
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
    value: (Math.PI * 47.02 ** 2 * 57.6) / 4000,
    pieces: { 'V-01': { ...caliper, offset: 0.05 } },
    readOn: { d: 'V-01', h: 'V-01' },
    tolerances: whole('V-01', 'd', 'h'),
    truth: () => ({ d: same(47.02, 4), h: same(57.6, 4) }),
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

/** Four jars of each of three vessels: 20.02 mL, 19.7 mL and 20.9 mL, at 20 °C. */
const jars = { burette: 20.02, cylinder: 19.7, beaker: 20.9 };
const perJar = [jars.burette, jars.cylinder, jars.beaker].flatMap((volume) => same(volume, 4));
/** Grams that a balance shows for a millilitre at a temperature; with buoyancy, and glass of 20 °C (ISO 4787). */
const waterAt = (rows: Rows, { buoyancy }: Rule): number => {
  const t = mean(at(rows, 't'));
  const density =
    (0.99997495 * (522528.9 * (t + 69.34881) - (t - 3.983035) ** 2 * (t + 301.797))) /
    (522528.9 * (t + 69.34881));
  const air = get(rows, 'air', 0);
  return air + (buoyancy ? (density - 0.0012) / (1 - 0.0012 / 8) / (1 - 1e-5 * (t - 20)) : density);
};
/** What is not counted with it, in g/mL: the air, or what is dissolved in the water. */
const leftOut = [{ column: 'air', rows: [0], bound: ({ buoyancy }: Rule) => (buoyancy ? 2e-5 : 1.1e-3) }];
/** At 20 °C, as the balance shows it. */
const shownPerMl = (0.9982067 - 0.0012) / (1 - 0.0012 / 8);
const thermometer = piece('marks', 0.1, 0.25, 0.5);
const caliper50 = piece('lines', 0.02, 0.02, 0.05);
const jarCase = (row: keyof typeof jars, from: number, scatter: number): Case => ({
  name: `Glassware three ways, ${row}`,
  investigation: glasswareThreeWays,
  plan: `V.${row}`,
  value: jars[row],
  pieces: { 'E-03': hundredths, 'T-02': thermometer },
  readOn: { t: 'T-02', dry: 'E-03', full: 'E-03' },
  tolerances: [...whole('E-03', 'full'), ...whole('T-02', 't')],
  truth: () => ({
    t: same(20, 2),
    air: [0],
    dry: rising(14.33, 0.11, 12),
    full: perJar.map((volume, at_) => 14.33 + 0.11 * at_ + volume * shownPerMl),
  }),
  scatters: { full: same(1, 12) },
  classroomScatter: scatter,
  meansOf: ['t'],
  given: leftOut,
  ...byRows((rows, rule) =>
    each(rows, 'full', (full, at_) => (full - get(rows, 'dry', at_)) / waterAt(rows, rule)).slice(
      from,
      from + 4,
    ),
  ),
});
const liquids = [0.9982, 1.197, 0.9982, 1.197];
const hangingRows = ['pinWater', 'pinBrine', 'slateWater', 'slateBrine'];
const hangingRho = [8.8, 8.8, 2.8, 2.8];
const hanging = (nth: number): Case => {
  const of = (row: number) => Math.floor(row / 3);
  const m = Array.from({ length: 12 }, (_, row) => (of(row) < 2 ? 88 : 42));
  const bound = [0.0005, 0.003, 0.0005, 0.003];
  return {
    name: `Hanging in a liquid, ${hangingRows[nth] ?? ''}`,
    investigation: twoMaterialsTwoLiquids,
    plan: `rho.${hangingRows[nth] ?? ''}`,
    value: hangingRho[nth] ?? NaN,
    pieces: { 'E-03': hundredths },
    readOn: { m: 'E-03', hung: 'E-03' },
    tolerances: whole('E-03', 'hung'),
    // The mass stands by itself too, where its tolerance acts by itself.
    given: [
      { column: 'liquid', rows: [3 * nth, 3 * nth + 1, 3 * nth + 2], bound: bound[nth] ?? NaN },
      { column: 'alone', rows: [3 * nth, 3 * nth + 1, 3 * nth + 2], bound: 0.01 },
    ],
    truth: (random) => {
      const off = bound.map((own) => random.between(-own, own));
      return {
        m,
        hung: m.map(
          (mass, row) =>
            mass * (1 - ((liquids[of(row)] ?? NaN) + (off[of(row)] ?? 0)) / (hangingRho[of(row)] ?? NaN)),
        ),
        liquid: m.map((_, row) => liquids[of(row)] ?? NaN),
        alone: same(0, 12),
      };
    },
    scatters: { hung: same(1, 12) },
    classroomScatter: 0.02,
    ...byRows((rows) =>
      each(
        rows,
        'm',
        (mass, row) =>
          (get(rows, 'liquid', row) * (mass + get(rows, 'alone', row))) / (mass - get(rows, 'hung', row)),
      ).slice(3 * nth, 3 * nth + 3),
    ),
  };
};

/** Portions of three vessels into a flask: five weighings of each. */
const tens = { beaker: 10.6, cylinder: 9.93, pipette: 10.01 };
const portionCase = (row: keyof typeof tens, nth: number, scatter: number): Case => ({
  name: `Portions into one flask, ${row}`,
  investigation: portionsThreeVessels,
  plan: `V.${row}`,
  value: tens[row],
  pieces: { 'E-03': hundredths, 'T-02': thermometer },
  readOn: { t: 'T-02', M: 'E-03' },
  tolerances: [...along('E-03', 'M'), ...whole('T-02', 't')],
  truth: () => ({
    t: same(20, 2),
    air: [0],
    M: Object.values(tens).flatMap((volume) => rising(85.2, volume * shownPerMl, 5)),
  }),
  scatters: { M: same(1, 15) },
  classroomScatter: scatter,
  meansOf: ['t'],
  given: leftOut,
  ...byRows((rows, rule) =>
    each(rows, 'M', (mass, at_) => (mass - get(rows, 'M', at_ - 1)) / waterAt(rows, rule)).slice(
      5 * nth + 1,
      5 * nth + 5,
    ),
  ),
  way: 'receiver',
  running: true,
  why: neighbours,
});

/** A thermometer that shows 0.3 °C too much in ice and half a percent too little for each degree. */
const shownBy = (temperature: number): number => 0.3 + 0.995 * temperature;
const fixedPoints: Pick<Case, 'investigation' | 'pieces' | 'readOn' | 'truth' | 'given'> = {
  investigation: thermometerCheck,
  pieces: { 'T-01': piece('marks', 0.1, 0.5, 1), 'T-02': thermometer },
  readOn: { shown: 'T-01' },
  given: [
    { column: 'true', rows: [0, 1, 2], bound: 0.05 },
    { column: 'true', rows: [3, 4, 5], bound: 0.1 },
  ],
  truth: (random) => {
    const [ice, boiling] = [random.between(-0.05, 0.05), 99.6 + random.between(-0.1, 0.1)];
    return {
      true: [0, 0, 0, 99.6, 99.6, 99.6],
      shown: [ice, ice, ice, boiling, boiling, boiling].map(shownBy),
    };
  },
};
const offAt = (row: string, from: number, value: number): Case => ({
  ...fixedPoints,
  name: `Thermometer, ${row}`,
  plan: `off.${row}`,
  value,
  given: (fixedPoints.given ?? []).slice(from / 3, from / 3 + 1),
  tolerances: whole('T-01', 'shown'),
  // A fresh bath each time is not quite as warm.
  scatters: { shown: same(1, 6) },
  classroomScatter: 0.2,
  ...byRows((rows) =>
    each(rows, 'shown', (shown, at_) => shown - get(rows, 'true', at_)).slice(from, from + 3),
  ),
  // What is off is held against the true temperature: the truth moves with it.
  why: readersDoBetter,
});

const references = [5, 10, 20, 50, 100].flatMap((mass) => same(mass, 3));
const balance: Pick<Case, 'investigation' | 'pieces' | 'readOn' | 'truth'> = {
  investigation: balanceCheck,
  pieces: { 'E-01': tenths },
  readOn: { shown: 'E-01' },
  truth: (random) => {
    const off = [0, 1, 2, 3, 4].map(() => random.between(-0.005, 0.005));
    return {
      mass: references,
      shown: references.map((mass, at_) => 0.23 + 1.002 * (mass + (off[Math.floor(at_ / 3)] ?? 0))),
    };
  },
};
const referenceAt = (nth: number) => ({
  column: 'mass',
  rows: [3 * nth, 3 * nth + 1, 3 * nth + 2],
  bound: 0.005,
});
const offOf = (nth: number): Case => {
  const mass = references[3 * nth] ?? NaN;
  return {
    ...balance,
    name: `Balance, off at ${mass} g`,
    plan: `off.m${mass}`,
    value: 0.23 + 0.002 * mass,
    given: [referenceAt(nth)],
    tolerances: whole('E-01', 'shown'),
    scatters: { shown: same(1, 15) },
    classroomScatter: 0.03,
    ...byRows((rows) =>
      each(rows, 'shown', (shown, at_) => shown - get(rows, 'mass', at_)).slice(3 * nth, 3 * nth + 3),
    ),
  };
};

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

const board = { dm: 104.2, half: 104.2, mm: 104.2, caliper: 104.2, thick: 6.43, fine: 6.43 };
const boardPieces = {
  'S-03': piece('marks', 10, 50, 0.5),
  'S-02': piece('marks', 1, 2.5, 0.5),
  'R-01': ruler,
  'V-01': caliper,
  'M-01': piece('lines', 0.01, 0.01, 0.004),
};
const boardOn = { dm: 'S-03', half: 'S-02', mm: 'R-01', caliper: 'V-01', thick: 'V-01', fine: 'M-01' };
const look = (column: keyof typeof board, scatter: number): Case => ({
  name: `Tally board, ${column}`,
  investigation: tallyBoard,
  plan: column,
  value: board[column],
  pieces: boardPieces,
  readOn: { [column]: boardOn[column] },
  tolerances: whole(boardOn[column], column),
  truth: () => ({ [column]: same(board[column], 5) }),
  scatters: { [column]: same(1, 5) },
  classroomScatter: scatter,
  ...byRows((rows) => [...at(rows, column)]),
  why: readersDoBetter,
});

const kelvin = (row: string, nth: number, value: number): Case => ({
  name: `First day, ${row}`,
  investigation: firstDay,
  plan: `T.${row}`,
  value,
  pieces: { 'T-01': piece('marks', 0.1, 0.5, 1) },
  readOn: { t: 'T-01' },
  tolerances: whole('T-01', 't'),
  truth: () => ({ t: [21.2, 0.1, 99.4] }),
  scatters: {},
  classroomScatter: 0,
  ...byRows((rows) => [get(rows, 't', nth) + 273.15]),
  why: readersDoBetter,
});

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

/** Results of rows with names, and of what is given. */
const namedCases: readonly Case[] = [
  jarCase('burette', 0, 0.03),
  jarCase('cylinder', 4, 0.2),
  jarCase('beaker', 8, 0.6),
  portionCase('beaker', 0, 0.5),
  portionCase('cylinder', 1, 0.08),
  portionCase('pipette', 2, 0.03),
  {
    name: 'Ten millilitres from mark to mark',
    investigation: markToMark,
    plan: 'ten',
    value: 9.9,
    pieces: { 'E-03': hundredths },
    readOn: { M: 'E-03' },
    tolerances: along('E-03', 'M'),
    truth: () => ({ M: rising(80, 9.9 * 0.9982, 5) }),
    scatters: { M: same(1, 5) },
    classroomScatter: 0.1,
    ...byRows((rows) => each(rows, 'M', (mass, at_) => (mass - get(rows, 'M', at_ - 1)) / 0.9982).slice(1)),
    way: 'marks',
  },
  {
    name: 'Lost from vessel to vessel',
    investigation: markToMark,
    plan: 'lost',
    value: 0.6,
    pieces: { 'C-08': cylinder100, 'K-02': piece('marks', 1, 5, 5) },
    readOn: { first: 'C-08', beaker: 'K-02', back: 'C-08' },
    tolerances: whole('C-08', 'back'),
    truth: () => ({ first: same(40.3, 3), beaker: same(40, 3), back: same(39.7, 3) }),
    scatters: { back: same(1, 3) },
    classroomScatter: 0.2,
    ...byRows((rows) => each(rows, 'first', (first, at_) => first - get(rows, 'back', at_))),
    why: readersDoBetter,
  },
  offAt('ice', 0, 0.3),
  offAt('boiling', 3, shownBy(99.6) - 99.6),
  {
    ...fixedPoints,
    name: 'Thermometer, one degree',
    plan: 'degree',
    value: 1 / 0.995,
    tolerances: along('T-01', 'shown'),
    ...byLine(
      (rows) => ({ x: at(rows, 'shown'), y: at(rows, 'true') }),
      (b) => b,
    ),
    why: readersDoBetter,
  },
  {
    ...fixedPoints,
    name: 'Thermometers side by side',
    plan: 'apart',
    value: 0.4,
    given: [],
    readOn: { here: 'T-01', other: 'T-02' },
    tolerances: [...whole('T-01', 'here'), ...whole('T-02', 'other')],
    truth: () => ({ here: same(21.6, 2), other: same(21.2, 2) }),
    scatters: { here: same(1, 2) },
    classroomScatter: 0.1,
    ...byRows((rows) => each(rows, 'here', (here, at_) => here - get(rows, 'other', at_))),
    why: readersDoBetter,
  },
  {
    ...balance,
    name: 'Balance, shown for each gram',
    plan: 'scale',
    value: 1.002,
    given: [0, 1, 2, 3, 4].map(referenceAt),
    tolerances: along('E-01', 'shown'),
    ...byLine(
      (rows) => ({ x: at(rows, 'mass'), y: at(rows, 'shown') }),
      (b) => b,
    ),
  },
  ...[0, 1, 2, 3, 4].map(offOf),
  ...[0, 1, 2, 3].map(hanging),
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
  look('dm', 3),
  look('half', 0.5),
  look('mm', 0.2),
  look('caliper', 0.05),
  look('thick', 0.03),
  look('fine', 0.01),
  {
    name: 'Pulley bush, density',
    investigation: sleeveInParts,
    plan: 'rho',
    value: 8.8,
    pieces: { 'E-01': tenths, 'V-02': caliper50 },
    readOn: { mass: 'E-01', D: 'V-02', d: 'V-02', h: 'V-02' },
    tolerances: [...whole('E-01', 'mass'), ...whole('V-02', 'D', 'd', 'h')],
    truth: () => ({
      mass: same((8.8 * Math.PI * (44 ** 2 - 26 ** 2) * 38) / 4000, 4),
      D: same(44, 4),
      d: same(26, 4),
      h: same(38, 4),
    }),
    scatters: { d: same(1, 4) },
    classroomScatter: 0.05,
    ...byRows((rows) =>
      each(
        rows,
        'mass',
        (mass, row) =>
          (4000 * mass) /
          (Math.PI * (get(rows, 'D', row) ** 2 - get(rows, 'd', row) ** 2) * get(rows, 'h', row)),
      ),
    ),
  },
  {
    name: 'First day, area of the chart',
    investigation: firstDay,
    plan: 'area',
    value: 21.4 * 14.7,
    pieces: { 'R-01': ruler },
    readOn: { L: 'R-01', W: 'R-01' },
    tolerances: whole('R-01', 'L', 'W'),
    truth: () => ({ L: same(214, 2), W: same(147, 2) }),
    scatters: { L: same(1, 2) },
    classroomScatter: 0.4,
    ...byRows((rows) => each(rows, 'L', (L, row) => (L * get(rows, 'W', row)) / 100)),
    why: readersDoBetter,
  },
  kelvin('air', 0, 294.35),
  kelvin('ice', 1, 273.25),
  kelvin('boiling', 2, 372.55),
  {
    name: 'First day, one drop',
    investigation: firstDay,
    plan: 'drop',
    value: 0.05,
    pieces: { 'C-01': cylinder10, 'K-01': piece('marks', 1, 5, 2.5), 'C-04': cylinder50 },
    readOn: { from: 'C-01', to: 'C-01', beaker: 'K-01', cylinder: 'C-04' },
    tolerances: whole('C-01', 'to'),
    truth: () => ({
      from: same(3.03, 2),
      to: same(5.03, 2),
      n: same(40, 2),
      beaker: [31, 28],
      cylinder: [30.4, 28.2],
    }),
    scatters: { to: same(1, 2) },
    classroomScatter: 0.05,
    ...byRows((rows) =>
      each(rows, 'from', (from, row) => (get(rows, 'to', row) - from) / get(rows, 'n', row)),
    ),
    why: readersDoBetter,
  },
];

/** Every result that comes with the app. */
export const readyMadeCases: readonly Case[] = [...firstCases, ...namedCases];
