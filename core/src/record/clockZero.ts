import { clockSeconds } from '../figures';
import type { Investigation, Table } from './investigation';
import type { Cell } from './table';

const day = 86_400;

/** A clock time that was written, and where it stands in the plan. */
interface Written {
  readonly table: string;
  readonly place: number;
  readonly text: string;
  readonly seconds: number;
}

/**
 * From which time the clocks of a table count. Only differences mean anything, so any zero would do, as long as all times lie on one
 * stretch after it: the dial is cut at the longest arc on which nothing was written. Where that of all tables is shorter than twelve
 * hours, that of the table decides; where that is shorter too, the first time of the plan is the zero, and what is earlier is of the
 * next day.
 * @returns undefined where no time was written
 */
export function clockZero(
  { tables }: Investigation,
  table: Table,
  cells: ReadonlyMap<string, Cell>,
): string | undefined {
  const written = timesIn(tables, cells);
  const own = written.filter((one) => one.table === table.key);
  return afterLongestGap(written) ?? afterLongestGap(own) ?? written[0]?.text;
}

/** In the order of tables, trials and columns. */
function timesIn(tables: readonly Table[], cells: ReadonlyMap<string, Cell>): Written[] {
  const places = new Map(
    tables.flatMap(({ key: table, columns }, at) =>
      columns.flatMap(({ kind, key }, column) =>
        kind === 'clock' ? [[key, { table, place: at * 1e6 + column }] as const] : [],
      ),
    ),
  );
  const written: Written[] = [];
  for (const { current } of cells.values()) {
    if (current.kind !== 'reading') continue;
    const found = places.get(current.column);
    const seconds = found && secondsIn(current.text);
    if (!found || seconds === undefined) continue;
    written.push({
      table: found.table,
      place: found.place + current.trial * 1e3,
      text: current.text,
      seconds,
    });
  }
  return written.sort((a, b) => a.place - b.place);
}

/** The time after the longest arc of the dial on which there is none, where that is at least half of it; of equal ones the first. */
function afterLongestGap(written: readonly Written[]): string | undefined {
  const around = [...written].sort((a, b) => a.seconds - b.seconds);
  const last = around.at(-1);
  if (!last) return undefined;
  const gaps = around.map(({ seconds, place, text }, at) => {
    const before = around[at - 1]?.seconds ?? last.seconds - day;
    return { gap: seconds - before, place, text };
  });
  const longest = gaps.reduce((a, b) => (b.gap > a.gap || (b.gap === a.gap && b.place < a.place) ? b : a));
  return longest.gap >= day / 2 ? longest.text : undefined;
}

/**
 * From which time the clocks of one row count: later columns are later. Where they are not, seen from the zero of the table, the row
 * lies across that zero, and counts from its own first time.
 * @param texts of the row's clocks, in the order of columns
 */
export function clockZeroOfRow(zero: string | undefined, texts: readonly string[]): string | undefined {
  const from = zero === undefined ? undefined : secondsIn(zero);
  if (from === undefined) return zero;
  const after = texts.flatMap((text) => {
    const seconds = secondsIn(text);
    return seconds === undefined ? [] : [(seconds - from + day) % day];
  });
  const goesUp = after.every((seconds, at) => at === 0 || seconds >= (after[at - 1] ?? 0));
  return goesUp ? zero : texts.find((text) => secondsIn(text) !== undefined);
}

/** Seconds since midnight; undefined for what is no time. */
function secondsIn(text: string): number | undefined {
  try {
    return clockSeconds(text);
  } catch (error) {
    if (error instanceof RangeError) return undefined;
    throw error;
  }
}
