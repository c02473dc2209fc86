import { clockMinutes, Decimal, parseReading } from '../figures';
import { unitFactor } from '../units';
import {
  close,
  decimals,
  eachCell,
  number,
  type AuditColumn,
  type AuditRow,
  type AuditTable,
  type LookRule,
} from './auditTable';

const halfDay = 720;

/** What can be wrong with a difference of two columns: of numbers, or of clock times. */
export const differenceRules: readonly LookRule[] = [
  {
    code: 'clock-as-decimals',
    label: 'Clock times were subtracted as decimals',
    find: eachCell(
      ({ difference }) => difference?.clock === true,
      (column, text, row, _, table) => {
        const [written, given] = [number(text), reckoned(column, row, table)];
        if (!written || !given || close(written, given.value, text)) return null;
        const taken = decimalClocks(column, row).find(({ value }) => close(written, value, text));
        return taken ? `${text} is what the clock times give when ${taken.when}.` : null;
      },
      'clock-as-decimals',
    ),
  },
  {
    code: 'clock-afternoon',
    label: 'A time of the afternoon is written as one of the morning',
    find: eachCell(
      ({ difference }) => difference?.clock === true,
      (column, text, row, _, table) => {
        const [written, given] = [number(text), reckoned(column, row, table)];
        if (!written || !given || !isHalfDayOff(written, given.value, column, text)) return null;
        const to = row.cells[column.difference?.to ?? ''] ?? '';
        return `With ${text} the ${to} is in the afternoon: a clock of 24 hours shows ${inTheAfternoon(to)}. Is it?`;
      },
      'clock-afternoon',
      'worth a look',
    ),
  },
  {
    code: 'difference-contradicted',
    label: 'Its own readings give another difference',
    find: eachCell(
      ({ difference }) => difference !== null,
      (column, text, row, _, table) => {
        const [written, given] = [number(text), reckoned(column, row, table)];
        if (!written || !given || close(written, given.value, text)) return null;
        if (close(written, given.value.neg(), text)) return null;
        if (column.difference?.clock) {
          if (isHalfDayOff(written, given.value, column, text)) return null;
          if (decimalClocks(column, row).some(({ value }) => close(written, value, text))) return null;
        }
        return `Its readings give ${given.text}, not ${text}.`;
      },
      'difference-contradicted',
    ),
  },
  {
    code: 'wrong-direction',
    label: 'The difference goes the wrong way',
    find: eachCell(
      ({ difference }) => difference?.clock === false,
      (column, text, row, _, table) => {
        const [written, given] = [number(text), reckoned(column, row, table)];
        return written && given && !given.value.isZero() && close(written, given.value.neg(), text)
          ? `${text} is first less last: the heading says the other way.`
          : null;
      },
      'wrong-direction',
    ),
  },
];

interface Reckoned {
  readonly value: Decimal;
  /** With as many decimals as its readings have. */
  readonly text: string;
}

/** What the readings of a difference give, in its own unit; null where they do not tell. */
function reckoned(column: AuditColumn, row: AuditRow, table: AuditTable): Reckoned | null {
  return column.difference?.clock
    ? clockDifference(column.difference, column.unit, row)
    : plainDifference(column, row, table);
}

function plainDifference(column: AuditColumn, row: AuditRow, table: AuditTable): Reckoned | null {
  const [from, to] = [column.difference?.from, column.difference?.to].map((key = '') =>
    inUnitOf(column, key, row, table),
  );
  if (!from || !to) return null;
  const value = to.value.minus(from.value);
  return { value, text: value.toFixed(Math.max(from.decimals, to.decimals)).replace('-', '−') };
}

/** A reading in the unit of a difference that is made of it; null where it is in none that could be. */
function inUnitOf(
  { unit: wanted }: AuditColumn,
  key: string,
  row: AuditRow,
  { columns }: AuditTable,
): { readonly value: Decimal; readonly decimals: number } | null {
  const text = row.cells[key] ?? '';
  const parsed = parseReading(text);
  if (!parsed.ok) return null;
  const { value, unitText } = parsed.number;
  const own = unitText || columns.find((column) => column.key === key)?.unit;
  // A heading that does not say its unit is told of by itself.
  if (!own || !wanted || own === wanted) return { value, decimals: decimals(text) };
  const factor = unitFactor(own, wanted);
  const converted = factor && value.times(factor);
  return converted && { value: converted, decimals: converted.decimalPlaces() };
}

function clockDifference(
  difference: AuditColumn['difference'],
  unit: string | null,
  row: AuditRow,
): Reckoned | null {
  try {
    const minutes = clockMinutes(
      row.cells[difference?.from ?? ''] ?? '',
      row.cells[difference?.to ?? ''] ?? '',
    );
    const value = minutes.times(perMinute(unit));
    return { value, text: value.toDecimalPlaces(2).toString() };
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

const perMinute = (unit: string | null): Decimal => unitFactor('min', unit ?? 'min') ?? new Decimal(1);

/** 12:40 to 1:11 and 31 min: right on a clock of twelve hours, half a day off on one of twenty-four. */
const isHalfDayOff = (written: Decimal, given: Decimal, { unit }: AuditColumn, text: string): boolean =>
  close(written, given.minus(perMinute(unit).times(halfDay)), text);

const inTheAfternoon = (time: string): string =>
  time.trim().replace(/^\d+/, (hour) => String((Number(hour) % 12) + 12));

/**
 * What clock times give to whoever takes them for decimals, in hours or minutes: 9:50 to 10:20 as 9.50 and 10.20, or 41 min 35 s as
 * 41.35.
 */
function decimalClocks(
  { difference, unit }: AuditColumn,
  row: AuditRow,
): readonly { readonly value: Decimal; readonly when: string }[] {
  const [early, late] = [difference?.from, difference?.to].map((key) =>
    number((row.cells[key ?? ''] ?? '').trim().replace(/^(\d+):(\d{2})(?::(\d{2}))?$/, '$1.$2$3')),
  );
  const minutes = clockDifference(difference, 'min', row)?.value;
  if (!early || !late || !minutes) return [];
  const hundredths = { value: late.minus(early), when: 'minutes are taken for hundredths' };
  if (unit === 'h') return [hundredths];
  if (unit !== 'min' && unit !== null) return [];
  const whole = minutes.floor();
  return [
    { ...hundredths, value: hundredths.value.times(100) },
    {
      value: whole.plus(minutes.minus(whole).times(60).div(100)),
      when: 'seconds are taken for hundredths of a minute',
    },
  ];
}
