import { scaleLinear, type ScaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { figureFont, ink, textFont } from './ink';

export const plotSize = { width: 620, height: 340 } as const;
const edge = { left: 74, right: 24, top: 18, bottom: 54 } as const;

export type Scale = ScaleLinear<number, number>;

/** A domain with a little room at both ends; a single value gets some on either side. */
export function roomFor(values: readonly number[], share = 0.08): [number, number] {
  const known = values.filter(Number.isFinite);
  const [low, high] = [Math.min(...known), Math.max(...known)];
  const room = high > low ? (high - low) * share : Math.abs(high) * 0.05 || 1;
  return [low - room, high + room];
}

/** A frame with labelled axes; what is drawn in it gets the scales. */
export function Plot({
  label,
  x: [xWords, xDomain],
  y: [yWords, yDomain],
  whole = false,
  children,
}: {
  /** What a reader who does not see it is told. */
  readonly label: string;
  readonly x: readonly [words: string, domain: [number, number]];
  readonly y:
    readonly [words: string, domain: [number, number]] | readonly [words: null, domain: [number, number]];
  /** Along x there are only whole numbers, such as those of trials. */
  readonly whole?: boolean;
  readonly children: (x: Scale, y: Scale) => ReactNode;
}) {
  const { width, height } = plotSize;
  const x = scaleLinear(xDomain, [edge.left, width - edge.right]);
  const y = scaleLinear(yDomain, [height - edge.bottom, edge.top]);
  const xTicks = x.ticks(6).filter((tick) => !whole || Number.isInteger(tick));
  const bottom = height - edge.bottom;
  return (
    <svg
      xmlns="http://www.w3.org/2000/svg"
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={label}
      fontFamily={figureFont}
      fontSize={13}
      fill={ink.ink}
    >
      <rect width={width} height={height} fill={ink.page} />
      <line x1={edge.left} x2={width - edge.right} y1={bottom} y2={bottom} stroke={ink.ink} />
      {xTicks.map((tick) => (
        <g key={tick} transform={`translate(${x(tick)} ${bottom})`}>
          <line y2={6} stroke={ink.ink} />
          <text y={21} textAnchor="middle">
            {whole ? tick : x.tickFormat(6)(tick)}
          </text>
        </g>
      ))}
      <text x={width - edge.right} y={height - 10} textAnchor="end" fontFamily={textFont} fontSize={14}>
        {xWords}
      </text>
      {yWords !== null && (
        <>
          <line x1={edge.left} x2={edge.left} y1={edge.top} y2={bottom} stroke={ink.ink} />
          {y.ticks(5).map((tick) => (
            <g key={tick} transform={`translate(${edge.left} ${y(tick)})`}>
              <line x2={-6} stroke={ink.ink} />
              <text x={-10} y={4} textAnchor="end">
                {y.tickFormat(5)(tick)}
              </text>
            </g>
          ))}
          <text
            transform={`translate(18 ${edge.top}) rotate(-90)`}
            textAnchor="end"
            fontFamily={textFont}
            fontSize={14}
          >
            {yWords}
          </text>
        </>
      )}
      {children(x, y)}
    </svg>
  );
}
