import { seeded, type Random } from '../chance/random';
import { clockMinutes, Exact } from '../figures';
import {
  secondLook,
  type AuditColumn,
  type AuditRow,
  type AuditTable,
  type Finding,
  type Place,
} from '../record/secondLook';

const column = (
  key: string,
  heading: string,
  unit: string,
  rest: Partial<AuditColumn> = {},
): AuditColumn => ({
  key,
  heading,
  unit,
  read: null,
  difference: null,
  carried: false,
  planned: null,
  ...rest,
});

/** A results table of the scenario with two or three faults planted in it; the same for the same seed. */
export function faultyTable(seed: number): AuditTable {
  const random = seeded(seed);
  const clean = random.chance(0.5) ? oilTable(random) : panTable(random);
  let table = clean;
  const wanted = random.whole(2, 3);
  const planted = new Set<string>();
  for (let attempt = 0; attempt < 150 && planted.size < wanted; attempt += 1) {
    const plant = random.pick(plants);
    if (planted.has(plant.code)) continue;
    const put = plant.put(table, random);
    if (!put) continue;
    // A planted value is not to contradict the mean as well: that is written after it.
    const held = [...planted, plant.code].includes('mean-holds-excluded');
    const faulty = put.mean
      ? withMean(put, put.mean.column, put.mean.text.split('.')[1]?.length ?? 0, held ? put.rows : undefined)
      : put;
    // One fault at a time: it has to be found, the earlier ones still, and nothing else with them.
    const found = new Set(secondLook(faulty).map(({ code }) => code));
    if (found.size !== planted.size + 1 || ![...planted, plant.code].every((code) => found.has(code)))
      continue;
    table = faulty;
    planted.add(plant.code);
  }
  return table;
}

const samePlace = (a: Place, b: Place): boolean => a.trial === b.trial && a.column === b.column;

/** What a reader marked: a place, and what they say is wrong with it. */
export interface Mark {
  readonly place: Place;
  readonly code: string;
}

export interface MarkVerdict {
  readonly mark: Mark;
  /** Right; the right place for another reason; or nothing to find there. */
  readonly is: 'right' | 'another reason' | 'nothing';
}

/** Judges marks by the same second look that logbooks are read with. */
export function judgeMarks(
  table: AuditTable,
  marks: readonly Mark[],
): { readonly verdicts: readonly MarkVerdict[]; readonly missed: readonly Finding[] } {
  const findings = secondLook(table);
  const verdicts = marks.map((mark): MarkVerdict => {
    const here = findings.filter(({ place }) => samePlace(place, mark.place));
    return {
      mark,
      is: here.some(({ code }) => code === mark.code)
        ? 'right'
        : here.length > 0
          ? 'another reason'
          : 'nothing',
    };
  });
  const missed = findings.filter(
    ({ place, code }) => !marks.some((mark) => samePlace(mark.place, place) && mark.code === code),
  );
  return { verdicts, missed };
}

/** A bottle of lamp oil by difference: the empty bottle is carried through. */
function oilTable(random: Random): AuditTable {
  const bottle = random.between(41, 47).toFixed(2);
  const rows = [1, 2, 3, 4].map((trial): AuditRow => {
    const [before, poured] = [random.between(46, 49.4), random.between(11, 24)];
    const [first, last] = [before.toFixed(1), (before - poured).toFixed(1)];
    const oil = new Exact(first).minus(last);
    const full = new Exact(bottle).plus(oil.times(random.between(0.79, 0.81))).toFixed(2);
    return {
      trial,
      excluded: trial === 4,
      cells: {
        bottle,
        full,
        oil: new Exact(full).minus(bottle).toFixed(2),
        last,
        first,
        volume: oil.toFixed(1),
      },
    };
  });
  const mass = { decimals: 2, lowest: 0, highest: 400 };
  const volume = { decimals: 1, lowest: 5, highest: 50 };
  return withMean(
    {
      title: 'Lamp oil by difference',
      columns: [
        column('bottle', 'Bottle', 'g', { read: mass, carried: true }),
        column('full', 'Bottle with oil', 'g', { read: mass }),
        column('oil', 'Oil, rise', 'g', { difference: { from: 'bottle', to: 'full', clock: false } }),
        column('last', 'Level after', 'mL', { read: volume }),
        column('first', 'Level before', 'mL', { read: volume, planned: '50.0' }),
        column('volume', 'Volume, fall', 'mL', { difference: { from: 'last', to: 'first', clock: false } }),
      ],
      rows,
      mean: null,
    },
    'oil',
    2,
  );
}

