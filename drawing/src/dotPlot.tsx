import { scaleLinear } from 'd3-scale';
import { AxisBelow } from './axis';
import { ink, textFont } from './ink';

export interface Dot {
  readonly value: number;
  readonly right: boolean;
  readonly name: string;
}

const [usual, axisY, radius] = [640, 190, 7] as const;

/** Size of the drawing, in its own units; enlarged, fewer of them fill the same place. */
export const dotPlotView = { width: usual, enlarged: 400, height: 236 } as const;

/**
 * Answers as dots over an axis, piled up where they agree; what is accepted as a green band, the answer as a thin green
 * line. What lies far out stands at the edge with an arrow.
 * @param truth null while the answer is not to be seen.
 */
export function DotPlot({
  dots,
  accepted,
  truth,
  unit,
  division,
  enlarged = false,
}: {
  readonly dots: readonly Dot[];
  readonly accepted: readonly [low: number, high: number];
  readonly truth: number | null;
  readonly unit: string;
  readonly division: number;
  /** For the last row of a class. */
  readonly enlarged?: boolean;
}) {
  const width = enlarged ? dotPlotView.enlarged : dotPlotView.width;
  const middle = (accepted[0] + accepted[1]) / 2;
  const near = dots.map(({ value }) => Math.abs(value - middle)).filter((off) => off <= 25 * division);
  const reach = Math.max(4 * division, 1.15 * Math.max(0, ...near));
  const x = scaleLinear([middle - reach, middle + reach], [40, width - 40]).clamp(true);
  const piles = new Map<number, number>();
  const placed = dots.map((dot) => {
    const at = Math.round(x(dot.value) / (2 * radius)) * 2 * radius;
    const height = piles.get(at) ?? 0;
    piles.set(at, height + 1);
    return { ...dot, at, y: axisY - radius - 2 - height * (2 * radius + 1) };
  });
  const wrong = dots.filter(({ right }) => !right).length;
  return (
    <svg
      viewBox={`0 0 ${width} ${dotPlotView.height}`}
      width="100%"
      role="img"
      aria-label={`${dots.length} answers${truth === null ? '' : `, ${dots.length - wrong} right, ${wrong} wrong`}`}
    >
      {truth !== null && (
        <>
          <rect
            x={x(accepted[0])}
            y={20}
            width={Math.max(2, x(accepted[1]) - x(accepted[0]))}
            height={axisY - 20}
            fill={ink.beam}
            fillOpacity={0.14}
          />
          <line x1={x(truth)} x2={x(truth)} y1={14} y2={axisY} stroke={ink.beam} strokeWidth={2} />
        </>
      )}
      <line x1={30} x2={width - 30} y1={axisY} y2={axisY} stroke={ink.ink} strokeWidth={1.4} />
      {truth !== null && <AxisBelow x={x} y={axisY} count={enlarged ? 4 : 6} />}
      <text x={width - 6} y={axisY + 24} textAnchor="end" fontSize={14} fontFamily={textFont} fill={ink.ink}>
        {unit}
      </text>
      {placed.map(({ at, y, right, name }, index) => {
        const shown = truth !== null;
        return (
          <g key={index}>
            {shown && !right ? (
              <path
                d={`M${at - 5.5} ${y - 5.5} L${at + 5.5} ${y + 5.5} M${at - 5.5} ${y + 5.5} L${at + 5.5} ${y - 5.5}`}
                stroke={ink.vermilion}
                strokeWidth={3}
              />
            ) : (
              <circle cx={at} cy={y} r={radius - 1} fill={shown ? ink.beam : ink.ink} />
            )}
            <title>{shown ? `${name}: ${right ? 'right' : 'wrong'}` : name}</title>
          </g>
        );
      })}
    </svg>
  );
}
