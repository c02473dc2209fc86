import { Decimal, tenTo } from '../decimal/decimal';
import { leadingPlace, roundToPlace, writeAtPlace, type Rounding, withPoint } from './rounding';
import type { WrittenNumber } from './writtenNumber';

/**
 * A number on its way through a calculation: all its digits are kept (guard digits), and beside them the place
 * that its data justify. `lastPlace` null means exact: a count, a definition, a number in a formula.
 */
export interface Tracked {
  readonly value: Decimal;
  readonly lastPlace: number | null;
}

export type Operation = '+' | '−' | '×' | '÷';

/** One step of a calculation, with everything needed to explain it. */
export interface FiguresStep {
  readonly operation: Operation;
  readonly operands: readonly [Tracked, Tracked];
  readonly result: Tracked;
  readonly rule: 'coarsest last place' | 'fewest figures' | 'all exact';
  /** Which operands limit the result (0, 1, both or none). */
  readonly limitedBy: readonly (0 | 1)[];
  /** Figures lost by subtracting nearly equal numbers; 0 otherwise. */
  readonly figuresLost: number;
}

export const measured = (number: WrittenNumber): Tracked => ({
  value: number.value,
  lastPlace: number.lastPlace,
});
export const exactly = (value: number | string | Decimal): Tracked => ({
  value: new Decimal(value),
  lastPlace: null,
});

/** Significant figures of a tracked number; Infinity when exact, 0 for a measured zero. */
export function figuresOf({ value, lastPlace }: Tracked): number {
  if (lastPlace === null) return Infinity;
  const rounded = roundToPlace(value, lastPlace);
  return rounded.isZero() ? 0 : Math.max(0, leadingPlace(rounded) - lastPlace + 1);
}

/**
 * The tracked number rounded and written at its last place; an exact one in full. A whole number that ends in a zero that
 * counts gets a point, so that it can be read back: `20.`
 */
export function writeTracked(tracked: Tracked, rounding: Rounding = 'half-away'): string {
  const { value, lastPlace } = tracked;
  if (lastPlace === null) return exactText(value);
  const text = writeAtPlace(value, lastPlace, rounding);
  return lastPlace === 0 ? withPoint(text) : text;
}

/** An exact number in full, or to twelve figures with dots where it has no end that could be written. */
const exactText = (value: Decimal): string => {
  const cut = value.toSignificantDigits(12, Decimal.ROUND_DOWN);
  const text = (cut.eq(value) ? value : cut).toString().replace('-', '−');
  return cut.eq(value) ? text : `${text}…`;
};

/** + and −: the coarsest last place governs. */
export function add(a: Tracked, b: Tracked): FiguresStep {
  return sum('+', a, b, a.value.plus(b.value));
}

export function subtract(a: Tracked, b: Tracked): FiguresStep {
  return sum('−', a, b, a.value.minus(b.value));
}

/** × and ÷: the fewest figures govern. */
export function multiply(a: Tracked, b: Tracked): FiguresStep {
  return product('×', a, b, a.value.times(b.value));
}

/** @throws RangeError when the divisor is zero. */
export function divide(a: Tracked, b: Tracked): FiguresStep {
  if (b.value.isZero()) throw new RangeError('A number cannot be divided by zero.');
  return product('÷', a, b, a.value.div(b.value));
}

function sum(operation: Operation, a: Tracked, b: Tracked, value: Decimal): FiguresStep {
  const places = [a.lastPlace, b.lastPlace].filter((place) => place !== null);
  const lastPlace = places.length === 0 ? null : Math.max(...places);
  const result = { value, lastPlace };
  const fewest = Math.min(figuresOf(a), figuresOf(b));
  return {
    operation,
    operands: [a, b],
    result,
    rule: lastPlace === null ? 'all exact' : 'coarsest last place',
    limitedBy: which(
      a.lastPlace !== null && a.lastPlace === lastPlace,
      b.lastPlace !== null && b.lastPlace === lastPlace,
    ),
    figuresLost: Number.isFinite(fewest) ? Math.max(0, fewest - figuresOf(result)) : 0,
  };
}

function product(operation: Operation, a: Tracked, b: Tracked, value: Decimal): FiguresStep {
  const counts = [figuresOf(a), figuresOf(b)] as const;
  const fewest = Math.min(...counts);
  return {
    operation,
    operands: [a, b],
    result: { value, lastPlace: placeFor(value, fewest, [a, b]) },
    rule: Number.isFinite(fewest) ? 'fewest figures' : 'all exact',
    limitedBy: Number.isFinite(fewest) ? which(counts[0] === fewest, counts[1] === fewest) : [],
    figuresLost: 0,
  };
}

/** The last place that leaves `figures` figures; a measured zero has none, so its place is scaled instead. */
export function placeFor(value: Decimal, figures: number, operands: readonly Tracked[]): number | null {
  if (!Number.isFinite(figures)) return null;
  if (value.isZero() || figures === 0) {
    return operands.reduce(
      (place, { value: factor, lastPlace }) =>
        place + (factor.isZero() ? (lastPlace ?? 0) : leadingPlace(factor)),
      0,
    );
  }
  const place = leadingPlace(value) - figures + 1;
  const carried = roundToPlace(value, place);
  // Rounding 9.996 to three figures makes 10.0: the first figure has moved, and the last moves with it.
  return carried.abs().gte(tenTo(leadingPlace(value) + 1)) ? place + 1 : place;
}

const which = (first: boolean, second: boolean): (0 | 1)[] => [
  ...(first ? [0 as const] : []),
  ...(second ? [1 as const] : []),
];
