import { checkError, isOutside, type Check } from '@green-beam/core';
import { scaleLinear, scalePoint } from 'd3-scale';
import { figureFont, ink, textFont } from './ink';

const [width, height, left, right, top, bottom] = [620, 220, 64, 16, 16, 40] as const;

/** What a piece showed less what was known, check by check, between the limits that it is held to. */
export function CheckChart({
  checks,
  limit,
  unit,
}: {
  readonly checks: readonly Check[];
  /** As ±, in the unit of the piece. */
  readonly limit: number;
  readonly unit: string;
}) {
  const points = checks.map((check, at) => ({
    at,
    on: check.on,
    off: checkError(check),
    out: isOutside(check, limit),
  }));
  const most = 1.25 * Math.max(limit, ...points.map(({ off }) => Math.abs(off)));
  const y = scaleLinear([-most, most], [height - bottom, top]);
  const x = scalePoint(
    points.map(({ at }) => at),
    [left, width - right],
  ).padding(0.5);
  const placeOf = (at: number) => x(at) ?? left;
  const outside = points.filter(({ out }) => out);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={`${points.length} checks against ±${limit} ${unit}: ${
        outside.length === 0 ? 'all within' : `outside on ${outside.map(({ on }) => on).join(', ')}`
      }`}
      style={{ maxWidth: width }}
    >
      <rect
        x={left}
        width={width - left - right}
        y={y(limit)}
        height={y(-limit) - y(limit)}
        fill={ink.beam}
        fillOpacity={0.12}
      />
      <line x1={left} x2={width - right} y1={y(0)} y2={y(0)} stroke={ink.ink} />
      {[limit, 0, -limit].map((value) => (
        <text
          key={value}
          x={left - 8}
          y={y(value) + 5}
          textAnchor="end"
          fontSize={13}
          fontFamily={figureFont}
          fill={ink.ink}
        >
          {value === 0 ? `0 ${unit}` : `${value > 0 ? '+' : '−'}${Math.abs(value)}`}
        </text>
      ))}
      <polyline
        points={points.map(({ at, off }) => `${placeOf(at)},${y(off)}`).join(' ')}
        fill="none"
        stroke={ink.rule}
        strokeWidth={2}
      />
      {points.map(({ at, on, off, out }) => (
        <g key={at}>
          <circle cx={placeOf(at)} cy={y(off)} r={6} fill={out ? ink.vermilion : ink.beam} stroke={ink.ink} />
          {(points.length <= 7 || at === 0 || at === points.length - 1) && (
            <text
              x={placeOf(at)}
              y={height - 14}
              textAnchor="middle"
              fontSize={13}
              fontFamily={textFont}
              fill={ink.ink}
            >
              {on}
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}
