import { area } from 'd3-shape';
import { yAt, type Line } from '@green-beam/core';
import { ink, textFont } from './ink';
import { Plot, plotSize, roomFor } from './plot';

/** Points with the straight line through them, its band of ±1 standard uncertainty, and where it is asked. */
export function LinePlot({
  points,
  line,
  xWords,
  yWords,
  asked,
  throughOrigin,
  each,
}: {
  readonly points: readonly { readonly trial: number; readonly x: number; readonly y: number }[];
  readonly line: Line;
  readonly xWords: string;
  readonly yWords: string;
  /** A point of the line that it is read at, with its uncertainty along x or y; null for a slope. */
  readonly asked: {
    readonly x: number;
    readonly y: number;
    readonly along: 'x' | 'y';
    readonly sd: number;
  } | null;
  readonly throughOrigin: boolean;
  /** How uncertain a point is by its own readings, along x and y. */
  readonly each: { readonly x: number; readonly y: number };
}) {
  const origin = throughOrigin ? [0] : [];
  const xDomain = roomFor([...points.map(({ x }) => x), ...origin, ...(asked ? [asked.x] : [])]);
  const yDomain = roomFor([...points.map(({ y }) => y), ...origin, ...(asked ? [asked.y] : [])]);
  const steps = Array.from({ length: 41 }, (_, at) => xDomain[0] + ((xDomain[1] - xDomain[0]) * at) / 40);
  return (
    <Plot
      label={`${yWords} against ${xWords}: ${points.length} points and a line of slope ${line.slope.toPrecision(4)}`}
      x={[xWords, xDomain]}
      y={[yWords, yDomain]}
    >
      {(x, y) => {
        const band = area<number>()
          .x((at) => x(at))
          .y0((at) => y(yAt(line, at).value - yAt(line, at).sd))
          .y1((at) => y(yAt(line, at).value + yAt(line, at).sd))(steps);
        const [from, to] = xDomain;
        return (
          <>
            {band && <path d={band} fill={ink.water} fillOpacity={0.16} />}
            <line
              x1={x(from)}
              x2={x(to)}
              y1={y(yAt(line, from).value)}
              y2={y(yAt(line, to).value)}
              stroke={ink.water}
              strokeWidth={1.8}
            />
            {points.map((point) => (
              <path
                key={point.trial}
                className="bar"
                d={`M${x(point.x - each.x)} ${y(point.y)} H${x(point.x + each.x)} M${x(point.x)} ${y(point.y - each.y)} V${y(point.y + each.y)}`}
                stroke={ink.ink}
                strokeOpacity={0.7}
              />
            ))}
            {points.map((point) => (
              <circle key={point.trial} cx={x(point.x)} cy={y(point.y)} r={5} fill={ink.ink} />
            ))}
            {asked && (
              <g stroke={ink.brass} fill="none" strokeWidth={1.8}>
                <path d={`M${x(asked.x)} ${plotSize.height - 54} V${y(asked.y)} H74`} strokeDasharray="5 4" />
                <circle cx={x(asked.x)} cy={y(asked.y)} r={6} />
                {asked.along === 'x' ? (
                  <path
                    d={`M${x(asked.x - asked.sd)} ${y(asked.y)} H${x(asked.x + asked.sd)}`}
                    strokeWidth={3}
                  />
                ) : (
                  <path
                    d={`M${x(asked.x)} ${y(asked.y - asked.sd)} V${y(asked.y + asked.sd)}`}
                    strokeWidth={3}
                  />
                )}
              </g>
            )}
            <text
              x={line.slope < 0 ? plotSize.width - 30 : 84}
              y={32}
              textAnchor={line.slope < 0 ? 'end' : 'start'}
              fontFamily={textFont}
              fill={ink.water}
            >
              line ± its standard uncertainty
            </text>
          </>
        );
      }}
    </Plot>
  );
}
