import { stepFor, type Conventions } from '../conventions';
import { parseNumber } from '../figures';
import { instrumentOf, modelOf } from '../instruments';
import { kitOf, type Column, type Investigation } from './investigation';

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
  if (text.trim() === '') return null;
  const parsed = parseNumber(text, conventions.trailingZeros);
  if (!parsed.ok) return parsed.problem.message;
  const { number } = parsed;
  const item = kitOf(investigation, column.tag);
  const instrument = instrumentOf(item.kind);
  const model = modelOf(instrument, item.model);
  const step = stepFor(conventions, {
    kind: item.kind,
    model: model.id,
    division: model.division,
    reads: model.reads,
    tag: item.tag,
  });
  const finest = `${column.tag} is read to ${step.size.toString()} ${column.unit}`;
  if (number.unitText !== '' && number.unitText !== column.unit) {
    return `This column is in ${column.unit}. Write the number alone, in ${column.unit}.`;
  }
  if (number.decimals < step.decimals) return `${number.text.trim()} stops short: ${finest}.`;
  if (number.decimals > step.decimals) return `${number.text.trim()} has a digit too many: ${finest}.`;
  if (!number.value.mod(step.size).isZero())
    return `${number.text.trim()} falls between the steps: ${finest}.`;
  if (number.value.lt(model.lowest) || number.value.gt(model.highest)) {
    return `${number.text.trim()} is off the scale: ${column.tag} goes from ${model.lowest} to ${model.highest} ${column.unit}.`;
  }
  return null;
}
