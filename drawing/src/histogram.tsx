import { line } from 'd3-shape';
import { ink, textFont } from './ink';
import { Plot, plotSize } from './plot';

/** How the draws of a Monte Carlo lie, with the normal curve of the same mean and standard deviation over them. */
export function Histogram({
  bins,
  from,
  to,
  draws,
  mean,
  standardDeviation,
  low,
  high,
  words,
}: {
  readonly bins: readonly number[];
  readonly from: number;
  readonly to: number;
  readonly draws: number;
  readonly mean: number;
  readonly standardDeviation: number;
  readonly low: number;
  readonly high: number;
  readonly words: string;
}) {
  const width = (to - from) / bins.length;
  const normal = (value: number) =>
    ((draws * width) / (standardDeviation * Math.sqrt(2 * Math.PI))) *
    Math.exp(-0.5 * ((value - mean) / standardDeviation) ** 2);
  const top = 1.08 * Math.max(...bins, standardDeviation > 0 ? normal(mean) : 0);
  const steps = Array.from({ length: 81 }, (_, at) => from + ((to - from) * at) / 80);
  return (
    <Plot
      label={`${draws} draws of ${words}: 95 of 100 lie between ${low.toPrecision(4)} and ${high.toPrecision(4)}`}
      x={[words, [from, to]]}
      y={[null, [0, top]]}
    >
      {(x, y) => (
        <>
          {bins.map((count, at) => (
            <rect
              key={at}
              x={x(from + at * width) + 0.5}
              width={Math.max(0.5, x(from + (at + 1) * width) - x(from + at * width) - 1)}
              y={y(count)}
              height={y(0) - y(count)}
              fill={ink.water}
              fillOpacity={0.45}
            />
          ))}
          {standardDeviation > 0 && (
            <path
              d={
                line<number>()
                  .x((value) => x(value))
                  .y((value) => y(normal(value)))(steps) ?? ''
              }
              fill="none"
              stroke={ink.ink}
              strokeWidth={1.6}
            />
          )}
          {[low, high].map((end) => (
            <line
              key={end}
              x1={x(end)}
              x2={x(end)}
              y1={18}
              y2={plotSize.height - 54}
              stroke={ink.brass}
              strokeDasharray="5 4"
            />
          ))}
          <text x={plotSize.width - 28} y={13} textAnchor="end" fontFamily={textFont}>
            bars: draws; curve: normal; dashes: 95 of 100
          </text>
        </>
      )}
    </Plot>
  );
}
