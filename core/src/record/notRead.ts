import type { Conventions } from '../conventions';
import { decimalOf, parseNumber, plainDecimal, type Quantity } from '../figures';
import type { Input } from '../uncertainty';
import type { AllowanceColumn, GivenColumn, GivenValue, Table } from './investigation';
import { asStandard, perUnit } from './modelInputs';
import type { Trial } from './trials';

// Inputs of a result that nobody reads from an instrument.

/**
 * A correction by judgement, in base units. Whoever judges, judges alike each time: one cause over all rows, named by its column.
 * @param called what its column is called in a budget
 */
export function allowanceInput(
  { trial, allowed }: Trial,
  column: AllowanceColumn,
  value: Quantity,
  called: string,
  conventions: Conventions,
): Input {
  const base = perUnit(column.unit);
  const u = asStandard(allowed?.[column.key] ?? 0, conventions) * base;
  return {
    name: `${column.key} of trial ${trial}`,
    value: value.value.toNumber() * base,
    components: [{ source: `${called}, by judgement`, kind: 'tolerance', u }],
  };
}

/** A value that is given, in base units; its ± is that of its source. @param called what its column is called in a budget */
export function givenInput(
  own: GivenValue,
  column: GivenColumn,
  { rows }: Pick<Table, 'rows'>,
  called: string,
  conventions: Conventions,
): Input {
  const base = perUnit(column.unit);
  const at = column.values.indexOf(own);
  const row = column.values.length > 1 ? `, ${rows?.[at]?.name ?? at}` : '';
  const parsed = parseNumber(plainDecimal(own.value));
  const u = asStandard(decimalOf(own.plusMinus ?? '0').toNumber(), conventions) * base;
  return {
    name: `${column.key} as given, ${at}`,
    value: (parsed.ok ? parsed.number.value : decimalOf(own.value)).toNumber() * base,
    components: own.plusMinus
      ? [{ source: `${called}${row}, from ${own.source}`, kind: 'tolerance', u }]
      : [],
  };
}
