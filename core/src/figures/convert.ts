import { parseProduct, sameDimension, writeProduct, type UnitProduct } from '../units/product';
import { Decimal } from '../decimal/decimal';
import { inUnit, type Quantity } from './quantity';

/** How a course turns °C into kelvin: by 273.15, which is exact, or by 273. */
export type KelvinRule = 'exact' | 'rounded';

/** kelvin = °C + 273.15; °F = °C·1.8 + 32: both are definitions. */
interface Scale {
  readonly zero: string;
  readonly degree: string;
}

const scales: Readonly<Record<string, Scale>> = {
  K: { zero: '0', degree: '1' },
  '°C': { zero: '273.15', degree: '1' },
  '°F': {
    zero: '255.372222222222222222222222222222222222',
    degree: '0.555555555555555555555555555555555556',
  },
};

/**
 * Turns a quantity into another unit. A temperature *point* goes with its scale's exact offset and keeps its decimals; a
 * *difference* has no offset.
 * @throws RangeError for a unit that is not known or measures something else.
 */
export function convert(
  quantity: Quantity,
  to: string | UnitProduct,
  kelvin: KelvinRule = 'exact',
): Quantity {
  const unit = typeof to === 'string' ? parseProduct(to) : to;
  if (!sameDimension(quantity.unit, unit))
    throw new RangeError(
      `${writeProduct(quantity.unit) || 'A pure number'} cannot be turned into ${writeProduct(unit)}.`,
    );
  const [from, into] = [scaleOf(quantity.unit), scaleOf(unit)];
  if (!quantity.point || !from || !into) return inUnit(quantity, unit);
  const value = quantity.value
    .times(from.degree)
    .plus(zeroOf(from, kelvin))
    .minus(zeroOf(into, kelvin))
    .div(into.degree);
  const tidy = value.toDecimalPlaces(30);
  return { value: tidy, lastPlace: quantity.lastPlace, unit, point: true };
}

/** Where the zero of a scale stands in kelvin; a course that takes 273 is 0.15 off on every other scale alike. */
const zeroOf = ({ zero }: Scale, kelvin: KelvinRule): Decimal =>
  new Decimal(zero).minus(kelvin === 'rounded' && zero !== '0' ? '0.15' : '0');

/** True for the symbol of a temperature scale: a written value on it is a point. */
export const isScale = (symbol: string): boolean => Object.hasOwn(scales, symbol);

const scaleOf = (unit: UnitProduct) =>
  unit.length === 1 && unit[0]?.power === 1 ? scales[unit[0].unit.symbol] : undefined;

/** Minutes of a clock difference `from` to `to` (hh:mm or hh:mm:ss), across midnight where it goes back. @throws RangeError */
export function clockMinutes(from: string, to: string): Decimal {
  const seconds = clockSeconds(to) - clockSeconds(from);
  return new Decimal(seconds < 0 ? seconds + 86_400 : seconds).div(60);
}

/** Seconds since midnight. @throws RangeError for what is no time of day. */
export function clockSeconds(text: string): number {
  const [, h, m, s = '0'] = /^\s*(\d{1,2}):(\d{2})(?::(\d{2}))?\s*$/.exec(text) ?? [];
  const [hours, minutes, seconds] = [Number(h), Number(m), Number(s)];
  if (h === undefined || hours > 23 || minutes > 59 || seconds > 59)
    throw new RangeError(`“${text}” is not a time of day such as 9:05 or 14:32:10.`);
  return hours * 3600 + minutes * 60 + seconds;
}
