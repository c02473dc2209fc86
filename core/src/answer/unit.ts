import { convert, Decimal, tenTo, type WrittenNumber } from '../figures';
import type { Conventions } from '../conventions';
import { conversionFactor, findUnit, pure, sameQuantity, simple, type Unit } from '../units';
import { writingCause, type Cause, type WritingFault } from './cause';

/** The unit in which a number is asked for. */
export interface UnitRule {
  /** '' for a pure number. */
  readonly unit: string;
  /** True where the unit stands in a heading: it may be left out. */
  readonly headed: boolean;
  /** What is measured, for a sentence: `this ruler is divided in mm`; absent where nothing is divided. */
  readonly instrument?: { readonly name: string; readonly quantity: string };
}

export interface UnitVerdict {
  readonly faults: readonly Cause[];
  readonly remarks: readonly string[];
  /** How many of the rule's unit one of the written is, a power of ten; 1 where the unit is at fault. */
  readonly factor: Decimal;
  /** The unit as it was written and understood, else that of the rule. */
  readonly symbol: string;
  /** The number turned into the rule's unit, where another unit of the same quantity was written; else null. */
  readonly converted: number | null;
}

/**
 * Judges the unit of a written number. Units of the same quantity whose factor is a power of ten are as good as the rule's own;
 * a temperature scale is no other one's.
 */
export function judgeUnit(
  number: WrittenNumber,
  unitText: string,
  rule: UnitRule,
  { symbolSpelling, kelvin }: Conventions,
): UnitVerdict {
  const one = new Decimal(1);
  const verdict = (part: Partial<UnitVerdict>): UnitVerdict => ({
    faults: [],
    remarks: [],
    factor: one,
    symbol: rule.unit,
    converted: null,
    ...part,
  });
  const fault = (code: WritingFault, title: string, hint: string, part: Partial<UnitVerdict> = {}) =>
    verdict({ ...part, faults: [writingCause(code, title, hint)] });
  const own = findUnit(rule.unit)?.unit;
  const found = findUnit(unitText);
  if (unitText === '') {
    if (rule.unit === '' || rule.headed) return verdict({});
    return fault(
      'unit-missing',
      'The unit is missing.',
      `A number without its unit says nothing.${rule.instrument ? ' What does this scale measure in?' : ''}`,
    );
  }
  if (rule.unit === '')
    return fault('unit-wrong', 'A unit stands where none belongs.', 'This is a pure number.');
  if (!found)
    return fault(
      'unit-wrong',
      `“${unitText}” is not a unit that is known here.`,
      rule.instrument ? 'Look for the symbol printed on the scale.' : 'Look how the units work out.',
    );
  // A unit put together of others, as g/mm, is asked for as it is.
  if (!own)
    return unitText === rule.unit
      ? verdict({})
      : fault('unit-wrong', 'The unit is another one.', `It is asked for in ${rule.unit}.`);
  if (!sameQuantity(found.unit, own))
    return fault(
      'unit-wrong',
      rule.instrument ? 'The unit measures something else.' : 'The unit is another one.',
      rule.instrument
        ? `${found.unit.symbol} is a unit of ${found.unit.quantity}; this ${rule.instrument.name} measures ${rule.instrument.quantity}.`
        : 'Write the units into the calculation and let them cancel.',
    );
  const factor = conversionFactor(found.unit, own);
  const otherScale = own.quantity === 'temperature' && found.unit !== own;
  if (otherScale || !factor.eq(tenTo(factor.e)))
    return fault(
      'unit-wrong',
      rule.instrument ? 'The scale is in another unit.' : 'Another unit was asked for.',
      rule.instrument
        ? `This ${rule.instrument.name} is divided in ${own.symbol}. Write what it shows.`
        : `Write it in ${own.symbol}.`,
      { converted: convertedTo(number, found.unit, own, kelvin) },
    );
  const understood = { factor, symbol: found.unit.symbol };
  if (found.standardSpelling || symbolSpelling === 'accept') return verdict(understood);
  const sentence = `“${unitText}” is understood; its symbol is ${found.unit.symbol}.`;
  return symbolSpelling === 'remark'
    ? verdict({ ...understood, remarks: [sentence] })
    : fault('unit-misspelt', 'The unit is misspelt.', sentence, understood);
}

/** The number in another unit of its quantity: a temperature is a point on its scale. */
function convertedTo(number: WrittenNumber, from: Unit, to: Unit, kelvin: Conventions['kelvin']): number {
  const unit = from.quantity === 'count' ? pure : simple(from);
  const quantity = {
    value: number.value,
    lastPlace: number.lastPlace,
    unit,
    point: from.quantity === 'temperature',
  };
  return convert(quantity, simple(to), kelvin).value.toNumber();
}
