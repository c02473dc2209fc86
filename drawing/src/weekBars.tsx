import { scaleBand, scaleLinear } from 'd3-scale';
import { figureFont, ink, textFont } from './ink';

export interface Week {
  /** Its Monday, as `2026-11-02`. */
  readonly monday: string;
  readonly tries: number;
  readonly right: number;
}

const dayAndMonth = new Intl.DateTimeFormat([], { day: 'numeric', month: 'short' });

const [width, height, foot, top] = [720, 170, 34, 22] as const;

/** First tries by week: a column each, what was right filled from below. */
export function WeekBars({ weeks }: { readonly weeks: readonly Week[] }) {
  const x = scaleBand(
    weeks.map(({ monday }) => monday),
    [0, width],
  ).padding(0.35);
  // A few weeks stand as wide as many do.
  const bar = Math.min(46, x.bandwidth());
  const y = scaleLinear([0, Math.max(1, ...weeks.map(({ tries }) => tries))], [height - foot, top]);
  // As many days are named as find room.
  const every = Math.ceil(weeks.length / 12);
  const right = weeks.reduce((sum, week) => sum + week.right, 0);
  const tries = weeks.reduce((sum, week) => sum + week.tries, 0);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Readings by week: ${right} of ${tries} right at the first try`}
      className="w-full max-w-[720px]"
    >
      {weeks.map((week, at) => {
        const left = (x(week.monday) ?? 0) + (x.bandwidth() - bar) / 2;
        return (
          <g key={week.monday}>
            <rect
              x={left}
              width={bar}
              y={y(week.tries)}
              height={y(0) - y(week.tries)}
              fill="none"
              stroke={ink.ink}
            />
            <rect x={left} width={bar} y={y(week.right)} height={y(0) - y(week.right)} fill={ink.beam} />
            <text
              x={left + bar / 2}
              y={y(week.tries) - 6}
              textAnchor="middle"
              fontSize={12}
              fontFamily={figureFont}
              fill={ink.ink}
            >
              {week.right}/{week.tries}
            </text>
            {at % every === 0 && (
              <text
                x={left + bar / 2}
                y={height - 12}
                textAnchor="middle"
                fontSize={12}
                fontFamily={textFont}
                fill={ink.ink}
              >
                {dayAndMonth.format(new Date(`${week.monday}T12:00:00`))}
              </text>
            )}
          </g>
        );
      })}
      <line x1={0} x2={width} y1={y(0)} y2={y(0)} stroke={ink.ink} strokeWidth={1.5} />
    </svg>
  );
}
