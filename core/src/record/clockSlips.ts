import { clockMinutes, Decimal, namesIn } from '../figures';
import { unitFactor } from '../units';
import { parsedFormula } from './formula';
import type { DerivedColumn, Table } from './investigation';

const halfDayMinutes = 720;

/** A number that clock times give to somebody who takes them for something else, in the unit of the difference. */
export interface ClockSlip {
  readonly code: 'clock-as-decimals' | 'clock-afternoon';
  readonly title: string;
  readonly hint: string;
  readonly value: Decimal;
}

/** On a clock of twelve hours the number may well be right: then the time is to be written otherwise. */
export const onlyAsks = (code: string): boolean => code === 'clock-afternoon';

/** The clock columns that a column is the plain difference of, last minus first; null for any other column. */
export function clocksOf(
  { formula }: DerivedColumn,
  { columns }: Table,
): { readonly from: string; readonly to: string } | null {
  const tree = parsedFormula(formula);
  if (tree.kind !== 'operation' || tree.operator !== '−') return null;
  if (tree.left.kind !== 'name' || tree.right.kind !== 'name') return null;
  const [to, from] = [...namesIn(tree.left), ...namesIn(tree.right)];
  const isClock = (key: string | undefined) => columns.some((own) => own.key === key && own.kind === 'clock');
  return from && to && isClock(from) && isClock(to) ? { from, to } : null;
}

/**
 * The time between two clock times.
 * @param unit a unit of time; minutes where it is not known
 * @returns null for what is no time of day
 */
export function clockDifference(from: string, to: string, unit: string | null): Decimal | null {
  try {
    return clockMinutes(from, to).times(perMinute(unit));
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

const perMinute = (unit: string | null): Decimal => unitFactor('min', unit ?? 'min') ?? new Decimal(1);

/** Every slip that two clock times allow: 9:50 to 10:20 as 9.50 and 10.20, 41 min 35 s as 41.35, 12:40 to 1:11. */
export function clockSlips(from: string, to: string, unit: string | null): readonly ClockSlip[] {
  const [minutes, between] = [clockDifference(from, to, 'min'), clockDifference(from, to, unit)];
  if (!minutes || !between) return [];
  const asked: ClockSlip = {
    code: 'clock-afternoon',
    title: `Was ${to.trim()} in the afternoon?`,
    hint: `Then write ${inTheAfternoon(to)}.`,
    value: between.minus(perMinute(unit).times(halfDayMinutes)),
  };
  const decimals = { code: 'clock-as-decimals', title: 'The times were subtracted like decimals.' } as const;
  const hours = asDecimal(to).minus(asDecimal(from));
  const hint = 'An hour has 60 minutes.';
  if (unit === 'h') return [{ ...decimals, hint, value: hours }, asked];
  if (unit !== 'min' && unit !== null) return [asked];
  const whole = minutes.floor();
  return [
    { ...decimals, hint, value: hours.times(100) },
    {
      code: 'clock-as-decimals',
      title: 'The seconds were written as hundredths of a minute.',
      hint: 'A minute has 60 seconds.',
      value: whole.plus(minutes.minus(whole).times(60).round().div(100)),
    },
    asked,
  ];
}

/** 15:09:15 as 15.0915. */
const asDecimal = (time: string): Decimal => new Decimal(time.trim().replace(':', '.').replace(':', ''));

const inTheAfternoon = (time: string): string =>
  time.trim().replace(/^\d+/, (hour) => String((Number(hour) % 12) + 12));