/** The evaporating pan: two clock times, and the depth at each. */
function panTable(random: Random): AuditTable {
  const rows = [1, 2, 3, 4].map((trial): AuditRow => {
    const start = random.whole(9, 13) * 60 + random.whole(31, 58);
    const long = random.whole(32, 88);
    const [from, to] = [clock(start), clock(start + long)];
    const deep = random.between(18, 30);
    const [before, after] = [deep.toFixed(1), (deep - long * 0.04).toFixed(1)];
    return {
      trial,
      excluded: trial === 2,
      cells: {
        from,
        to,
        minutes: clockMinutes(from, to).toString(),
        before,
        after,
        fall: new Exact(before).minus(after).toFixed(1),
      },
    };
  });
  const depth = { decimals: 1, lowest: 0, highest: 150 };
  return withMean(
    {
      title: 'The evaporating pan',
      columns: [
        column('from', 'From', 'clock'),
        column('to', 'To', 'clock'),
        column('minutes', 'Time', 'min', { difference: { from: 'from', to: 'to', clock: true } }),
        column('after', 'Depth after', 'mm', { read: depth }),
        column('before', 'Depth before', 'mm', { read: depth }),
        column('fall', 'Fall', 'mm', { difference: { from: 'after', to: 'before', clock: false } }),
      ],
      rows,
      mean: null,
    },
    'fall',
    1,
  );
}

const clock = (minutes: number): string =>
  `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;

function withMean(
  table: AuditTable,
  column: string,
  decimals: number,
  rows: readonly AuditRow[] = table.rows.filter(({ excluded }) => !excluded),
): AuditTable {
  const sum = rows.reduce((total, row) => total.plus(row.cells[column] ?? '0'), new Exact(0));
  return { ...table, mean: { column, text: sum.div(rows.length).toFixed(decimals) } };
}

interface Plant {
  readonly code: string;
  put(table: AuditTable, random: Random): AuditTable | null;
}

const change = (table: AuditTable, trial: number, key: string, text: string): AuditTable => ({
  ...table,
  rows: table.rows.map((row) =>
    row.trial === trial ? { ...row, cells: { ...row.cells, [key]: text } } : row,
  ),
});
/** Plants something in a cell of a column that fits. */
const inCell =
  (
    fits: (column: AuditColumn) => boolean,
    write: (text: string, random: Random, row: AuditRow, column: AuditColumn) => string | null,
  ): Plant['put'] =>
  (table, random) => {
    const fitting = table.columns.filter(fits);
    const row = random.pick(table.rows);
    const chosen = fitting.length > 0 ? random.pick(fitting) : null;
    const text = chosen && write(row.cells[chosen.key] ?? '', random, row, chosen);
    return chosen && text ? change(table, row.trial, chosen.key, text) : null;
  };

const plants: readonly Plant[] = [
  {
    code: 'difference-contradicted',
    put: inCell(
      ({ difference }) => difference !== null && !difference.clock,
      (text, random) =>
        new Exact(text).plus(random.pick([1, -1, 0.9])).toFixed(text.split('.')[1]?.length ?? 0),
    ),
  },
  {
    code: 'finer-than-instrument',
    put: inCell(
      ({ read, carried }) => read !== null && !carried,
      (text) => `${text}0`,
    ),
  },
  {
    code: 'uneven-decimals',
    put: inCell(
      ({ read, carried }) => read !== null && !carried,
      (text) => (text.endsWith('0') ? text.slice(0, -1).replace(/\.$/, '') : null),
    ),
  },
  {
    code: 'carried-over-changed',
    put: (table, random) => {
      const carried = table.columns.find((one) => one.carried);
      const row = random.pick(table.rows);
      if (!carried) return null;
      // Its own difference is reckoned from what stands there, so that only the change itself contradicts.
      const text = new Exact(row.cells[carried.key] ?? '0').plus('0.30').toFixed(2);
      const changed = change(table, row.trial, carried.key, text);
      const difference = table.columns.find((one) => one.difference?.from === carried.key);
      return difference?.difference
        ? change(
            changed,
            row.trial,
            difference.key,
            new Exact(row.cells[difference.difference.to] ?? '0').minus(text).toFixed(2),
          )
        : changed;
    },
  },
  {
    code: 'heading-without-unit',
    put: (table, random) => {
      const { key } = random.pick(table.columns.filter(({ unit }) => unit !== null && unit !== 'clock'));
      return {
        ...table,
        columns: table.columns.map((one) => (one.key === key ? { ...one, unit: null } : one)),
      };
    },
  },
  {
    code: 'mean-holds-excluded',
    put: (table) =>
      table.mean
        ? withMean(table, table.mean.column, table.mean.text.split('.')[1]?.length ?? 0, table.rows)
        : null,
  },
  {
    code: 'clock-as-decimals',
    put: inCell(
      ({ difference }) => difference?.clock === true,
      (_, _random, row, { difference }) => {
        const [from, to] = [row.cells[difference?.from ?? ''], row.cells[difference?.to ?? '']].map(
          (text) => new Exact((text ?? '0').replace(':', '.')),
        );
        return from && to ? to.minus(from).times(100).toFixed(0) : null;
      },
    ),
  },
  {
    code: 'wrong-direction',
    put: inCell(
      ({ difference }) => difference !== null && !difference.clock,
      (text) => `-${text}`,
    ),
  },
];
