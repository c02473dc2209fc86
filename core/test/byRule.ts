import type { Bench, Rows } from '../src/world';

/** The rule by which a class states a ±, in words of its own: nothing here is taken from what is tested. */
export interface Rule {
  /** Half-width of what is read between marks, in divisions. */
  readonly ofDivision: 0.5 | 0.1;
  readonly standard: boolean;
  readonly combining: 'quadrature' | 'worst-case' | 'corners';
  readonly repeats: 'deviation' | 'half-range';
  /** Whether water is reckoned with buoyancy and glass. */
  readonly buoyancy: boolean;
}

export const rules: Readonly<Record<string, Rule>> = {
  'Chemistry bench': {
    ofDivision: 0.5,
    standard: false,
    combining: 'quadrature',
    repeats: 'deviation',
    buoyancy: false,
  },
  'Half-division': {
    ofDivision: 0.5,
    standard: false,
    combining: 'corners',
    repeats: 'half-range',
    buoyancy: false,
  },
  'Physics bench': {
    ofDivision: 0.1,
    standard: false,
    combining: 'worst-case',
    repeats: 'deviation',
    buoyancy: false,
  },
  Metrology: {
    ofDivision: 0.5,
    standard: true,
    combining: 'quadrature',
    repeats: 'deviation',
    buoyancy: true,
  },
};

/** A bench whose result is worked by hand. */
export type HandWorked = Bench & {
  /** How its replicates share, or that a line goes through them. */
  readonly way: 'rows' | 'receiver' | 'marks' | 'line' | 'means';
  /** The result of readings. */
  result(rows: Rows, rule: Rule): number;
  /** What each row gives, where the result is their mean; where it is one of means, how it moves with each row. */
  each?(rows: Rows, rule: Rule): number[];
  /** For a line: its points, and the result of points. */
  points?(rows: Rows): Points;
  gives?(points: Points): number;
  readonly throughOrigin?: boolean;
  /** What is given, not read, and how far that may be off: in some rows of a column at once. */
  readonly given?: readonly {
    readonly column: string;
    readonly rows: readonly number[];
    readonly bound: number | ((rule: Rule) => number);
  }[];
  /** Columns of other tables whose mean enters and scatters. */
  readonly meansOf?: readonly string[];
};

export interface Points {
  readonly x: readonly number[];
  readonly y: readonly number[];
}

/** A part of an uncertainty: what one cause does when it stands at +1 times its bound. */
type Cause = (share: number) => Rows;

/** The combined ± of a result by a rule. */
export function byRule(bench: HandWorked, rows: Rows, rule: Rule): number {
  const n = bench.each?.(rows, rule).length ?? 0;
  const size = (bound: number) => (rule.standard ? bound / Math.sqrt(3) : bound);
  const half = (tag: string) => {
    const piece = bench.pieces[tag];
    if (!piece) throw new Error(tag);
    return size(piece.shows === 'marks' ? piece.halfWidth * (rule.ofDivision / 0.5) : piece.halfWidth);
  };
  const add = (columns: readonly string[], by: (value: number, row: number) => number): Cause => {
    return (share) =>
      Object.fromEntries(
        Object.entries(rows).map(([column, values]) => [
          column,
          columns.includes(column) ? values.map((value, row) => value + share * by(value, row)) : values,
        ]),
      );
  };
  const columnsOf = (tag: string) =>
    Object.keys(bench.readOn).filter((column) => bench.readOn[column] === tag);
  const tags = Object.keys(bench.pieces);
  const offsets = tags.flatMap((tag) => {
    const { offset = 0, scale = 0 } = bench.pieces[tag] ?? {};
    return [
      ...(offset > 0 ? [add(columnsOf(tag), () => size(offset))] : []),
      ...(scale > 0 ? [add(columnsOf(tag), (value) => value * size(scale))] : []),
    ];
  });
  const given = (bench.given ?? []).map(({ column, rows: of, bound }) =>
    add([column], (_, row) => (of.includes(row) ? size(typeof bound === 'number' ? bound : bound(rule)) : 0)),
  );
  const habits = Object.entries(bench.readOn).map(([column, tag]) => add([column], () => half(tag)));
  const single = Object.entries(bench.readOn).flatMap(([column, tag]) =>
    (rows[column] ?? []).map((_, at) => add([column], (__, row) => (row === at ? half(tag) : 0))),
  );
  const tolerances = bench.tolerances.map(({ piece, column, acts }) =>
    add([column], (_, row) => size(bench.pieces[piece]?.tolerance ?? 0) * (acts === 'whole' ? 1 : row / n)),
  );
  const effect = (cause: Cause) => derivative((share) => bench.result(cause(share), rule));
  const ofMeans = (bench.meansOf ?? []).map((column) => {
    const values = rows[column] ?? [];
    const u = deviation(values) / Math.sqrt(values.length);
    return add([column], () => u);
  });
  if (bench.way === 'line') {
    const { points, gives } = bench;
    if (!points || !gives) throw new Error('A line has points.');
    const at = points(rows);
    const by = at.y.map((_, k) =>
      derivative((share) => gives({ x: at.x, y: at.y.map((y, row) => y + (row === k ? share : 0)) })),
    );
    const typeA = residual(at, bench.throughOrigin ?? false) * Math.hypot(...by);
    const byThemselves = single.map(effect);
    // What all looks at a clock have in common is the first one, from which they count: a shift of all that it gives.
    const asHabits = Object.entries(bench.readOn).map(([column, tag], nth) =>
      bench.pieces[tag]?.shows === 'clock'
        ? derivative((share) => gives({ x: at.x.map((x) => x + share * half(tag)), y: at.y }))
        : effect(habits[nth] ?? add([column], () => 0)),
    );
    const others = [
      ...[...offsets, ...given].map(effect),
      ...tags.map((tag) => {
        const through = columnsOf(tag).flatMap((column) =>
          (rows[column] ?? []).map((_, k) => effect(add([column], (__, row) => (row === k ? 0.1 : 0))) / 0.1),
        );
        const up = sum(through.filter((c) => c > 0));
        const down = sum(through.filter((c) => c < 0).map(Math.abs));
        return size(bench.pieces[tag]?.tolerance ?? 0) * Math.max(up, down);
      }),
    ];
    const scatters = Math.hypot(typeA, ...asHabits) >= Math.hypot(...byThemselves);
    // What is read by itself is of one cause for each column.
    const read = scatters
      ? asHabits
      : Object.keys(bench.readOn).map((column) => {
          const from = Object.keys(bench.readOn).slice(0, Object.keys(bench.readOn).indexOf(column));
          const skip = sum(from.map((own) => rows[own]?.length ?? 0));
          return Math.hypot(...byThemselves.slice(skip, skip + (rows[column]?.length ?? 0)));
        });
    const parts = [...read, ...others];
    const typeB = rule.combining === 'worst-case' ? sum(parts.map(Math.abs)) : Math.hypot(...parts);
    return Math.hypot(scatters ? typeA : 0, typeB);
  }
  const shares = bench.way === 'receiver' || bench.way === 'marks';
  const causes = [...(shares ? [] : habits), ...offsets, ...given, ...tolerances, ...ofMeans];
  const [repeat, joint] = repeated(bench, rows, rule, () => Math.hypot(...single.map(effect)));
  const typeB = combined(
    [...causes, ...joint],
    (all) => bench.result(together(rows, all), rule),
    effect,
    rule.combining,
  );
  return Math.hypot(repeat, typeB);
}

