import type { DrawnShape, DrawnWords, Paint } from '@green-beam/core';
import { XMLParser } from 'fast-xml-parser';
import type { ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import svgpath from 'svgpath';
import { digitBars } from './segments';

/** a b c d e f, as in SVG: x′ = ax + cy + e, y′ = bx + dy + f. */
export type Matrix = readonly [number, number, number, number, number, number];

/**
 * A drawing as a flat list of shapes in the order in which they are painted: transforms are multiplied out, and of what the drawing
 * says of itself (names, titles, classes, ids, roles) nothing is left. Digits of a display become bars. What is written along a
 * curve is left out: it is the maker's, and nothing to be read.
 * @param placed where the drawing comes to lie
 */
export function flatten(drawing: ReactNode, placed: Matrix): DrawnShape[] {
  const parsed = parser.parse(`<g>${renderToStaticMarkup(drawing)}</g>`) as Node[];
  const shapes: DrawnShape[] = [];
  for (const node of parsed) walk(node, { matrix: placed, opacity: 1, words: {}, paint: {} }, shapes);
  return shapes;
}

const attributes = ':@';
type Attributes = Readonly<Record<string, string>>;
/** An element under its name, or a text under `#text`; beside it what it carries. */
type Node = Readonly<Record<string, unknown>>;

const parser = new XMLParser({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  parseAttributeValue: false,
  parseTagValue: false,
  trimValues: false,
});

/** What is handed down from a group to what is in it. */
interface Within {
  readonly matrix: Matrix;
  readonly opacity: number;
  readonly words: Attributes;
  readonly paint: Attributes;
}

const paintNames = [
  'fill',
  'stroke',
  'stroke-width',
  'fill-opacity',
  'stroke-opacity',
  'stroke-linecap',
  'stroke-linejoin',
  'stroke-dasharray',
  'paint-order',
] as const;
const wordNames = ['font-size', 'font-family', 'font-weight', 'text-anchor'] as const;
/** What shows nothing by itself. */
const silent: ReadonlySet<string> = new Set(['title', 'desc', 'defs', 'clipPath', 'textPath', '#text']);

const picked = (from: Attributes, names: readonly string[]): Attributes =>
  Object.fromEntries(names.flatMap((name) => (from[name] === undefined ? [] : [[name, from[name]]])));

function walk(node: Node, within: Within, shapes: DrawnShape[]): void {
  const own = carriedBy(node);
  for (const [name, parts] of Object.entries(node)) {
    if (name === attributes || silent.has(name)) continue;
    const inside = parts as readonly Node[];
    if (own['visibility'] === 'hidden' || own['display'] === 'none') continue;
    const here = inherited(own, within);
    if (name === 'text') shapes.push(...wordsOf(own, inside, here));
    else if (name in outlines) shapes.push(...outlineOf(outlines[name]?.(own) ?? '', here));
    else for (const child of inside) walk(child, here, shapes);
  }
}

const carriedBy = (node: Node): Attributes => (node[attributes] ?? {}) as Attributes;

/** What an element hands down of what it was handed. */
const inherited = (own: Attributes, within: Within): Within => ({
  matrix: own['transform'] ? times(within.matrix, matrixOf(own['transform'])) : within.matrix,
  opacity: within.opacity * Number(own['opacity'] ?? 1),
  words: { ...within.words, ...picked(own, wordNames) },
  paint: { ...within.paint, ...picked(own, paintNames) },
});

const n = (own: Attributes, name: string): number => Number(own[name] ?? 0);

/** Each basic shape as path data. */
const outlines: Readonly<Record<string, (own: Attributes) => string>> = {
  path: (own) => own['d'] ?? '',
  line: (own) => `M${n(own, 'x1')} ${n(own, 'y1')}L${n(own, 'x2')} ${n(own, 'y2')}`,
  polyline: (own) => `M${own['points'] ?? ''}`,
  polygon: (own) => `M${own['points'] ?? ''}z`,
  circle: (own) => ellipse(n(own, 'cx'), n(own, 'cy'), n(own, 'r'), n(own, 'r')),
  ellipse: (own) => ellipse(n(own, 'cx'), n(own, 'cy'), n(own, 'rx'), n(own, 'ry')),
  rect: (own) => {
    const [x, y, width, height] = ['x', 'y', 'width', 'height'].map((name) => n(own, name)) as [
      number,
      number,
      number,
      number,
    ];
    const rx = Math.min(n(own, own['rx'] === undefined ? 'ry' : 'rx'), width / 2);
    const ry = Math.min(n(own, own['ry'] === undefined ? 'rx' : 'ry'), height / 2);
    if (rx === 0 || ry === 0) return `M${x} ${y}h${width}v${height}h${-width}z`;
    const arc = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
    return `M${x + rx} ${y}h${width - 2 * rx}${arc(rx, ry)}v${height - 2 * ry}${arc(-rx, ry)}h${2 * rx - width}${arc(-rx, -ry)}v${2 * ry - height}${arc(rx, -ry)}z`;
  },
};

const ellipse = (cx: number, cy: number, rx: number, ry: number): string =>
  `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z`;

/** Coordinates are kept to this many decimals of a unit of the drawing: far finer than a line is wide. */
const decimals = 2;

const outlineOf = (d: string, within: Within): DrawnShape[] =>
  d === ''
    ? []
    : [
        {
          d: svgpath(d)
            .abs()
            .matrix([...within.matrix])
            .round(decimals)
            .toString(),
          ...paintOf(within),
        },
      ];

const rounded = (value: number): number => Number(value.toFixed(decimals));

function paintOf({ paint, opacity, matrix }: Within): Paint {
  const scale = Math.sqrt(Math.abs(matrix[0] * matrix[3] - matrix[1] * matrix[2]));
  const lengths = (text: string) =>
    text
      .split(/[\s,]+/)
      .map((one) => rounded(Number(one) * scale))
      .join(' ');
  const text = (name: string) => (paint[name] === undefined ? {} : { [camel(name)]: paint[name] });
  const number = (name: string) => (paint[name] === undefined ? {} : { [camel(name)]: Number(paint[name]) });
  const stroked = paint['stroke'] !== undefined && paint['stroke'] !== 'none';
  return {
    ...text('fill'),
    ...text('stroke'),
    ...(stroked ? { strokeWidth: rounded(Number(paint['stroke-width'] ?? 1) * scale) } : {}),
    ...(opacity === 1 ? {} : { opacity: rounded(opacity) }),
    ...number('fill-opacity'),
    ...number('stroke-opacity'),
    ...text('stroke-linecap'),
    ...text('stroke-linejoin'),
    ...(paint['stroke-dasharray'] ? { strokeDasharray: lengths(paint['stroke-dasharray']) } : {}),
    ...text('paint-order'),
  };
}

const camel = (name: string): string => name.replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase());

