import type { SVGProps } from 'react';

/** What a thing is made of: two tones, one highlight, and its outline. Light comes from the upper left. */
export interface Matter {
  readonly light: string;
  readonly base: string;
  readonly dark: string;
  readonly edge: string;
}

const matter = (light: string, base: string, dark: string, edge: string): Matter => ({
  light,
  base,
  dark,
  edge,
});

export const steel = matter('#f6faf8', '#c3cec9', '#8a9a93', '#3f5048');
/** Steel that was made dull, so that its lines can be read. */
export const satin = matter('#ffffff', '#dde5e1', '#aab8b1', '#4d5f57');
export const brass = matter('#f2deae', '#c2964a', '#87642a', '#493515');
export const enamel = matter('#a9bdb4', '#6c837a', '#4a6058', '#1d2b26');
export const wood = matter('#f7edcd', '#e6d5a6', '#c2a86c', '#72592a');
export const slate = matter('#a3afb9', '#6d7b87', '#4c5862', '#28313a');
export const rubber = matter('#c06a5d', '#8f3d33', '#61251f', '#36120e');
export const hardPlastic = matter('#4d625a', '#25352f', '#131d19', '#070d0b');
export const cork = matter('#e0bd8d', '#bd915e', '#8d683c', '#533b1a');
export const paper = matter('#ffffff', '#f4f3ea', '#d3d3c6', '#6f776f');

interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly of: Matter;
}

/** Width of an outline: in a part that is drawn in millimetres it stays what it is on the stage. */
const outline = { strokeWidth: 1, vectorEffect: 'non-scaling-stroke' } as const;

/** A flat piece: its upper edge catches the light, its lower one is in shade. */
export function Flat({
  x,
  y,
  width,
  height,
  of,
  bevel = Math.min(3, height / 8),
  ...rect
}: Box & { readonly bevel?: number } & SVGProps<SVGRectElement>) {
  return (
    <g>
      <rect {...rect} x={x} y={y} width={width} height={height} fill={of.base} />
      <rect x={x} y={y} width={width} height={bevel} fill={of.light} />
      <rect x={x} y={y + height - bevel} width={width} height={bevel} fill={of.dark} />
      <rect {...rect} x={x} y={y} width={width} height={height} fill="none" stroke={of.edge} {...outline} />
    </g>
  );
}

/** A round bar or tube that lies along x, or stands along y: shade on the far side, one streak of light. */
export function Round({ x, y, width, height, of, along = 'x' }: Box & { readonly along?: 'x' | 'y' }) {
  const band = (from: number, to: number, fill: string) =>
    along === 'x' ? (
      <rect x={x} y={y + from * height} width={width} height={(to - from) * height} fill={fill} />
    ) : (
      <rect x={x + from * width} y={y} width={(to - from) * width} height={height} fill={fill} />
    );
  return (
    <g>
      <rect x={x} y={y} width={width} height={height} fill={of.base} />
      {band(0.74, 1, of.dark)}
      {band(0.18, 0.32, of.light)}
      <rect x={x} y={y} width={width} height={height} fill="none" stroke={of.edge} {...outline} />
    </g>
  );
}

/** Any other piece, by its outline. */
export function Piece({
  d,
  of,
  ...path
}: { readonly d: string; readonly of: Matter } & SVGProps<SVGPathElement>) {
  return <path d={d} fill={of.base} stroke={of.edge} strokeLinejoin="round" {...outline} {...path} />;
}

/** Where light falls on an edge of a piece, or shade lies along one. */
export function Stroke({
  d,
  colour,
  width = 1.5,
}: {
  readonly d: string;
  readonly colour: string;
  readonly width?: number;
}) {
  return <path d={d} fill="none" stroke={colour} {...outline} strokeWidth={width} />;
}

/** Lines at 45° that fill a rectangle: a piece that is cut through, or a knurl when crossed. */
export function hatch({ x, y, width, height }: Omit<Box, 'of'>, step: number, rising = true): string {
  const lines: string[] = [];
  for (let start = step / 2; start < width + height; start += step) {
    const [a, b] = [Math.max(0, start - height), Math.min(width, start)];
    const [fromY, toY] = [start - a, start - b];
    lines.push(
      rising
        ? `M${x + a} ${y + fromY}L${x + b} ${y + toY}`
        : `M${x + a} ${y + height - fromY}L${x + b} ${y + height - toY}`,
    );
  }
  return lines.join('');
}

/** A knurl: crossed lines that give the fingers hold. */
export function Knurl({ step = 6, of, ...box }: Box & { readonly step?: number }) {
  return <Stroke d={hatch(box, step) + hatch(box, step, false)} colour={of.edge} width={0.7} />;
}

/** Straight grooves across a wheel or a cap, closer toward the edges that turn away. */
export function Grooves({
  x,
  y,
  width,
  height,
  of,
  count = 9,
  along = 'x',
}: Box & { readonly count?: number; readonly along?: 'x' | 'y' }) {
  const places = Array.from(
    { length: count },
    (_, at) => (1 - Math.cos((Math.PI * (at + 1)) / (count + 1))) / 2,
  );
  return (
    <Stroke
      d={places
        .map((place) =>
          along === 'x' ? `M${x} ${y + place * height}h${width}` : `M${x + place * width} ${y}v${height}`,
        )
        .join('')}
      colour={of.edge}
      width={0.8}
    />
  );
}
