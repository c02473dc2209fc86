import { Decimal, fitLine } from '@green-beam/core';
import { renderToStaticMarkup as draw } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { Histogram, LinePlot, plotSize, roomFor, TrialDots } from '.';

/** All numbers of an attribute of some elements. */
const all = (markup: string, element: string, attribute: string): number[] =>
  [...markup.matchAll(new RegExp(`<${element} [^>]*?${attribute}="([-\\d.]+)"`, 'g'))].map(([, value]) =>
    Number(value),
  );

describe('roomFor', () => {
  it('leaves room at both ends, and some around a single value', () => {
    expect(roomFor([0, 10], 0.1)).toEqual([-1, 11]);
    const [low, high] = roomFor([5]);
    expect(low).toBeLessThan(5);
    expect(high).toBeGreaterThan(5);
    expect(roomFor([NaN, 2, 4], 0.5)).toEqual([1, 5]);
  });
});

describe('trials as dots', () => {
  const dots = (
    values: readonly { trial: number; value: number; counts: boolean }[],
    each: number | null = null,
  ) =>
    draw(
      <TrialDots
        values={values}
        mean={8.5}
        spread={0.1}
        accepted={8.8}
        each={each}
        words="density in g/cm³"
      />,
    );

  it('counts trials in whole numbers', () => {
    const markup = dots([1, 2, 3].map((trial) => ({ trial, value: 8 + trial / 10, counts: true })));
    const along = [...markup.matchAll(/y="21" text-anchor="middle">([^<]*)</g)].map(([, text]) => text);
    expect(along).toEqual(['1', '2', '3']);
  });

  it('has a dot for each that counts and a cross for each that does not, within the frame', () => {
    const markup = dots([
      { trial: 1, value: 8.4, counts: true },
      { trial: 2, value: 8.6, counts: true },
      { trial: 3, value: 9.9, counts: false },
    ]);
    const heights = all(markup, 'circle', 'cy');
    expect(heights).toHaveLength(2);
    // Higher values stand higher.
    expect(heights[1]).toBeLessThan(heights[0] ?? 0);
    expect(heights.every((y) => y > 0 && y < plotSize.height)).toBe(true);
    expect(markup).toContain('l10 10 m0 -10 l-10 10');
    expect(markup).toContain('density in g/cm³');
    expect(markup).toContain('accepted');
  });

  it('draws how uncertain each is, where the class writes it, and makes room for it', () => {
    const one = [{ trial: 1, value: 8.5, counts: true }];
    expect(dots(one)).not.toContain('class="bar"');
    const [, low, high] = /class="bar" d="M[\d.]+ ([\d.]+) V([\d.]+)/.exec(dots(one, 0.5))?.map(Number) ?? [];
    const middle = all(dots(one, 0.5), 'circle', 'cy')[0] ?? NaN;
    expect((low ?? NaN) - middle).toBeCloseTo(middle - (high ?? NaN), 6);
    expect(high).toBeGreaterThan(0);
    expect(low).toBeLessThan(plotSize.height);
  });

  it('says what it shows to whoever does not see it', () => {
    expect(dots([{ trial: 1, value: 8.5, counts: true }])).toContain(
      'aria-label="1 trials of density in g/cm³; mean 8.500, standard deviation 0.10"',
    );
  });
});

describe('a line with its band', () => {
  const points = [0, 10, 20, 30].map((x, at) => ({
    trial: at + 1,
    x,
    y: 20 - 0.2 * x + (at % 2 ? 0.1 : -0.1),
  }));
  const line = fitLine(points.map(({ x, y }) => ({ x: new Decimal(x), y: new Decimal(y) })));
  const markup = (asked: Parameters<typeof LinePlot>[0]['asked']) =>
    draw(
      <LinePlot
        points={points}
        line={line}
        xWords="minutes"
        yWords="depth in mm"
        asked={asked}
        throughOrigin={false}
        each={{ x: 0, y: 0.5 }}
      />,
    );

  it('draws every point, and both axes with their units', () => {
    expect(all(markup(null), 'circle', 'cx')).toHaveLength(4);
    expect(markup(null)).toContain('minutes');
    expect(markup(null)).toContain('depth in mm');
  });

  it('reaches to where it is asked, with the uncertainty along that axis', () => {
    const asked = markup({ x: 60, y: 8, along: 'x', sd: 2 });
    const centres = all(asked, 'circle', 'cx');
    expect(centres).toHaveLength(5);
    expect(Math.max(...centres)).toBe(centres[4]);
    expect(centres[4]).toBeLessThan(plotSize.width);
    expect(asked).toContain('stroke-dasharray="5 4"');
  });
});

describe('a histogram', () => {
  it('has a bar for each bin, as high as its count, and the normal curve over them', () => {
    const markup = draw(
      <Histogram
        bins={[1, 4, 10, 4, 1]}
        from={0}
        to={5}
        draws={20}
        mean={2.5}
        standardDeviation={1}
        low={0.5}
        high={4.5}
        words="density"
      />,
    );
    const heights = all(markup, 'rect', 'height').slice(1);
    expect(heights).toHaveLength(5);
    expect(heights[2]! / heights[1]!).toBeCloseTo(2.5, 6);
    expect(heights[0]).toBeCloseTo(heights[4]!, 9);
    expect(markup).toContain('95 of 100 lie between 0.5000 and 4.500');
  });
});
