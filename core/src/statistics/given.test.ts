import { describe, expect, it } from 'vitest';
import { Decimal } from '../decimal/decimal';
import { fitLine, givenBy, yAt, type Asked } from '.';

const points = [
  [1, 2.1],
  [2, 3.9],
  [4, 8.3],
  [5, 9.6],
  [9, 18.4],
].map(([x, y]) => ({ x: new Decimal(x!), y: new Decimal(y!) }));

describe('what a line gives moves with its points as it says', () => {
  it.each([true, false])('through the origin: %s', (throughOrigin) => {
    const asks: Asked[] = [{ gives: 'slope' }, { gives: 'y', at: 7.5 }, { gives: 'x', at: 12.5 }];
    for (const asked of asks) {
      const of = (moved: typeof points) => givenBy(fitLine(moved, throughOrigin), moved, asked);
      const { byX, byY } = of(points);
      const h = new Decimal('1e-6');
      for (const at of points.keys()) {
        // Central differences, by another fit of points that were moved.
        const by = (axis: 'x' | 'y') => {
          const at1 = (sign: 1 | -1) =>
            of(
              points.map((point, nth) =>
                nth === at ? { ...point, [axis]: point[axis].plus(h.times(sign)) } : point,
              ),
            ).value;
          return (at1(1) - at1(-1)) / 2e-6;
        };
        expect(byY[at]).toBeCloseTo(by('y'), 6);
        expect(byX[at]).toBeCloseTo(by('x'), 6);
      }
    }
  });
});

it('is as sure far from 0 as near it', () => {
  const far = points.map(({ x, y }) => ({ x: x.plus(1e9), y }));
  const [near, there] = [fitLine(points), fitLine(far)];
  expect(there.slope).toBeCloseTo(near.slope, 12);
  const [a, b] = [yAt(near, 7.5), yAt(there, new Decimal(1e9).plus(7.5))];
  expect(b.value / a.value - 1).toBeCloseTo(0, 12);
  expect(b.sd / a.sd - 1).toBeCloseTo(0, 12);
});

it('has the square of a correlation worked by hand', () => {
  // (1, 1), (2, 3), (3, 2): Sxy = 1, Sxx = 2, Syy = 2; r² = 1/4.
  const line = fitLine(
    [
      [1, 1],
      [2, 3],
      [3, 2],
    ].map(([x, y]) => ({ x: new Decimal(x!), y: new Decimal(y!) })),
  );
  expect(line.rSquared).toBeCloseTo(0.25, 12);
});
