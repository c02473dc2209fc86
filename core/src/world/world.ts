import type { Random } from '../chance/random';

/** Numbers of a logbook, as they are or as they were read: for each column its rows in order. */
export type Rows = Readonly<Record<string, readonly number[]>>;

/** One piece that is read, and how far it may err, each a bound in its unit. */
export interface Piece {
  /** Marks are estimated between; lines coincide or do not; a display and a clock round by themselves. */
  readonly shows: 'marks' | 'lines' | 'digits' | 'clock';
  /** To what it is read in the class. */
  readonly step: number;
  /** Half-width of a reading, as it is budgeted. */
  readonly halfWidth: number;
  readonly offset?: number;
  /** A fraction. */
  readonly scale?: number;
  readonly tolerance: number;
}

/** How the tolerance of a piece acts on what is read on it. */
export interface ToleranceOn {
  readonly piece: string;
  readonly column: string;
  /** The whole of it in every row, or growing with the reading over the stretch that is used. */
  readonly acts: 'whole' | 'along';
}

/** Something true that is measured, and with what. */
export interface Bench {
  readonly pieces: Readonly<Record<string, Piece>>;
  /** On which piece each column is read; a column without one is exact. */
  readonly readOn: Readonly<Record<string, string>>;
  readonly tolerances: readonly ToleranceOn[];
  /** What is there to be read, before anything scatters. */
  truth(random: Random): Rows;
  /** What really scatters: by how much each column moves in each row where the draw of that row is one. */
  readonly scatters: Rows;
  /** True where what moved stays moved in the rows below: portions in one vessel. */
  readonly running: boolean;
}

/** How readings arise. */
export interface World {
  /** The error of a reader that stays the same: once for each column, or for each piece. */
  readonly habitOf: 'column' | 'piece';
  habit(piece: Piece, random: Random): number;
  /** The error of one reading. */
  each(piece: Piece, random: Random): number;
  /** What is written of it. */
  written(piece: Piece, value: number): number;
}

const within = (bound: number, random: Random): number => random.between(-bound, bound);
const toStep = (step: number, value: number): number => Math.round(value / step) * step;
const byClock = ({ step }: Piece, value: number): number => Math.floor(value / step) * step;

/** Everything exactly as it is budgeted: each column is read with one habit, evenly spread, and nothing is rounded. */
export const matched: World = {
  habitOf: 'column',
  habit: (piece, random) => (piece.shows === 'clock' ? 0 : within(piece.halfWidth, random)),
  each: () => 0,
  written: (piece, value) => (piece.shows === 'clock' ? byClock(piece, value) : value),
};

/** The same, but that each reading errs by itself. */
export const matchedReadings: World = { ...matched, habit: () => 0, each: matched.habit };

/** As in a classroom: a reader has a habit with each piece, every reading its own error, and all is written to the step. */
export const classroom: World = {
  habitOf: 'piece',
  habit: ({ shows, halfWidth }, random) => (shows === 'marks' ? within(0.45 * halfWidth, random) : 0),
  each: ({ shows, halfWidth, step }, random) =>
    shows === 'marks' ? within(0.45 * halfWidth, random) : shows === 'lines' ? within(step / 2, random) : 0,
  written: (piece, value) => (piece.shows === 'clock' ? byClock(piece, value) : toStep(piece.step, value)),
};

/** One logbook of a bench. @param scatter standard deviation of what really scatters. */
export function observe(bench: Bench, world: World, scatter: number, random: Random): Rows {
  const truth = scattered(bench, scatter, random);
  const pieces = mapped(bench.pieces, (piece) => ({
    offset: within(piece.offset ?? 0, random),
    scale: within(piece.scale ?? 0, random),
    habit: world.habit(piece, random),
    phase: random.between(0, piece.step),
  }));
  const tolerances = bench.tolerances.map((on) => ({
    ...on,
    size: within(bench.pieces[on.piece]?.tolerance ?? 0, random),
  }));
  return mapped(truth, (values, column) => {
    const tag = bench.readOn[column] ?? '';
    const [piece, errs] = [bench.pieces[tag], pieces[tag]];
    if (!piece || !errs) return values;
    const habit = world.habitOf === 'column' ? world.habit(piece, random) : errs.habit;
    const [first = 0, last = 0] = [values[0], values.at(-1)];
    return values.map((value) => {
      const tolerance = tolerances
        .filter((on) => on.column === column)
        .reduce(
          (sum, { acts, size }) =>
            sum + size * (acts === 'whole' ? 1 : (value - Math.min(first, last)) / Math.abs(last - first)),
          0,
        );
      const shown =
        value * (1 + errs.scale) +
        errs.offset +
        tolerance +
        habit +
        world.each(piece, random) +
        (piece.shows === 'clock' ? errs.phase : 0);
      return world.written(piece, shown);
    });
  });
}

function scattered(bench: Bench, size: number, random: Random): Rows {
  const truth = bench.truth(random);
  const rows = Math.max(...Object.values(bench.scatters).map(({ length }) => length), 0);
  const draws = Array.from({ length: rows }, () => size * random.normal());
  return mapped(truth, (values, column) => {
    const by = bench.scatters[column];
    if (!by) return values;
    let moved = 0;
    return values.map((value, row) => {
      const own = (by[row] ?? 0) * (draws[row] ?? 0);
      moved = bench.running ? moved + own : own;
      return value + moved;
    });
  });
}

const mapped = <From, To>(
  record: Readonly<Record<string, From>>,
  to: (from: From, key: string) => To,
): Readonly<Record<string, To>> =>
  Object.fromEntries(Object.entries(record).map(([key, from]) => [key, to(from, key)]));
