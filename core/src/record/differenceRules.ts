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
  type Finding,
  type LookRule,
} from './auditTable';

const halfDayMinutes = 720;

/** What can be wrong with a difference of two columns: of numbers, or of clock times. */
export const differenceRules: readonly LookRule[] = [
  differenceRule({
    code: 'clock-as-decimals',
    label: 'Clock times were subtracted as decimals',
    of: 'clocks',
    wrong: takenAsDecimals,
  }),
  differenceRule({
    code: 'clock-afternoon',
    label: 'An afternoon time is written like a morning time',
    of: 'clocks',
    sure: 'worth a look',
    wrong: (cell) =>
      isHalfDayOff(cell) ? `Was ${cell.to} in the afternoon? Then write ${inTheAfternoon(cell.to)}.` : null,
  }),
  differenceRule({
    code: 'difference-contradicted',
    label: 'Its own readings give another difference',
    wrong: (cell) =>
      isReversed(cell) || (cell.clock && (isHalfDayOff(cell) || takenAsDecimals(cell) !== null))
        ? null
        : `The readings give ${cell.evaluated.text}, not ${cell.text}.`,
  }),
  differenceRule({
    code: 'wrong-direction',
    label: 'The difference goes the wrong way',
    of: 'readings',
    wrong: (cell) =>
      isReversed(cell) ? `${cell.text} is first minus last. The heading asks for last minus first.` : null,
  }),
];

/** A difference as somebody worked it out, which is not what its readings give. */
interface WrongDifference {
  readonly text: string;
  readonly written: Decimal;
  readonly evaluated: Evaluated;
  readonly unit: string | null;
  readonly clock: boolean;
  /** Its two cells, as they are written. */
  readonly from: string;
  readonly to: string;
}

/** What the readings of a difference give. */
interface Evaluated {
  readonly value: Decimal;
  /** With as many decimals as its readings have. */
  readonly text: string;
}

/** A rule over every difference that is not what its readings give. */
function differenceRule({
  code,
  label,
  of,
  sure = 'certain',
  wrong,
}: Pick<LookRule, 'code' | 'label'> & {
  /** Which differences it looks at; all where it does not say. */
  readonly of?: 'clocks' | 'readings';
  readonly sure?: Finding['sure'];
  readonly wrong: (cell: WrongDifference) => string | null;
}): LookRule {
  return {
    code,
    label,
    find: eachCell(
      ({ difference }) => difference !== null && (of === undefined || difference.clock === (of === 'clocks')),
      ({ difference, unit }, text, row, _, table) => {
        if (!difference) return null;
        const { clock } = difference;
        const [from = '', to = ''] = [row.cells[difference.from], row.cells[difference.to]];
        const written = number(text);
        const evaluated = clock
          ? clockDifference(from, to, unit)
          : readingDifference(difference, row, unit, table);
        return !written || !evaluated || close(written, evaluated.value, text)
          ? null
          : wrong({ text, written, evaluated, unit, clock, from, to });
      },
      code,
      sure,
    ),
  };
}

const isReversed = ({ text, written, evaluated: { value }, clock }: WrongDifference): boolean =>
  !clock && !value.isZero() && close(written, value.neg(), text);

/** The difference of two readings in its own unit; null where one of them is in a unit that cannot become it. */
function readingDifference(
  { from, to }: NonNullable<AuditColumn['difference']>,
  row: AuditRow,
  unit: string | null,
  table: AuditTable,
): Evaluated | null {
  const [first, last] = [from, to].map((key) => inUnit(unit, key, row, table));
  if (!first || !last) return null;
  const value = last.value.minus(first.value);
  return { value, text: value.toFixed(Math.max(first.decimals, last.decimals)).replace('-', '−') };
}

function inUnit(
  wanted: string | null,
  key: string,
  row: AuditRow,
  { columns }: AuditTable,
): { readonly value: Decimal; readonly decimals: number } | null {
  const text = row.cells[key] ?? '';
  const parsed = parseReading(text);
  if (!parsed.ok) return null;
  const { value, unitText } = parsed.number;
  const own = unitText || columns.find((column) => column.key === key)?.unit;
  // Another rule speaks of a heading without a unit.
  if (!own || !wanted || own === wanted) return { value, decimals: decimals(text) };
  const factor = unitFactor(own, wanted);
  const converted = factor && value.times(factor);
  return converted && { value: converted, decimals: converted.decimalPlaces() };
}

/** The time between two clock times, in a unit of time; null for what is no time of day. */
function clockDifference(from: string, to: string, unit: string | null): Evaluated | null {
  try {
    const value = clockMinutes(from, to).times(perMinute(unit));
    return { value, text: value.toDecimalPlaces(2).toString() };
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

const perMinute = (unit: string | null): Decimal => unitFactor('min', unit ?? 'min') ?? new Decimal(1);

/** 12:40 to 1:11 and 31 min: right on a clock of twelve hours, half a day off on one of twenty-four. */
const isHalfDayOff = ({ written, evaluated, unit, text }: WrongDifference): boolean =>
  close(written, evaluated.value.minus(perMinute(unit).times(halfDayMinutes)), text);

const inTheAfternoon = (time: string): string =>
  time.trim().replace(/^\d+/, (hour) => String((Number(hour) % 12) + 12));

/** What to say where clock times were taken for decimals: 9:50 to 10:20 as 9.50 and 10.20, or 41 min 35 s as 41.35. */
function takenAsDecimals({ text, written, unit, from, to }: WrongDifference): string | null {
  const [early, late] = [from, to].map((time) =>
    number(time.trim().replace(/^(\d+):(\d{2})(?::(\d{2}))?$/, '$1.$2$3')),
  );
  const minutes = clockDifference(from, to, 'min')?.value;
  if (!early || !late || !minutes) return null;
  const inMinutes = unit === 'min' || unit === null;
  const hours = late.minus(early);
  if ((unit === 'h' && close(written, hours, text)) || (inMinutes && close(written, hours.times(100), text)))
    return `${text} comes from subtracting the times like decimals. An hour has 60 minutes.`;
  const whole = minutes.floor();
  const seconds = minutes.minus(whole).times(60).round();
  return inMinutes && close(written, whole.plus(seconds.div(100)), text)
    ? `${text} writes ${seconds.toString()} seconds as hundredths of a minute. A minute has 60 seconds.`
    : null;
}
