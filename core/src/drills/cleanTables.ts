import type { Random } from '../chance/random';
import { clockMinutes, Decimal } from '../figures';
import type { AuditColumn, AuditRow, AuditTable } from '../record/secondLook';

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

/** A results table of the scenario without any fault. */
export const cleanTable = (random: Random): AuditTable =>
  random.chance(0.5) ? oilTable(random) : panTable(random);

/** A bottle of lamp oil by difference: the empty bottle is carried through. */
function oilTable(random: Random): AuditTable {
  const bottle = random.between(41, 47).toFixed(2);
  const rows = [1, 2, 3, 4].map((trial): AuditRow => {
    const [before, poured] = [random.between(46, 49.4), random.between(11, 24)];
    const [first, last] = [before.toFixed(1), (before - poured).toFixed(1)];
    const oil = new Decimal(first).minus(last);
    const full = new Decimal(bottle).plus(oil.times(random.between(0.79, 0.81))).toFixed(2);
    return {
      trial,
      excluded: trial === 4 ? 'drops lost' : null,
      cells: {
        bottle,
        full,
        oil: new Decimal(full).minus(bottle).toFixed(2),
        last,
        first,
        volume: oil.toFixed(1),
      },
    };
  });
  const mass = {
    by: 'the balance',
    unit: 'g',
    estimated: false,
    glass: false,
    step: '0.01',
    lowest: '0',
    highest: '400',
  };
  const volume = {
    by: 'the burette',
    unit: 'mL',
    estimated: true,
    glass: true,
    step: '0.1',
    lowest: '5',
    highest: '50',
  };
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
      excluded: trial === 2 ? 'it rained in' : null,
      cells: {
        from,
        to,
        minutes: clockMinutes(from, to).toString(),
        before,
        after,
        fall: new Decimal(before).minus(after).toFixed(1),
      },
    };
  });
  const depth = {
    by: 'the ruler',
    unit: 'mm',
    estimated: true,
    glass: false,
    step: '0.1',
    lowest: '0',
    highest: '150',
  };
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

/** The table with the mean of a column under it, over some of its rows. */
export function withMean(
  table: AuditTable,
  column: string,
  decimals: number,
  rows: readonly AuditRow[] = table.rows.filter(({ excluded }) => excluded === null),
): AuditTable {
  const sum = rows.reduce((total, row) => total.plus(row.cells[column] ?? '0'), new Decimal(0));
  return { ...table, mean: { column, text: sum.div(rows.length).toFixed(decimals) } };
}
