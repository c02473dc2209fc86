import { clockMinutes, Exact, parseNumber, roundToPlace } from '../figures';

/** A table as a careful reader finds it: texts as they were written. */
export interface AuditTable {
  readonly title: string;
  readonly columns: readonly AuditColumn[];
  readonly rows: readonly AuditRow[];
  /** A mean that is written under a column; null for none. */
  readonly mean: { readonly column: string; readonly text: string } | null;
}

export interface AuditColumn {
  readonly key: string;
  readonly heading: string;
  /** As the heading states it; null where it does not. */
  readonly unit: string | null;
  /** What a reading of its instrument looks like, and how far that goes; null for what was not read. */
  readonly read: { readonly decimals: number; readonly lowest: number; readonly highest: number } | null;
  /** A difference of two other columns: the second less the first; clock times give minutes. */
  readonly difference: { readonly from: string; readonly to: string; readonly clock: boolean } | null;
  /** True where one and the same value is carried through all rows. */
  readonly carried: boolean;
  /** What was planned to be there, as written. */
  readonly planned: string | null;
}

export interface AuditRow {
  readonly trial: number;
  readonly excluded: boolean;
  readonly cells: Readonly<Record<string, string>>;
}

/** Where something was found: a cell, a heading or a mean. */
export interface Place {
  readonly trial: number | 'heading' | 'mean';
  readonly column: string;
}

export interface Finding {
  readonly code: string;
  readonly place: Place;
  readonly sentence: string;
  readonly sure: 'certain' | 'likely' | 'worth a look';
}

/** One thing that a second look looks for. */
export interface LookRule {
  readonly code: string;
  /** As somebody who marks a cell would say it. */
  readonly says: string;
  find(table: AuditTable): readonly Finding[];
}

const number = (text: string): Exact | null => {
  const parsed = parseNumber(text);
  return parsed.ok ? parsed.number.value : null;
};
const decimals = (text: string): number => text.trim().split(/[.,]/)[1]?.length ?? 0;
const cell = (row: AuditRow, { key }: AuditColumn): string => row.cells[key] ?? '';
const at = (row: AuditRow, { key }: AuditColumn): Place => ({ trial: row.trial, column: key });

/** Looks at each written cell of some columns. */
const eachCell =
  (
    columns: (column: AuditColumn) => boolean,
    wrong: (column: AuditColumn, text: string, row: AuditRow, table: AuditTable) => string | null,
    code: string,
    sure: Finding['sure'] = 'certain',
  ) =>
  (table: AuditTable): Finding[] =>
    table.columns.filter(columns).flatMap((column) =>
      table.rows.flatMap((row) => {
        const text = cell(row, column);
        const sentence = text === '' ? null : wrong(column, text, row, table);
        return sentence === null ? [] : [{ code, place: at(row, column), sentence, sure }];
      }),
    );

