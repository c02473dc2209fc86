import type { ScaleLinear } from 'd3-scale';
import { ink, textFont } from '../ink';
import { top, type DrawnGroup } from './drawnGroup';

/** Which group’s bias and which group’s spread the legend points at: the largest of each. */
function pointedAt(groups: readonly DrawnGroup[]): {
  readonly bias: DrawnGroup | null;
  readonly spread: DrawnGroup | null;
} {
  const off = ({ mean, reference }: DrawnGroup) => (reference === null ? 0 : Math.abs(mean - reference));
  const [bias] = [...groups].sort((a, b) => off(b) - off(a));
  const [spread] = [...groups].sort((a, b) => (b.sd ?? 0) - (a.sd ?? 0));
  return {
    bias: bias && off(bias) > 0 ? bias : null,
    spread: spread && (spread.sd ?? 0) > 0 ? spread : null,
  };
}

/** Points at the bias of one group and at the spread of one, where they are drawn: a legend of this data. */
export function Legend({
  groups,
  x,
  height,
}: {
  readonly groups: readonly DrawnGroup[];
  readonly x: ScaleLinear<number, number>;
  /** Of a row. */
  readonly height: number;
}) {
  const { bias, spread } = pointedAt(groups);
  const rowOf = (group: DrawnGroup) => top + groups.indexOf(group) * height;
  return (
    <>
      {bias && (
        <Bracket
          from={x(Math.min(bias.mean, bias.reference ?? bias.mean))}
          to={x(Math.max(bias.mean, bias.reference ?? bias.mean))}
          y={rowOf(bias) + 12}
          words="this is bias"
        />
      )}
      {spread && (
        <Bracket
          from={x(spread.mean - (spread.sd ?? 0))}
          to={x(spread.mean + (spread.sd ?? 0))}
          y={rowOf(spread) + height - 6}
          words="this is spread"
        />
      )}
    </>
  );
}

function Bracket({
  from,
  to,
  y,
  words,
}: {
  readonly from: number;
  readonly to: number;
  readonly y: number;
  readonly words: string;
}) {
  return (
    <g stroke={ink.brass} fill="none" strokeWidth={1.5}>
      <path d={`M${from} ${y - 4}v8M${from} ${y}H${to}M${to} ${y - 4}v8`} />
      <text
        x={to + 6}
        y={y + 4}
        fontSize={13}
        fontStyle="italic"
        fontFamily={textFont}
        fill={ink.ink}
        stroke="none"
      >
        {words}
      </text>
    </g>
  );
}
