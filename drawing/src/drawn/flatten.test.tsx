import { asRead } from '../asRead';
import { instruments, makeSetting, presetNamed, type Picture } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { flatten, matrixOf, times, type Matrix } from './flatten';

const here: Matrix = [1, 0, 0, 1, 0, 0];

describe('transforms', () => {
  // A quarter turn about (10, 0) takes (12, 0) to (10, 2): y points downwards.
  it.each<[string, [number, number], [number, number]]>([
    ['translate(3 4)', [1, 1], [4, 5]],
    ['translate(3)', [1, 1], [4, 1]],
    ['scale(2)', [1, 3], [2, 6]],
    ['scale(2, -1)', [1, 3], [2, -3]],
    ['rotate(90 10 0)', [12, 0], [10, 2]],
    ['translate(5 0) scale(2)', [1, 1], [7, 2]],
    ['matrix(0 1 -1 0 7 8)', [2, 3], [4, 10]],
  ])('%s takes %j to %j', (transform, [x, y], [right, down]) => {
    const [a, b, c, d, e, f] = matrixOf(transform);
    expect([a * x + c * y + e, b * x + d * y + f]).toEqual([
      expect.closeTo(right, 9) as number,
      expect.closeTo(down, 9) as number,
    ]);
  });

  it('are applied from the inside outwards', () => {
    expect(times(matrixOf('translate(5 0)'), matrixOf('scale(2)'))).toEqual(
      matrixOf('translate(5 0) scale(2)'),
    );
  });

  it('that no drawing uses are refused', () => {
    expect(() => matrixOf('skewY(3)')).toThrow('skewY');
  });
});

describe('a drawing as shapes', () => {
  it('has its lines where the groups put them, and their width with them', () => {
    const drawing = (
      <g transform="translate(10 20)" stroke="black">
        <g transform="scale(2)">
          <line x1={1} y1={1} x2={3} y2={1} strokeWidth={0.5} />
        </g>
      </g>
    );
    expect(flatten(drawing, here)).toEqual([{ d: 'M12 22L16 22', stroke: 'black', strokeWidth: 1 }]);
    expect(flatten(drawing, [0.5, 0, 0, 0.5, 1, 0])).toEqual([
      { d: 'M7 11L9 11', stroke: 'black', strokeWidth: 0.5 },
    ]);
  });

  it('keeps the order in which it is painted, and nothing that is hidden', () => {
    const shapes = flatten(
      <>
        <rect x={0} y={0} width={4} height={2} fill="white" />
        <g visibility="hidden">
          <circle cx={1} cy={1} r={1} />
        </g>
        <path d="m1 1h2" stroke="red" opacity={0.5} />
      </>,
      here,
    );
    expect(shapes).toEqual([
      { d: 'M0 0H4V2H0Z', fill: 'white' },
      { d: 'M1 1H3', stroke: 'red', strokeWidth: 1, opacity: 0.5 },
    ]);
  });

  it('says nothing of what it is: no name, title, class, id or role is left', () => {
    const shapes = flatten(
      <g id="secret-7.34" className="secret" role="img" aria-label="secret 7.34">
        <title>secret 7.34</title>
        <desc>secret</desc>
        <circle data-value="7.34" className="secret" cx={1} cy={1} r={1} />
      </g>,
      here,
    );
    expect(shapes).toHaveLength(1);
    expect(JSON.stringify(shapes)).not.toMatch(/secret|7\.34|data|aria|class/);
  });

  it('has the words of a scale where they stand, and the digits of a display as bars', () => {
    const [label, ...bars] = flatten(
      <g fontSize={12} transform="translate(5 5)">
        <text x={1} y={2} textAnchor="middle">
          20
        </text>
        <text x={0} y={0} className="digits">
          8
        </text>
      </g>,
      here,
    );
    expect(label).toMatchObject({ text: '20', at: [1, 0, 0, 1, 6, 7], fontSize: 12 });
    expect(bars.length).toBeGreaterThan(0);
    expect(bars.every((bar) => 'd' in bar)).toBe(true);
  });
});

describe.each(instruments.map((instrument) => [instrument.kind, instrument] as const))(
  '%s as it is read',
  (kind, instrument) => {
    it('is drawn in all its views, each with shapes, and with finite coordinates', () => {
      const setting = makeSetting(
        instrument,
        instrument.models[0]!,
        presetNamed('Chemistry bench'),
        'read',
        7,
      );
      const picture = instrument.picture(setting) as Picture;
      const { size, zoom, views } = asRead(kind, picture);
      expect([size.width > 0, size.height > 0, zoom >= 1]).toEqual([true, true, true]);
      expect(new Set(views.map(({ name }) => name)).size).toBe(views.length);
      for (const { frames } of views)
        for (const frame of frames) {
          const shapes = flatten(frame, here);
          expect(shapes.length).toBeGreaterThan(10);
          expect(JSON.stringify(shapes)).not.toMatch(/NaN|Infinity|null|undefined/);
        }
    });
  },
);
