import { halfWidthFor, stepFor, type Conventions, type Step } from '../conventions';
import { clockSeconds, Exact, parseNumber } from '../figures';
import { instrumentOf, modelOf, type Model as Make } from '../instruments';
import { kitOf, type Column, type Investigation, type MeasuredColumn } from './investigation';

/** The make behind a column, and how it is read in this class. */
export function readAs(
  column: MeasuredColumn,
  investigation: Investigation,
  conventions: Conventions,
): { readonly make: Make; readonly step: Step } {
  const item = kitOf(investigation, column.tag);
  const make = modelOf(instrumentOf(item.kind), item.model);
  const step = stepFor(conventions, {
    kind: item.kind,
    model: make.id,
    division: make.division,
    reads: make.reads,
    tag: item.tag,
  });
  return { make, step };
}

/** The half-width of a reading of a column, in its unit; 0 for what is counted or derived. */
export function halfWidthOf(column: Column, investigation: Investigation, conventions: Conventions): number {
  if (column.kind === 'clock') return 0.5;
  if (column.kind !== 'measured') return 0;
  const { make } = readAs(column, investigation, conventions);
  return halfWidthFor(
    conventions,
    {
      kind: kitOf(investigation, column.tag).kind,
      model: make.id,
      division: make.division,
      reads: make.reads,
      tag: column.tag,
    },
    new Exact(make.tolerance),
  ).toNumber();
}

/**
 * What to say of a text in a column at once, or null when nothing is amiss. It advises and never blocks: what was
 * written stays as it was written.
 */
export function adviseOn(
  text: string,
  column: Column,
  investigation: Investigation,
  conventions: Conventions,
): string | null {
  if (text.trim() === '' || column.kind === 'derived') return null;
  if (column.kind === 'clock') return adviseOnClock(text);
  const parsed = parseNumber(text, conventions.trailingZeros);
  if (!parsed.ok) return parsed.problem.message;
  const { number } = parsed;
  const written = number.text.trim();
  if (column.kind === 'count')
    return number.value.isInteger() && number.value.gte(0)
      ? null
      : `${written} is no count: it has to be a whole number.`;
  const { make, step } = readAs(column, investigation, conventions);
  const finest = `${column.tag} is read to ${step.size.toString()} ${column.unit}`;
  if (number.unitText !== '' && number.unitText !== column.unit) {
    return `This column is in ${column.unit}. Write the number alone, in ${column.unit}.`;
  }
  if (number.decimals < step.decimals) return `${written} stops short: ${finest}.`;
  if (number.decimals > step.decimals) return `${written} has a digit too many: ${finest}.`;
  if (!number.value.mod(step.size).isZero()) return `${written} falls between the steps: ${finest}.`;
  if (number.value.lt(make.lowest) || number.value.gt(make.highest)) {
    return `${written} is off the scale: ${column.tag} goes from ${make.lowest} to ${make.highest} ${column.unit}.`;
  }
  return null;
}

function adviseOnClock(text: string): string | null {
  try {
    clockSeconds(text);
    return null;
  } catch (error) {
    return error instanceof RangeError ? error.message : null;
  }
}
