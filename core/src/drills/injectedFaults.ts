import type { Random } from '../chance/random';
import { Decimal } from '../figures';
import { decimals } from '../record/auditTable';
import type { AuditColumn, AuditRow, AuditTable } from '../record/secondLook';
import { withMean } from './cleanTables';

/** A fault that can be planted in a table; null where it does not fit. */
export interface InjectedFault {
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
  ): InjectedFault['put'] =>
  (table, random) => {
    const fitting = table.columns.filter(fits);
    const row = random.pick(table.rows);
    const chosen = fitting.length > 0 ? random.pick(fitting) : null;
    const text = chosen && write(row.cells[chosen.key] ?? '', random, row, chosen);
    return chosen && text ? change(table, row.trial, chosen.key, text) : null;
  };

/** Every fault that is planted; a new one is a row. */
export const injectedFaults: readonly InjectedFault[] = [
  {
    code: 'difference-contradicted',
    put: inCell(
      ({ difference }) => difference !== null && !difference.clock,
      (text, random) => new Decimal(text).plus(random.pick([1, -1, 0.9])).toFixed(decimals(text)),
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
      const text = new Decimal(row.cells[carried.key] ?? '0').plus('0.30').toFixed(2);
      const changed = change(table, row.trial, carried.key, text);
      const difference = table.columns.find((one) => one.difference?.from === carried.key);
      return difference?.difference
        ? change(
            changed,
            row.trial,
            difference.key,
            new Decimal(row.cells[difference.difference.to] ?? '0').minus(text).toFixed(2),
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
      table.mean ? withMean(table, table.mean.column, decimals(table.mean.text), table.rows) : null,
  },
  {
    code: 'clock-as-decimals',
    put: inCell(
      ({ difference }) => difference?.clock === true,
      (_, _random, row, { difference }) => {
        const [from, to] = [row.cells[difference?.from ?? ''], row.cells[difference?.to ?? '']].map(
          (text) => new Decimal((text ?? '0').replace(':', '.')),
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
