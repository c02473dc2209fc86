import {
  threeBeamBalance,
  threeBeamModels,
  type BalancePicture,
  type BalanceSetting,
} from '@green-beam/core';
import { renderToStaticMarkup as draw } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { BeamBalance, Budget, DotPlot, Lens, LevelGauge, PointedOut, ReadersMark } from '.';
import { Lines } from './lines';

/** Every number that follows an attribute's name, in order. */
const numbers = (markup: string, name: string): number[] =>
  [...markup.matchAll(new RegExp(` ${name}="(-?[\\d.]+)"`, 'g'))].map(([, text]) => Number(text));
const texts = (markup: string): string[] =>
  [...markup.matchAll(/<text[^>]*>([^<]*)<\/text>/g)].map(([, text]) => text ?? '');

describe('lines of a scale', () => {
  it('are one path, each drawn from end to end', () => {
    const markup = draw(
      <Lines
        lines={[
          [0, 1, 2, 3],
          [4.5, -1, 4.5, 9],
        ]}
        strokeWidth={1.4}
      />,
    );
    expect(markup.match(/<path/g)).toHaveLength(1);
    expect(markup).toContain('d="M0 1L2 3M4.5 -1L4.5 9"');
    expect(markup).toContain('stroke-width="1.4"');
  });
  it('of none draw nothing', () => expect(draw(<Lines lines={[]} />)).toContain('d=""'));
});

