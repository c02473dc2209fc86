import { renderToStaticMarkup as draw } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { ComparePlot, type CompareMode, type DrawnGroup } from '..';

const group = (name: string, values: readonly number[], rest: Partial<DrawnGroup> = {}): DrawnGroup => ({
  key: name,
  name,
  mean: values.reduce((sum, value) => sum + value, 0) / values.length,
  interval: 0.1,
  sd: 0.1,
  reference: 20,
  tolerance: 0.5,
  values: values.map((value, at) => ({ value, trial: at + 1, excluded: false })),
  ...rest,
});
const plot = (groups: readonly DrawnGroup[], mode: CompareMode = 'dots', width = 900) =>
  draw(<ComparePlot groups={groups} unit="mL" mode={mode} width={width} />);
/** Where the dots stand, in order: each a circle of its path, begun at its left. */
const places = (markup: string) =>
  [...markup.matchAll(/M([-\d.]+) ([-\d.]+)a(\d+) /g)].map(([, x, y, radius]) => ({
    x: Number(x) + Number(radius),
    y: Number(y),
  }));
const axis = (markup: string) =>
  [...markup.matchAll(/text-anchor="middle" font-size="13"[^>]*>([^<]*)</g)].map(([, text]) => text);

describe('groups on one scale', () => {
  const two = [group('Burette', [19.9, 20, 20.1]), group('Beaker', [19, 20.5])];

  it('stand by their values, the same value in all groups at one place', () => {
    const [a, b, c, d, e] = places(plot(two));
    expect(b!.x - a!.x).toBeCloseTo(c!.x - b!.x, 1);
    expect(d!.x).toBeLessThan(a!.x);
    expect(e!.x - b!.x).toBeCloseTo(5 * (b!.x - a!.x), 0);
    // In the order in which they were made, from above.
    expect(a!.y).toBeLessThan(b!.y);
    expect(d!.y).toBeGreaterThan(c!.y);
  });

  it.each([0.001, 0.03, 0.5, 40])('tell every mark of their scale apart, %s wide', (spread) => {
    const marks = axis(
      plot([group('a', [20, 20 + spread], { reference: null, tolerance: null, interval: null })]),
    );
    expect(marks.length).toBeGreaterThan(2);
    expect(new Set(marks).size).toBe(marks.length);
  });

  it('point at the largest bias and the largest spread, where there is room', () => {
    expect(plot(two)).toMatch(/this is bias.*this is spread/);
    expect(plot(Array.from({ length: 20 }, (_, at) => group(`g${at}`, [19, 20])))).not.toMatch(/this is/);
  });

  it('keep what is excluded in sight, as a cross', () => {
    const [first, ...others] = group('a', [19, 20, 21]).values;
    const markup = plot([group('a', [19, 20, 21], { values: [{ ...first!, excluded: true }, ...others] })]);
    expect(markup.match(/l10 10m-10 0l10 -10/g)).toHaveLength(1);
    expect(places(markup)).toHaveLength(2);
  });

  it('go from there to their rings by the straight way', () => {
    const at = (turned: number, mode: CompareMode) =>
      places(draw(<ComparePlot groups={two} unit="mL" mode={mode} turned={turned} />));
    const [from, half, to] = [at(0, 'dots'), at(0.5, 'rings'), at(1, 'rings')];
    expect(half).toHaveLength(5);
    for (const [nth, { x, y }] of half.entries()) {
      expect(x).toBeCloseTo((from[nth]!.x + to[nth]!.x) / 2, 1);
      expect(y).toBeCloseTo((from[nth]!.y + to[nth]!.y) / 2, 1);
    }
  });
});

describe('the same in rings', () => {
  it('stand above where they are too much, below where too little, as far as they are off', () => {
    const [more, none, less] = places(plot([group('a', [20.5, 20, 19.75])], 'rings'));
    expect(more!.y).toBeLessThan(none!.y);
    expect(less!.y - none!.y).toBeCloseTo((none!.y - more!.y) / 2, 1);
  });

  it.each([
    ['equal and right', [20, 20, 20]],
    ['one alone', [20]],
    ['forty groups', Array.from({ length: 25 }, (_, at) => 19 + at / 10)],
  ])('stand somewhere: %s', (name, values) => {
    const groups = Array.from({ length: name === 'forty groups' ? 40 : 1 }, (_, at) =>
      group(`g${at}`, values),
    );
    for (const mode of ['dots', 'rings'] as const)
      for (const width of [900, 340]) expect(plot(groups, mode, width)).not.toMatch(/NaN|Infinity/);
  });

  it('are as many as the dots', () => {
    const groups = [group('a', [19, 20, 21]), group('b', [20])];
    expect(places(plot(groups, 'rings'))).toHaveLength(places(plot(groups)).length);
  });
});
