import { Decimal } from '../decimal/decimal';

/** Exponents of length, mass, temperature and time. */
export type Dimension = readonly [length: number, mass: number, temperature: number, time: number];

export interface Unit {
  /** The standard symbol. */
  readonly symbol: string;
  readonly name: string;
  readonly quantity: string;
  readonly dimension: Dimension;
  /** How many SI base units (m, kg, K, s and their products) one of this is, exactly. */
  readonly inBase: Decimal;
  /** Spellings that are understood but not standard. */
  readonly spellings: readonly string[];
  /** Figures of its factor where that is rounded, and so limits what is converted with it. */
  readonly roundedFigures?: number;
}

const row = (
  symbol: string,
  name: string,
  quantity: string,
  dimension: Dimension,
  inBase: string,
  ...spellings: string[]
): Unit => ({ symbol, name, quantity, dimension, inBase: new Decimal(inBase), spellings });

/** A unit whose factor is given to so many figures. */
const rounded = (roundedFigures: number, unit: Unit): Unit => ({ ...unit, roundedFigures });

const length: Dimension = [1, 0, 0, 0];
const volume: Dimension = [3, 0, 0, 0];
const mass: Dimension = [0, 1, 0, 0];
const temperature: Dimension = [0, 0, 1, 0];
const time: Dimension = [0, 0, 0, 1];
const count: Dimension = [0, 0, 0, 0];
const density: Dimension = [-3, 1, 0, 0];
const pressure: Dimension = [-1, 1, 0, -2];

/** Every unit of the product, one row each. 1 in = 2.54 cm and 1 mL = 1 cm³ are definitions; lb, oz, mi and gal are rounded. */
export const units: readonly Unit[] = [
  row('kg', 'kilogram', 'mass', mass, '1', 'Kg', 'KG', 'kgs'),
  row('g', 'gram', 'mass', mass, '1e-3', 'gm', 'gms', 'gr', 'G', 'gram', 'grams'),
  row('mg', 'milligram', 'mass', mass, '1e-6'),
  row('m', 'metre', 'length', length, '1'),
  row('dm', 'decimetre', 'length', length, '0.1'),
  row('cm', 'centimetre', 'length', length, '0.01', 'cms'),
  row('mm', 'millimetre', 'length', length, '1e-3', 'mms'),
  row('µm', 'micrometre', 'length', length, '1e-6', 'μm', 'um'),
  row('in', 'inch', 'length', length, '0.0254', 'inch', 'inches', 'ins'),
  row('L', 'litre', 'volume', volume, '1e-3', 'l', 'ltr'),
  row('mL', 'millilitre', 'volume', volume, '1e-6', 'ml', 'ML', 'Ml', 'mls'),
  row('µL', 'microlitre', 'volume', volume, '1e-9', 'μL', 'uL', 'ul'),
  row('dm³', 'cubic decimetre', 'volume', volume, '1e-3', 'dm3', 'dm^3'),
  row('cm³', 'cubic centimetre', 'volume', volume, '1e-6', 'cm3', 'cm^3', 'cc', 'ccm'),
  row('mm³', 'cubic millimetre', 'volume', volume, '1e-9', 'mm3', 'mm^3'),
  row('°C', 'degree Celsius', 'temperature', temperature, '1', 'C', 'degC', '°c'),
  row('K', 'kelvin', 'temperature', temperature, '1', '°K'),
  row('°F', 'degree Fahrenheit', 'temperature', temperature, '0.555555555555555555555555555555', 'F', 'degF'),
  row('s', 'second', 'time', time, '1', 'sec', 'secs'),
  row('min', 'minute', 'time', time, '60', 'mins'),
  row('h', 'hour', 'time', time, '3600', 'hr', 'hrs'),
  row('°', 'degree', 'angle', count, '0.01745329251994329576923690768488612713', 'deg'),
  rounded(4, row('lb', 'pound', 'mass', mass, '0.4536', 'lbs')),
  rounded(4, row('oz', 'ounce', 'mass', mass, '0.02835')),
  rounded(4, row('mi', 'mile', 'length', length, '1609')),
  rounded(4, row('gal', 'gallon', 'volume', volume, '3.785e-3')),
  row('Pa', 'pascal', 'pressure', pressure, '1'),
  row('hPa', 'hectopascal', 'pressure', pressure, '100', 'mbar'),
  row('kPa', 'kilopascal', 'pressure', pressure, '1000'),
  row('atm', 'standard atmosphere', 'pressure', pressure, '101325'),
  {
    ...row('mmHg', 'millimetre of mercury', 'pressure', pressure, '1', 'Torr', 'torr'),
    inBase: new Decimal(101_325).div(760),
  },
  row('drops', 'drop', 'count', count, '1', 'drop'),
  row('%', 'percent', 'ratio', count, '0.01', 'percent', 'per cent'),
  row('g/cm³', 'gram per cubic centimetre', 'density', density, '1e3', 'g/cm3', 'g/cm^3', 'g/cc'),
  row('g/mL', 'gram per millilitre', 'density', density, '1e3', 'g/ml'),
  row('kg/m³', 'kilogram per cubic metre', 'density', density, '1', 'kg/m3', 'kg/m^3'),
];

export interface UnitFound {
  readonly unit: Unit;
  /** False when it was written in a way that is understood but not standard, such as `ml` or `gm`. */
  readonly standardSpelling: boolean;
}

/** Looks a written unit up by its symbol or an understood spelling. */
export function findUnit(text: string): UnitFound | undefined {
  const written = text.trim();
  const standard = units.find(({ symbol }) => symbol === written);
  if (standard) return { unit: standard, standardSpelling: true };
  const spelled = units.find(({ spellings }) => spellings.includes(written));
  return spelled && { unit: spelled, standardSpelling: false };
}

/** A unit by its symbol. @throws RangeError for one that there is not. */
export function unitNamed(symbol: string): Unit {
  const unit = units.find((candidate) => candidate.symbol === symbol);
  if (!unit) throw new RangeError(`There is no unit “${symbol}”.`);
  return unit;
}

/** Drops, degrees and percent are all numbers, and yet not of one quantity. */
export const sameQuantity = (a: Unit, b: Unit): boolean =>
  a.dimension.every((power, at) => power === b.dimension[at]) &&
  (a.dimension.some((power) => power !== 0) || a.quantity === b.quantity);

/** How many `to` one `from` is, for units of one quantity without an offset. @throws RangeError otherwise. */
export function conversionFactor(from: Unit, to: Unit): Decimal {
  if (!sameQuantity(from, to)) {
    throw new RangeError(`${from.symbol} measures ${from.quantity}, ${to.symbol} measures ${to.quantity}.`);
  }
  return from.inBase.div(to.inBase);
}

/** How many `to` one `from` is, as texts; null where they are not units of one quantity. */
export function unitFactor(from: string, to: string): Decimal | null {
  const [a, b] = [findUnit(from)?.unit, findUnit(to)?.unit];
  return a && b && sameQuantity(a, b) ? conversionFactor(a, b) : null;
}