/** Everything a second look looks for, in order; a new rule is a row. */
export const lookRules: readonly LookRule[] = [
  {
    code: 'heading-without-unit',
    says: 'The heading has no unit',
    find: ({ columns }) =>
      columns.flatMap(({ key, heading, unit }): Finding[] =>
        unit === null
          ? [
              {
                code: 'heading-without-unit',
                place: { trial: 'heading', column: key },
                sentence: `“${heading}” does not say in which unit.`,
                sure: 'certain',
              },
            ]
          : [],
      ),
  },
  {
    code: 'finer-than-instrument',
    says: 'It is finer than the instrument can be read',
    find: eachCell(
      ({ read }) => read !== null,
      ({ read }, text) =>
        read && decimals(text) > read.decimals
          ? `${text} has more decimals than its instrument is read to.`
          : null,
      'finer-than-instrument',
    ),
  },
  {
    code: 'uneven-decimals',
    says: 'It has fewer decimals than its column',
    find: eachCell(
      ({ read }) => read !== null,
      ({ read }, text) =>
        read && decimals(text) < read.decimals ? `${text} stops short of the others in its column.` : null,
      'uneven-decimals',
    ),
  },
  {
    code: 'off-the-scale',
    says: 'It lies past the range of the instrument',
    find: eachCell(
      ({ read }) => read !== null,
      ({ read }, text) => {
        const value = number(text);
        return read && value && (value.lt(read.lowest) || value.gt(read.highest))
          ? `${text} cannot be read: the scale goes from ${read.lowest} to ${read.highest}.`
          : null;
      },
      'off-the-scale',
    ),
  },
  {
    code: 'clock-as-decimals',
    says: 'Clock times were subtracted as decimals',
    find: eachCell(
      ({ difference }) => difference?.clock === true,
      ({ difference }, text, row) => {
        const [written, minutes] = [number(text), clockDifference(row, difference)];
        if (!written || !minutes || close(written, minutes, text)) return null;
        const naive = decimalClock(row, difference);
        return naive && close(written, naive, text)
          ? `${text} is what the clock times give when minutes are taken for hundredths.`
          : null;
      },
      'clock-as-decimals',
    ),
  },
  {
    code: 'difference-contradicted',
    says: 'Its own readings give another difference',
    find: eachCell(
      ({ difference }) => difference !== null,
      ({ difference }, text, row) => {
        const written = number(text);
        const reckoned = difference?.clock
          ? clockDifference(row, difference)
          : plainDifference(row, difference);
        if (!written || !reckoned || close(written, reckoned, text)) return null;
        if (close(written, reckoned.neg(), text)) return null;
        const naive = difference?.clock ? decimalClock(row, difference) : null;
        return naive && close(written, naive, text)
          ? null
          : `Its readings give ${reckoned.toString()}, not ${text}.`;
      },
      'difference-contradicted',
    ),
  },
  {
    code: 'wrong-direction',
    says: 'The difference goes the wrong way',
    find: eachCell(
      ({ difference }) => difference !== null,
      ({ difference }, text, row) => {
        const [written, reckoned] = [
          number(text),
          difference?.clock ? null : plainDifference(row, difference),
        ];
        return written && reckoned && !reckoned.isZero() && close(written, reckoned.neg(), text)
          ? `${text} is first less last: the heading says the other way.`
          : null;
      },
      'wrong-direction',
    ),
  },
  {
    code: 'carried-over-changed',
    says: 'A value that is carried over has changed',
    find: (table) =>
      table.columns
        .filter(({ carried }) => carried)
        .flatMap((column) => {
          const usual = most(table.rows.map((row) => cell(row, column)).filter(Boolean));
          return table.rows
            .filter((row) => cell(row, column) !== '' && cell(row, column) !== usual)
            .map((row): Finding => ({
              code: 'carried-over-changed',
              place: at(row, column),
              sentence: `It was ${usual} before and is ${cell(row, column)} here, though it is the same thing.`,
              sure: 'certain',
            }));
        }),
  },
  {
    code: 'planned-amount',
    says: 'The planned amount stands in place of a reading',
    find: (table) =>
      table.columns
        .filter(({ planned }) => planned !== null)
        .flatMap((column) => {
          const same = table.rows.filter((row) => cell(row, column) === column.planned);
          return same.length < 2
            ? []
            : same.map((row): Finding => ({
                code: 'planned-amount',
                place: at(row, column),
                sentence: `Exactly the planned ${column.planned ?? ''}, ${same.length} times: was it read?`,
                sure: 'likely',
              }));
        }),
  },
  {
    code: 'mean-holds-excluded',
    says: 'The mean still holds an excluded trial',
    find: (table) => meanFinding(table, 'mean-holds-excluded'),
  },
  {
    code: 'mean-contradicted',
    says: 'The mean is not that of its column',
    find: (table) => meanFinding(table, 'mean-contradicted'),
  },
];

/** Everything that a second look finds, in the order of its rules. */
export const secondLook = (table: AuditTable): Finding[] => lookRules.flatMap(({ find }) => find(table));

function meanFinding(table: AuditTable, code: 'mean-holds-excluded' | 'mean-contradicted'): Finding[] {
  if (!table.mean) return [];
  const { column, text } = table.mean;
  const of = (rows: readonly AuditRow[]): Exact | null => {
    const values = rows.flatMap((row) => number(row.cells[column] ?? '') ?? []);
    return values.length === 0
      ? null
      : values.reduce((sum, value) => sum.plus(value), new Exact(0)).div(values.length);
  };
  const [written, kept, all] = [
    number(text),
    of(table.rows.filter(({ excluded }) => !excluded)),
    of(table.rows),
  ];
  if (!written || !kept || !all || close(written, kept, text)) return [];
  const holdsAll = close(written, all, text);
  if (holdsAll !== (code === 'mean-holds-excluded')) return [];
  const sentence = holdsAll
    ? 'It is the mean of all trials, the excluded one too.'
    : `The trials that count give another mean than ${text}.`;
  return [{ code, place: { trial: 'mean', column }, sentence, sure: 'certain' }];
}

/** Equal to the place that the text goes to, whichever way a tie is rounded. */
function close(written: Exact, reckoned: Exact, text: string): boolean {
  const place = -decimals(text);
  return (['half-away', 'half-even'] as const).some((rounding) =>
    roundToPlace(reckoned, place, rounding).eq(written),
  );
}

type Difference = AuditColumn['difference'];

function plainDifference(row: AuditRow, difference: Difference): Exact | null {
  const [from, to] = [
    number(row.cells[difference?.from ?? ''] ?? ''),
    number(row.cells[difference?.to ?? ''] ?? ''),
  ];
  return from && to && to.minus(from);
}

function clockDifference(row: AuditRow, difference: Difference): Exact | null {
  try {
    return clockMinutes(row.cells[difference?.from ?? ''] ?? '', row.cells[difference?.to ?? ''] ?? '');
  } catch {
    return null;
  }
}

/** 9:50 to 10:20 taken as 9.50 and 10.20. */
function decimalClock(row: AuditRow, difference: Difference): Exact | null {
  const [from, to] = [difference?.from, difference?.to].map((key) =>
    number((row.cells[key ?? ''] ?? '').replace(':', '.')),
  );
  return from && to ? to.minus(from).times(100) : null;
}

function most(texts: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const text of texts) counts.set(text, (counts.get(text) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? '';
}
