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
  /** Share of the squares of y that the line takes up; NaN where all y are equal. */
  readonly rSquared: number;
  /** The middle that its sums were taken from, and Σ(x − x̄)²; through the origin both are about 0. */
  readonly about: { readonly x: Decimal; readonly y: Decimal; readonly sxx: Decimal };
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
  const all = total(from.map(({ y }) => y.pow(2)));
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
    rSquared: all.isZero() ? NaN : new Decimal(1).minus(squares.div(all)).toNumber(),
    about: { x: meanX, y: meanY, sxx },
  };
}

/** What is asked of a line: its slope, its height at an x, or where it reaches a y. */
export type Asked =
  { readonly gives: 'slope' } | { readonly gives: 'y' | 'x'; readonly at: Decimal | number };

/** A value that a line gives, with its derivatives by every y and every x of its points, in their order. */
export interface Given {
  readonly value: number;
  readonly byY: readonly number[];
  readonly byX: readonly number[];
}

/**
 * What a line gives, and how it moves with each coordinate of its points. All is taken from the middle of the points, so
 * that nothing is lost far from 0. With dx = x − x̄, dy = y − ȳ: ∂b/∂y = dx/Sxx, ∂b/∂x = (dy − 2b·dx)/Sxx; the height at x₀
 * is ȳ + b(x₀ − x̄), the place of y₀ is x̄ + (y₀ − ȳ)/b.
 * @throws RangeError for a level line that is asked where it reaches a height.
 */
export function givenBy(line: Line, points: readonly LinePoint[], asked: Asked): Given {
  const { slope: b, about } = line;
  const n = points.length;
  const origin = line.degrees === n - 1;
  const sxx = about.sxx.toNumber();
  const from = points.map(({ x, y }) => [x.minus(about.x).toNumber(), y.minus(about.y).toNumber()] as const);
  const slope: Given = {
    value: b,
    byY: from.map(([dx]) => dx / sxx),
    byX: from.map(([dx, dy]) => (dy - 2 * b * dx) / sxx),
  };
  if (asked.gives === 'slope') return slope;
  // The middle moves with every point; through the origin there is no middle to move.
  const middle = origin ? 0 : 1 / n;
  const moved = (own: number, by: number) => (partial: number) => own + by * partial;
  if (asked.gives === 'y') {
    const off = new Decimal(asked.at).minus(about.x);
    const by = off.toNumber();
    return {
      value: about.y.plus(off.times(b)).toNumber(),
      byY: slope.byY.map(moved(middle, by)),
      byX: slope.byX.map(moved(-b * middle, by)),
    };
  }
  if (b === 0) throw new RangeError('A level line never reaches another height.');
  const off = new Decimal(asked.at).minus(about.y);
  const by = -off.toNumber() / b ** 2;
  return {
    value: about.x.plus(off.div(b)).toNumber(),
    byY: slope.byY.map(moved(-middle / b, by)),
    byX: slope.byX.map(moved(middle, by)),
  };
}

/** The line at an x: its y, and the standard uncertainty of that by the scatter of the points, s·√(1/n + (x − x̄)²/Sxx). */
export function yAt(line: Line, x: Decimal | number): Predicted {
  const { about, residualSd, n, degrees } = line;
  const off = new Decimal(x).minus(about.x);
  const ofMiddle = degrees === n - 1 ? 0 : 1 / n;
  return {
    value: about.y.plus(off.times(line.slope)).toNumber(),
    sd: residualSd * Math.sqrt(ofMiddle + off.pow(2).div(about.sxx).toNumber()),
  };
}

/**
 * Where the line reaches a y. The uncertainty is that of its height there over the slope, to first order.
 * @throws RangeError for a level line.
 */
export function xWhere(line: Line, y: Decimal | number): Predicted {
  if (line.slope === 0) throw new RangeError('A level line never reaches another height.');
  const value = line.about.x.plus(new Decimal(y).minus(line.about.y).div(line.slope));
  return { value: value.toNumber(), sd: yAt(line, value).sd / Math.abs(line.slope) };
}

export interface Predicted {
  readonly value: number;
  readonly sd: number;
}
