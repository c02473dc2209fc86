import { renderToStaticMarkup as draw } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { ComparePlot, type CompareMode, type DrawnGroup } from '..';
import { pointsBetween } from './comparePlot';

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
/** Where the dots stand, group by group in the order of their names: each a circle of its path, begun at its left. */
const places = (markup: string) =>
  [
    ...markup.matchAll(
      /translate\(([-\d.]+) ([-\d.]+)\)"[^>]*><g><path d="([^"]*)" fill="[^"]*" stroke="#fff"/g,
    ),
  ].flatMap(([, left, above, path = '']) =>
    [...path.matchAll(/M([-\d.]+) ([-\d.]+)a(\d+) /g)].map(([, x, y, radius]) => ({
      x: Number(left) + Number(x) + Number(radius),
      y: Number(above) + Number(y),
    })),
  );
const axis = (markup: string) =>
  [...markup.matchAll(/text-anchor="middle" font-size="13"[^>]*>([^<]*)</g)].map(([, text]) => text);

describe('groups on one scale', () => {
  const two = [group('A burette', [19.9, 20, 20.1]), group('Beaker', [19, 20.5])];

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

  it('are told apart by long names that begin alike', () => {
    const labels = (mode: CompareMode, ...names: string[]) =>
      [
        ...plot(
          names.map((name) => group(name, [19, 20])),
          mode,
        ).matchAll(/font-weight="700"[^>]*>([^<]*)</g),
      ]
        .map(([, text]) => text)
        .sort();
    expect(labels('dots', 'graduated cylinder, Bench 1', 'graduated cylinder, Bench 2', 'Bench 3')).toEqual([
      'Bench 3',
      'graduated c…r, Bench 1',
      'graduated c…r, Bench 2',
    ]);
    // And those that end alike too, from where they differ.
    const asked = ['09', '10'].map((minute) => `graduated cylinder, 3 November, 11:${minute}, Odile Kérn`);
    for (const mode of ['dots', 'rings'] as const)
      expect(labels(mode, ...asked)).toEqual(['…11:09, Odile Kérn', '…11:10, Odile Kérn']);
  });

  it('keep what is excluded in sight, as a cross', () => {
    const [first, ...others] = group('a', [19, 20, 21]).values;
    const markup = plot([group('a', [19, 20, 21], { values: [{ ...first!, excluded: true }, ...others] })]);
    expect(markup.match(/l10 10m-10 0l10 -10/g)).toHaveLength(1);
    expect(places(markup)).toHaveLength(2);
  });

  it('go from there to their rings by the straight way', () => {
    const half = pointsBetween(
      [
        { x: 10, y: 20 },
        { x: 0, y: 0 },
      ],
      [
        { x: 30, y: 10 },
        { x: 1, y: 3 },
      ],
      0.5,
    );
    // In tenths of a pixel, a dot each.
    expect(half).toBe('M200 150h0M5 15h0');
  });

  it('draw a group the same wherever its row is', () => {
    const rows = (groups: readonly DrawnGroup[]) =>
      plot(groups)
        .replace(/translate\([^)]*\)/g, '')
        .replace(/aria-label="[^"]*"/, '');
    const many = Array.from({ length: 8 }, (_, at) => group(`g${at}`, [19 + at / 10, 20]));
    expect(rows([...many].reverse())).toBe(rows(many));
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