/** The repeat part of the result, and where it is one of means, as one more cause among the others. */
function repeated(
  bench: HandWorked,
  rows: Rows,
  rule: Rule,
  readings: () => number,
): [repeat: number, joint: readonly Cause[]] {
  const values = bench.each?.(rows, rule) ?? [];
  const n = values.length;
  if (n < 2) return [0, []];
  const ofMean =
    rule.repeats === 'half-range'
      ? (Math.max(...values) - Math.min(...values)) / 2
      : deviation(values) / Math.sqrt(n);
  if (bench.way === 'rows') return [ofMean, []];
  if (bench.way === 'receiver') return [Math.max(ofMean, readings()), []];
  if (bench.way === 'marks') return [Math.max(ofMean / Math.sqrt(n + 1), readings()), []];
  // Over means the scatter is one part of the model, whatever the class calls the spread of a column.
  return [0, [(share) => ({ ...rows, [byScatter]: [share * (deviation(values) / Math.sqrt(n))] })]];
}

/** A column that is not read: what it holds is added to the result of means. */
const byScatter = 'by scatter';
export const moved = (rows: Rows): number => rows[byScatter]?.[0] ?? 0;

const together = (rows: Rows, all: readonly Rows[]): Rows =>
  Object.fromEntries(
    [...new Set([...Object.keys(rows), byScatter])].map((column) => [
      column,
      (rows[column] ?? [0]).map((value, row) =>
        all.reduce((total, changed) => total + (changed[column]?.[row] ?? value) - value, value),
      ),
    ]),
  );

function combined(
  causes: readonly Cause[],
  result: (all: readonly Rows[]) => number,
  effect: (cause: Cause) => number,
  combining: Rule['combining'],
): number {
  if (combining === 'quadrature') return Math.hypot(...causes.map(effect));
  if (combining === 'worst-case') return sum(causes.map((cause) => Math.abs(effect(cause))));
  const corners = Array.from({ length: 2 ** causes.length }, (_, corner) =>
    result(causes.map((cause, at) => cause((corner >> at) & 1 ? 1 : -1))),
  );
  return (Math.max(...corners) - Math.min(...corners)) / 2;
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

export const mean = (values: readonly number[]): number => sum(values) / values.length;

const deviation = (values: readonly number[]): number => {
  const middle = mean(values);
  return Math.sqrt(sum(values.map((value) => (value - middle) ** 2)) / (values.length - 1));
};

/** Slope and height at 0 of points. */
export function straight({ x, y }: Points, throughOrigin = false): [slope: number, height: number] {
  const [mx, my] = throughOrigin ? [0, 0] : [mean(x), mean(y)];
  const slope = sum(x.map((at, k) => (at - mx) * ((y[k] ?? 0) - my))) / sum(x.map((at) => (at - mx) ** 2));
  return [slope, my - slope * mx];
}

function residual({ x, y }: Points, throughOrigin: boolean): number {
  const [slope, height] = straight({ x, y }, throughOrigin);
  const squares = sum(x.map((at, k) => ((y[k] ?? 0) - height - slope * at) ** 2));
  return Math.sqrt(squares / (x.length - (throughOrigin ? 1 : 2)));
}

/** By central differences, three times drawn closer (Richardson): to about ten figures for a smooth function. */
export function derivative(of: (share: number) => number): number {
  const at = (h: number) => (of(h) - of(-h)) / (2 * h);
  const [wide, middle, close] = [at(1 / 8), at(1 / 16), at(1 / 32)];
  const [first, second] = [(4 * middle - wide) / 3, (4 * close - middle) / 3];
  return (16 * second - first) / 15;
}
