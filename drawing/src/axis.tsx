import type { ScaleLinear } from 'd3-scale';
import { figureFont, ink } from './ink';

/** Marks and numbers under what lies along x. */
export function AxisBelow({
  x,
  y,
  count,
}: {
  readonly x: ScaleLinear<number, number>;
  readonly y: number;
  /** About so many marks. */
  readonly count: number;
}) {
  // As many as there are marks: fewer digits would show two of them alike.
  const format = x.tickFormat(count);
  return x.ticks(count).map((tick) => (
    <g key={tick}>
      <line x1={x(tick)} x2={x(tick)} y1={y} y2={y + 6} stroke={ink.ink} />
      <text x={x(tick)} y={y + 22} textAnchor="middle" fontSize={13} fontFamily={figureFont} fill={ink.ink}>
        {format(tick)}
      </text>
    </g>
  ));
}