/** The words of a text; those of its parts that say where they stand are words of their own. */
function wordsOf(own: Attributes, inside: readonly Node[], within: Within): DrawnShape[] {
  const parts = inside.filter((node) => 'tspan' in node);
  if (parts.some((node) => 'x' in carriedBy(node)))
    return parts.flatMap((node) => {
      const its = carriedBy(node);
      return wordsOf({ ...own, ...its }, node['tspan'] as readonly Node[], inherited(its, within));
    });
  const size = Number(within.words['font-size'] ?? 16);
  const [x, y] = [n(own, 'x'), n(own, 'y')];
  const text = inside.map(textIn).join('');
  if (text.trim() === '') return [];
  if (own['class']?.split(' ').includes('digits')) return outlineOf(digitBars(text, x, y, size), within);
  const at = times(within.matrix, [1, 0, 0, 1, x, y]).map(rounded);
  return [
    {
      text,
      at: at as unknown as DrawnWords['at'],
      fontSize: size,
      ...named(within.words, ['font-family', 'font-weight', 'text-anchor']),
      ...paintOf({ ...within, matrix: [1, 0, 0, 1, 0, 0] }),
    },
  ];
}

const named = (from: Attributes, names: readonly string[]) =>
  Object.fromEntries(Object.entries(picked(from, names)).map(([name, value]) => [camel(name), value]));

const textIn = (node: Node): string => {
  if (typeof node['#text'] === 'string') return node['#text'];
  return Array.isArray(node['tspan']) ? (node['tspan'] as readonly Node[]).map(textIn).join('') : '';
};

export const times = (m: Matrix, k: Matrix): Matrix => [
  m[0] * k[0] + m[2] * k[1],
  m[1] * k[0] + m[3] * k[1],
  m[0] * k[2] + m[2] * k[3],
  m[1] * k[2] + m[3] * k[3],
  m[0] * k[4] + m[2] * k[5] + m[4],
  m[1] * k[4] + m[3] * k[5] + m[5],
];

/** A `transform` as one matrix. @throws Error for one that no drawing of ours uses */
export function matrixOf(transform: string): Matrix {
  let whole: Matrix = [1, 0, 0, 1, 0, 0];
  for (const [, name = '', inside = ''] of transform.matchAll(/(\w+)\(([^)]*)\)/g)) {
    const [p = 0, q, r = 0, s = 0, t = 0, u = 0] = inside
      .trim()
      .split(/[\s,]+/)
      .map(Number);
    if (name === 'translate') whole = times(whole, [1, 0, 0, 1, p, q ?? 0]);
    else if (name === 'scale') whole = times(whole, [p, 0, 0, q ?? p, 0, 0]);
    else if (name === 'matrix') whole = times(whole, [p, q ?? 0, r, s, t, u]);
    else if (name === 'skewX') whole = times(whole, [1, 0, Math.tan((p * Math.PI) / 180), 1, 0, 0]);
    else if (name === 'rotate') {
      const angle = (p * Math.PI) / 180;
      const turn: Matrix = [Math.cos(angle), Math.sin(angle), -Math.sin(angle), Math.cos(angle), 0, 0];
      const [x, y] = [q ?? 0, r];
      whole = times(times(times(whole, [1, 0, 0, 1, x, y]), turn), [1, 0, 0, 1, -x, -y]);
    } else throw new Error(`The transform ${name} is not known.`);
  }
  return whole;
}
