import { Decimal } from '../decimal/decimal';
import { findUnit, unitNamed, type Dimension, type Unit } from './units';

/** A product of powers of simple units, such as g·cm⁻³; empty for a pure number. */
export type UnitProduct = readonly UnitPower[];

export interface UnitPower {
  readonly unit: Unit;
  readonly power: number;
}

export const pure: UnitProduct = [];

/** A unit as a product of simple ones: cm³ is cm to the third. */
export function simple(unit: Unit): UnitProduct {
  const parts = compound[unit.symbol];
  return parts ? parts.map(([symbol, power]) => ({ unit: unitNamed(symbol), power })) : [{ unit, power: 1 }];
}

const compound: Readonly<Record<string, readonly (readonly [symbol: string, power: number])[]>> = {
  'dm³': [['dm', 3]],
  'cm³': [['cm', 3]],
  'mm³': [['mm', 3]],
  'g/cm³': [
    ['g', 1],
    ['cm', -3],
  ],
  'g/mL': [
    ['g', 1],
    ['mL', -1],
  ],
  'kg/m³': [
    ['kg', 1],
    ['m', -3],
  ],
};

/** The same product to a power. */
export const raised = (product: UnitProduct, power: number): UnitProduct =>
  product.map(({ unit, power: own }) => ({ unit, power: own * power })).filter(({ power: own }) => own !== 0);

export const dimensionOf = (product: UnitProduct): Dimension =>
  product.reduce<Dimension>(
    (sum, { unit, power }) =>
      sum.map((own, at) => own + power * (unit.dimension[at] ?? 0)) as unknown as Dimension,
    [0, 0, 0, 0],
  );

export const sameDimension = (a: UnitProduct, b: UnitProduct): boolean =>
  dimensionOf(a).every((power, at) => Math.abs(power - (dimensionOf(b)[at] ?? 0)) < 1e-9);

/** How many SI base units one of a product is, exactly. */
const inBase = (product: UnitProduct): Decimal =>
  product.reduce((factor, { unit, power }) => factor.times(unit.inBase.pow(power)), new Decimal(1));

/** How many `to` one `from` is. @throws RangeError for products of different dimensions. */
export function productFactor(from: UnitProduct, to: UnitProduct): Decimal {
  if (!sameDimension(from, to))
    throw new RangeError(`${writeProduct(from)} and ${writeProduct(to)} do not measure the same.`);
  return inBase(from).div(inBase(to));
}

/** Figures of the rounded factors that a conversion from one to the other goes through; Infinity where all are exact. */
export const factorFigures = (from: UnitProduct, to: UnitProduct): number => {
  const symbols = (product: UnitProduct) => new Set(product.map(({ unit }) => unit.symbol));
  const [left, right] = [symbols(from), symbols(to)];
  return Math.min(
    ...[...from, ...to].map(({ unit }) =>
      left.has(unit.symbol) && right.has(unit.symbol) ? Infinity : (unit.roundedFigures ?? Infinity),
    ),
  );
};

/**
 * Multiplies two products. Units that stand above and below cancel; where they are different units of one quantity, the
 * second is turned into the first, which multiplies the value by an exact factor.
 */
export function multiplied(
  a: UnitProduct,
  b: UnitProduct,
): { readonly product: UnitProduct; readonly factor: Decimal } {
  let factor = new Decimal(1);
  const powers = new Map<Unit, number>(a.map(({ unit, power }) => [unit, power]));
  for (const { unit, power } of b) {
    const kin = kinOf(unit, power, powers);
    if (kin === undefined || kin === unit) {
      powers.set(unit, (powers.get(unit) ?? 0) + power);
      continue;
    }
    // mL against cm: as many of the other as its dimension holds.
    const share = ratio(unit.dimension, kin.dimension);
    factor = factor.times(unit.inBase.div(kin.inBase.pow(share)).pow(power));
    powers.set(kin, (powers.get(kin) ?? 0) + power * share);
  }
  const product = [...powers].flatMap(([unit, power]) => (power === 0 ? [] : [{ unit, power }]));
  return { product, factor };
}

/** A unit already there that this one cancels against: itself, or another of the same quantity on the other side. */
function kinOf(unit: Unit, power: number, powers: ReadonlyMap<Unit, number>): Unit | undefined {
  if (powers.has(unit)) return unit;
  if (unit.roundedFigures !== undefined) return undefined;
  return [...powers.keys()].find((other) => {
    if (other.roundedFigures !== undefined) return false;
    const share = ratio(unit.dimension, other.dimension);
    return Number.isInteger(share) && share > 0 && Math.sign(powers.get(other) ?? 0) === -Math.sign(power);
  });
}

/** How many times the one dimension is the other; NaN where it is no multiple. */
function ratio(of: Dimension, by: Dimension): number {
  const shares = of.flatMap((power, at) => (power === 0 && by[at] === 0 ? [] : [power / (by[at] ?? 0)]));
  const [first] = shares;
  return first !== undefined && shares.every((share) => share === first) ? first : NaN;
}

const superscripts = '⁰¹²³⁴⁵⁶⁷⁸⁹';
const raisedText = (power: number): string =>
  power === 1
    ? ''
    : `${power < 0 ? '⁻' : ''}${String(Math.abs(power))
        .split('')
        .map((digit) => superscripts[Number(digit)] ?? '·')
        .join('')}`;

/** `g/cm³`, `cm³`, `1/s`; '' for a pure number. */
export function writeProduct(product: UnitProduct): string {
  const above = product.filter(({ power }) => power > 0);
  const below = product.filter(({ power }) => power < 0);
  const join = (powers: UnitProduct, sign: 1 | -1) =>
    powers.map(({ unit, power }) => `${unit.symbol}${raisedText(power * sign)}`).join('·');
  if (below.length === 0) return join(above, 1);
  return `${above.length === 0 ? '1' : join(above, 1)}/${join(below, -1)}`;
}

/**
 * Reads `g/cm^3`, `cm·cm`, `kg m`, `cm³`. Spellings that are understood count as their units.
 * @throws RangeError for what is no unit.
 */
export function parseProduct(text: string): UnitProduct {
  const trimmed = text.trim();
  if (trimmed === '' || trimmed === '1') return pure;
  const whole = findUnit(trimmed);
  if (whole) return simple(whole.unit);
  return trimmed.split('/').reduce<UnitProduct>((product, side, at) => {
    const factors = side.trim() === '1' ? [] : side.trim().split(/[·*\s]+/);
    return factors.reduce(
      (sum, factor) => merge(sum, raised(readFactor(factor), at === 0 ? 1 : -1)),
      product,
    );
  }, pure);
}

const merge = (a: UnitProduct, b: UnitProduct): UnitProduct => {
  const powers = new Map<Unit, number>();
  for (const { unit, power } of [...a, ...b]) powers.set(unit, (powers.get(unit) ?? 0) + power);
  return [...powers].flatMap(([unit, power]) => (power === 0 ? [] : [{ unit, power }]));
};

function readFactor(factor: string): UnitProduct {
  const whole = findUnit(factor);
  if (whole) return simple(whole.unit);
  const [, symbol = '', plain = '', raisedDigits = ''] =
    /^(.+?)(?:\^?(-?\d)|([⁻]?[¹²³⁴-⁹]))$/.exec(factor) ?? [];
  const unit = findUnit(symbol)?.unit;
  if (!unit) throw new RangeError(`“${factor}” is not a unit that is known here.`);
  const power = plain
    ? Number(plain)
    : (raisedDigits.startsWith('⁻') ? -1 : 1) * superscripts.indexOf(raisedDigits.slice(-1));
  return raised(simple(unit), power);
}
