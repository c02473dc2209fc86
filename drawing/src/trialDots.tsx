import { ink, textFont } from './ink';
import { Plot, plotSize, roomFor } from './plot';

/** The trials of a result as dots over their trial number, with mean, spread, and the accepted value as a thin green line. */
export function TrialDots({
  values,
  mean,
  spread,
  accepted,
  each,
  words,
}: {
  readonly values: readonly { readonly trial: number; readonly value: number; readonly counts: boolean }[];
  readonly mean: number;
  /** Standard deviation; null for one trial. */
  readonly spread: number | null;
  readonly accepted: number | null;
  /** How uncertain each is by its readings and instruments; null where the class writes no ±. */
  readonly each: number | null;
  /** Quantity and unit. */
  readonly words: string;
}) {
  const ends = [mean - (spread ?? 0), mean + (spread ?? 0), ...(accepted === null ? [] : [accepted])];
  const last = Math.max(...values.map(({ trial }) => trial));
  return (
    <Plot
      label={`${values.length} trials of ${words}; mean ${mean.toPrecision(4)}${spread === null ? '' : `, standard deviation ${spread.toPrecision(2)}`}`}
      x={['trial', [0.5, last + 0.5]]}
      whole
      y={[
        words,
        roomFor([...values.flatMap(({ value }) => [value - (each ?? 0), value + (each ?? 0)]), ...ends]),
      ]}
    >
      {(x, y) => (
        <>
          {spread !== null && (
            <rect
              x={x(0.5)}
              width={x(last + 0.5) - x(0.5)}
              y={y(mean + spread)}
              height={Math.max(1, y(mean - spread) - y(mean + spread))}
              fill={ink.water}
              fillOpacity={0.14}
            />
          )}
          <line
            x1={x(0.5)}
            x2={x(last + 0.5)}
            y1={y(mean)}
            y2={y(mean)}
            stroke={ink.water}
            strokeWidth={1.6}
          />
          <text
            x={plotSize.width - 28}
            y={y(mean) - 6}
            textAnchor="end"
            fontFamily={textFont}
            fill={ink.water}
          >
            mean{spread === null ? '' : ' ± s'}
          </text>
          {accepted !== null && (
            <>
              <line
                x1={x(0.5)}
                x2={x(last + 0.5)}
                y1={y(accepted)}
                y2={y(accepted)}
                stroke={ink.beam}
                strokeWidth={1.4}
              />
              <text x={x(0.5) + 6} y={y(accepted) - 6} fontFamily={textFont} fill={ink.beam}>
                accepted
              </text>
            </>
          )}
          {each !== null &&
            values.map(({ trial, value }) => (
              <path
                key={trial}
                className="bar"
                d={`M${x(trial)} ${y(value - each)} V${y(value + each)} M${x(trial) - 5} ${y(value - each)} h10 M${x(trial) - 5} ${y(value + each)} h10`}
                stroke={ink.ink}
                strokeOpacity={0.55}
              />
            ))}
          {values.map(({ trial, value, counts }) =>
            counts ? (
              <circle key={trial} cx={x(trial)} cy={y(value)} r={5.5} fill={ink.ink} />
            ) : (
              <path
                key={trial}
                d={`M${x(trial) - 5} ${y(value) - 5} l10 10 m0 -10 l-10 10`}
                stroke={ink.vermilion}
                strokeWidth={2.4}
              />
            ),
          )}
        </>
      )}
    </Plot>
  );
}
