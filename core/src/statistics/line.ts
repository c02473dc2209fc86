import { Decimal } from '../decimal/decimal';
import { total } from './summary';

/** A straight line y = a + b·x by least squares, in the units of its points. */
export interface Line {
  readonly n: number;
  readonly slope: number;
  readonly intercept: number;
  /** Standard deviation of the points about the line; NaN where no degree of freedom is left. */
  readonly residualSd: number;
  readonly degrees: number;
  readonly slopeSd: number;
  readonly interceptSd: number;
  /** Covariance of intercept and slope. */
  readonly covariance: number;
}

export interface LinePoint {
  readonly x: Decimal;
  readonly y: Decimal;
}

/**
 * Fits a line, through the origin or not (JCGM 100:2008, H.3; Draper and Smith, Applied Regression Analysis, 1998,
 * chapter 1). Sums are taken of exact deviations from the means.
 * @throws RangeError for too few points, or where all stand at one x.
 */
export function fitLine(points: readonly LinePoint[], throughOrigin = false): Line {
  const n = points.length;
  if (n < (throughOrigin ? 1 : 2)) throw new RangeError('A straight line needs two points.');
  const zero = new Decimal(0);
  const [meanX, meanY] = throughOrigin
    ? [zero, zero]
    : [total(points.map(({ x }) => x)).div(n), total(points.map(({ y }) => y)).div(n)];
  const from = points.map(({ x, y }) => ({ x: x.minus(meanX), y: y.minus(meanY) }));
  const sxx = total(from.map(({ x }) => x.times(x)));
  if (sxx.isZero()) throw new RangeError('All points stand at the same x: no line can be laid through them.');
  const slope = total(from.map(({ x, y }) => x.times(y))).div(sxx);
  const intercept = meanY.minus(slope.times(meanX));
  const degrees = n - (throughOrigin ? 1 : 2);
  const squares = total(from.map(({ x, y }) => y.minus(slope.times(x)).pow(2)));
  const residualSd = degrees > 0 ? squares.div(degrees).sqrt().toNumber() : NaN;
  const slopeSd = residualSd / Math.sqrt(sxx.toNumber());
  const x = meanX.toNumber();
  return {
    n,
    slope: slope.toNumber(),
    intercept: intercept.toNumber(),
    residualSd,
    degrees,
    slopeSd,
    interceptSd: throughOrigin ? 0 : Math.hypot(residualSd / Math.sqrt(n), x * slopeSd),
    covariance: throughOrigin ? 0 : -x * slopeSd ** 2,
  };
}

/** The line at an x: its y, and the standard uncertainty of that by the scatter of the points. */
export function yAt({ slope, intercept, slopeSd, interceptSd, covariance }: Line, x: number): Predicted {
  return {
    value: intercept + slope * x,
    sd: Math.sqrt(Math.max(0, interceptSd ** 2 + (x * slopeSd) ** 2 + 2 * x * covariance)),
  };
}

/**
 * Where the line reaches a y. The uncertainty is that of intercept and slope, carried through x = (y − a)/b to first order.
 * @throws RangeError for a level line.
 */
export function xWhere(line: Line, y: number): Predicted {
  if (line.slope === 0) throw new RangeError('A level line never reaches another height.');
  const value = (y - line.intercept) / line.slope;
  return { value, sd: yAt(line, value).sd / Math.abs(line.slope) };
}

export interface Predicted {
  readonly value: number;
  readonly sd: number;
}