describe('a beam that turns', () => {
  const setting: BalanceSetting = {
    kind: 'three-beam-balance',
    model: threeBeamModels[0]!.id,
    riders: { hundreds: 200, tens: 10, sliding: 4.6 },
    loadGrams: 214.6,
    onPan: true,
    zeroErrorGrams: 0,
    handled: true,
  };
  const picture = threeBeamBalance.picture(setting) as BalancePicture;
  const turn = (pointer: number) =>
    Number(/rotate\((-?[\d.e-]+) /.exec(draw(<BeamBalance picture={picture} pointer={pointer} />))?.[1]);

  it('is level at rest, and turns the same way up and down', () => {
    expect(turn(0)).toBeCloseTo(0, 6);
    for (const marks of [0.3, 1, 4.7, 9.5]) expect(turn(marks) + turn(-marks)).toBeCloseTo(0, 3);
    expect(turn(5)).toBeLessThan(turn(1));
  });

  it('turns by the angle at which its pointer meets the mark, to a ten-thousandth of a degree', () => {
    // The tip of the pointer runs along a plate: equal marks are equal lengths there, so tangents are in proportion.
    const tangent = (marks: number) => Math.tan((turn(marks) * Math.PI) / 180);
    for (const marks of [2, 3, 8]) expect(tangent(marks) / tangent(1)).toBeCloseTo(marks, 2);
  });

  it('leaves lengths as they are to the last bit, so that letters keep their size', () => {
    for (let step = 0; step <= 200; step += 1) {
      const radians = turn(-9.5 + step * 0.095) * (Math.PI / 180);
      expect(Math.sin(radians) ** 2 + Math.cos(radians) ** 2).toBe(1);
    }
  });
});

describe('the budget', () => {
  const lines = [
    { source: 'C-07, reading', share: 0.9, amount: 0.3, ifHalved: 0.2 },
    { source: 'B-02', share: 0.096, amount: 0.1, ifHalved: 0.3 },
    { source: 'tiny', share: 0.004, amount: 0.02, ifHalved: 0.3 },
  ] as never;

  it('has a bar for each source, as long as its share, and says so in words', () => {
    const markup = draw(<Budget budget={lines} />);
    const widths = numbers(markup, 'width').filter((width) => width !== 560);
    expect(widths).toHaveLength(3);
    expect(widths[1]! / widths[0]!).toBeCloseTo(0.096 / 0.9, 3);
    expect(texts(markup)).toEqual(['C-07, reading', '90 %', 'B-02', '10 %', 'tiny', '&lt; 1 %']);
    expect(markup).toContain('aria-label="C-07, reading: 90 %; B-02: 10 %; tiny: &lt; 1 %"');
  });
});

describe('the level gauge', () => {
  const tip = (markup: string): number => Number(/<path d="M(-?[\d.]+) /.exec(markup)?.[1]);
  it('leans further the further off it is, and never off its scale', () => {
    const far = (['just off', 'well off', 'far off'] as const).map((distance) =>
      tip(draw(<LevelGauge gauge={{ shows: 'lean', lean: { direction: 'high', distance } }} />)),
    );
    expect([...far].sort((a, b) => a - b)).toEqual(far);
    const exact = (off: number) =>
      tip(draw(<LevelGauge gauge={{ shows: 'exact', off, accepted: 0.2, unit: 'divisions' }} />));
    expect(exact(-3)).toBeLessThan(exact(-0.5));
    expect(exact(1e9)).toBeLessThanOrEqual(420);
    expect(exact(-1e9)).toBeGreaterThanOrEqual(0);
    expect(exact(2) + exact(-2)).toBeCloseTo(420, 9);
  });
  it('shows by shape, not by colour alone, whether it is level', () => {
    const level = draw(<LevelGauge gauge={{ shows: 'exact', off: 0.1, accepted: 0.2, unit: 'mL' }} />);
    const off = draw(<LevelGauge gauge={{ shows: 'exact', off: 0.5, accepted: 0.2, unit: 'mL' }} />);
    expect(level).toMatch(/ 34 l-9 15 h18 Z/);
    expect(off).toMatch(/ 26 l-9 -15 h18 Z/);
  });
});

describe('the mark of a reader', () => {
  const lines = (bias: number, spread: number) => draw(<ReadersMark mark={{ bias, spread, n: 5 }} />);
  it('lies as far from the true line as its bias, as wide as its spread, within its frame', () => {
    const place = (markup: string) => numbers(markup, 'x1').at(-1)!;
    expect(place(lines(0, 0.3))).toBe(56);
    expect(place(lines(1, 0.3)) - 56).toBeCloseTo((56 * 1) / 2.5, 9);
    expect(place(lines(-99, 0.3))).toBe(0);
    const wide = (markup: string) => numbers(markup, 'width')[1]!;
    expect(wide(lines(0, 0.6))).toBeCloseTo(2 * wide(lines(0, 0.3)), 9);
    expect(wide(lines(0, 0))).toBe(4);
  });
  it('says that there is no lean where there is hardly one', () =>
    expect(lines(0.1, 0.3)).toContain('no lean, spread 0.3 divisions, 5 readings'));
});

describe('what is pointed out', () => {
  it('is ringed where it lies, out of the way of hands and readers of the screen', () => {
    const markup = draw(<PointedOut at={{ x: 120, y: 80 }} />);
    expect(markup).toContain('aria-hidden="true"');
    expect(markup).toContain('pointer-events="none"');
    expect(numbers(markup, 'cx')).toEqual([120, 120]);
  });
  it.each([
    [200, 10, 10],
    [90, 10, 5],
    [40, 10, 2],
  ])('spaces over %s units are counted out, %s of them, without crowding', (length, count, shown) => {
    const along = draw(<PointedOut at={{ from: { x: 0, y: 0 }, to: { x: length, y: 0 }, count }} />);
    const up = draw(<PointedOut at={{ from: { x: 0, y: length }, to: { x: 0, y: 0 }, count }} />);
    for (const markup of [along, up]) {
      expect(texts(markup)).toHaveLength(shown);
      expect(texts(markup).at(-1)).toBe(String(count));
    }
    // The number of a space stands in its middle.
    expect(numbers(along, 'x').at(-1)).toBeCloseTo(length - length / count / 2, 9);
    expect(numbers(up, 'x').every((x) => x === -12)).toBe(true);
  });
});

describe('the lens', () => {
  it('draws what lies under it again, larger, about the same middle', () => {
    const away = draw(
      <Lens at={null}>
        <path d="M0 0" />
      </Lens>,
    );
    expect(away).not.toContain('<use');
    const up = draw(
      <Lens at={{ x: 100, y: 50 }} zoom={3}>
        <path d="M0 0" />
      </Lens>,
    );
    // translate(100·(1 − 3), 50·(1 − 3)) scale(3) leaves (100, 50) where it is.
    expect(up).toContain('transform="translate(-200 -100) scale(3)"');
  });
});

describe('answers as dots', () => {
  const dots = [
    { value: 43.6, right: true, name: 'Ada Lind' },
    { value: 43.6, right: true, name: 'Bo Aasen' },
    { value: 44.4, right: false, name: 'Cy Wren' },
    { value: 4360, right: false, name: 'Dee Moss' },
  ];
  const plot = (truth: number | null) =>
    draw(<DotPlot dots={dots} accepted={[43.4, 43.8]} truth={truth} unit="mL" division={1} />);
  it('pile up where they agree, and stay in the frame however far off', () => {
    const ys = numbers(plot(null), 'cy');
    expect(ys).toHaveLength(4);
    expect(ys[1]).toBeLessThan(ys[0]!);
    for (const x of numbers(plot(null), 'cx')) expect(x).toBeGreaterThan(0);
    for (const x of numbers(plot(null), 'cx')) expect(x).toBeLessThan(640);
  });
  it('tell right from wrong, by shape too, only when the answer may be seen', () => {
    expect(plot(null)).toContain('aria-label="4 answers"');
    expect(plot(null)).not.toMatch(/right|wrong/);
    expect(numbers(plot(43.6), 'cx')).toHaveLength(2);
    expect(plot(43.6)).toContain('aria-label="4 answers, 2 right, 2 wrong"');
  });
});
