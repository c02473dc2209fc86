import { placeOfStep } from '../../answer';
import { halfWidthFor, type Conventions } from '../../conventions';
import { Decimal, isScale, measured, parseReading, type Quantity } from '../../figures';
import { summarize } from '../../statistics';
import { parseProduct, unitFactor } from '../../units';
import { columnRule, judgeCell, rangeWords, readOn, type ColumnRule } from '../columnRule';
import type { MeasuredColumn } from '../investigation';
import type { CellContext, ColumnKind } from './columnKind';
import { mannerAdvice, readingsIn } from './manner';

/** Read from an instrument of the kit. The place of a reading is that of its step, or coarser where it stops short. */
export const measuredKind: ColumnKind<MeasuredColumn> = {
  quantity(text, column, context) {
    const readings = quantitiesIn(text, column, context);
    return readings && meanOfReadings(readings);
  },
  advise(text, column, investigation, conventions) {
    const rule = columnRule(column, investigation, conventions);
    const wanted = mannerAdvice(text, column, rule);
    if (wanted !== null) return wanted;
    for (const reading of readingsIn(text, column, rule)) {
      const advice = adviseOnReading(reading, column, rule, conventions);
      if (advice !== null) return advice;
    }
    return null;
  },
  halfWidth(column, investigation, conventions) {
    const { make, scale } = readOn(column, investigation);
    const factor = unitFactor(make.unit, column.unit) ?? new Decimal(1);
    return halfWidthFor(conventions, scale, new Decimal(make.tolerance)).times(factor).toNumber();
  },
  audit(column, investigation, conventions) {
    const { instrument, step, range, rule } = columnRule(column, investigation, conventions);
    const { resolution } = rule;
    return {
      read: {
        by: column.tag,
        unit: column.unit,
        step: step.size.toString(),
        estimated: step.judged === 'estimate',
        ...(resolution.by === 'step' && resolution.fractions ? { fractions: resolution.fractions } : {}),
        lowest: range.lowest.toString(),
        highest: range.highest.toString(),
        glass: instrument.quantity === 'volume',
      },
      carried: column.carried ?? false,
      planned: column.planned ?? null,
    };
  },
};

/**
 * How far the mean of one cell may be off by where the thing happened to be turned to, s/√n in the column’s unit; 0 for one
 * reading.
 */
export function spreadWithin(text: string, column: MeasuredColumn, context: CellContext): number {
  const readings = quantitiesIn(text, column, context) ?? [];
  const [first] = readings;
  return first && readings.length > 1
    ? (summarize(readings.map(({ value }) => value)).sdOfMean?.toNumber() ?? 0)
    : 0;
}

function quantitiesIn(
  text: string,
  column: MeasuredColumn,
  context: CellContext,
): readonly Quantity[] | null {
  const readings = readingsIn(text, column, context.rule).map((reading) =>
    quantityRead(reading, column, context),
  );
  return readings.every((reading) => reading !== null) ? readings : null;
}

/** Their mean, to the coarsest of their places. */
function meanOfReadings(readings: readonly Quantity[]): Quantity | null {
  const [first] = readings;
  if (!first || readings.length === 1) return first ?? null;
  return {
    ...first,
    value: summarize(readings.map(({ value }) => value)).mean,
    lastPlace: Math.max(...readings.map(({ lastPlace }) => lastPlace ?? -Infinity)),
  };
}

function quantityRead(
  text: string,
  { unit: symbol }: MeasuredColumn,
  { conventions, rule }: CellContext,
): Quantity | null {
  const unit = symbol === '' ? [] : parseProduct(symbol);
  const point = isScale(symbol);
  if (!rule) {
    const parsed = parseReading(text, conventions.trailingZeros);
    return parsed.ok ? { ...measured(parsed.number), unit, point } : null;
  }
  const writing = judgeCell(text, rule, conventions);
  if (!writing.readable) return null;
  const { written, number } = writing;
  const inOther = writing.unit.converted;
  // A length in inches is one in a millimetre column too; what measures something else is none.
  if (writing.unit.faults.some(({ code }) => code === 'unit-wrong') && inOther === null) return null;
  const place = placeOfStep(rule.step.size);
  if (inOther !== null)
    return { value: new Decimal(inOther).toSignificantDigits(15), lastPlace: place, unit, point };
  const ownPlace = number.bareZero ? 0 : -written.decimals;
  return { value: written.value, lastPlace: Math.max(place, ownPlace), unit, point };
}

function adviseOnReading(
  text: string,
  column: MeasuredColumn,
  rule: ColumnRule,
  conventions: Conventions,
): string | null {
  const writing = judgeCell(text, rule, conventions);
  if (!writing.readable) return writing.problem.message;
  const { number, written, unit, faults, remarks } = writing;
  const shown = number.text.trim();
  if (unit.faults.length > 0) return inColumnUnit(column.unit);
  const [fault] = faults;
  if (fault) {
    const step = rule.step.size.div(unit.factor).toString();
    return `${shown} ${digitWords[fault.code] ?? `is amiss: ${fault.hint}`}: ${column.tag} is read to ${step} ${unit.symbol}.`;
  }
  const { lowest, highest } = rule.range;
  if (written.value.lt(lowest) || written.value.gt(highest))
    return `${shown} is off the scale: ${column.tag} goes from ${rangeWords(rule.range)} ${column.unit}.`;
  if (number.unitText !== '' && unit.symbol !== column.unit) return inColumnUnit(column.unit);
  return remarks[0] ?? null;
}

const inColumnUnit = (unit: string): string =>
  `This column is in ${unit}. Write the number alone, in ${unit}.`;

const digitWords: Readonly<Record<string, string>> = {
  'dropped-final-digit': 'stops short',
  'dropped-trailing-zero': 'stops short',
  'bare-zero': 'stops short',
  'extra-digit': 'has a digit too many',
  'off-step': 'falls between the steps',
  'point-missing': 'ends in a zero that was read, and needs a point behind it',
};
