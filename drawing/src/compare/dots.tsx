import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { memo } from 'react';
import { AxisBelow } from '../axis';
import { ink, textFont } from '../ink';
import {
  inFixedOrder,
  extentOf,
  shiftTo,
  labelsOf,
  top,
  type DrawnGroup,
  type Ground,
  type Layout,
} from './drawnGroup';
import { Legend } from './legend';

/** Rows so high have room for a legend. */
const roomy = 84;
const [left, right, foot] = [190, 24, 46] as const;
const narrow = (width: number): boolean => width < 560;
const leftOf = (width: number): number => (narrow(width) ? 16 : left);
const rowOf = (groups: readonly DrawnGroup[], width: number): number =>
  (groups.length > 12 ? 26 : groups.length > 6 ? 48 : roomy) + (narrow(width) ? 20 : 0);

/** The ends of the common scale. */
function endsOf(groups: readonly DrawnGroup[]): readonly [least: number, most: number] {
  const ends = groups.flatMap((group) => {
    const { values, reference, mean, interval } = group;
    const { least, most } = extentOf(group);
    return [
      least,
      most,
      ...(reference === null ? [] : [reference]),
      ...(interval !== null && Number.isFinite(interval) && groups.length <= 12
        ? limited(values, mean, interval)
        : []),
    ];
  });
  const [least, most] = [Math.min(...ends), Math.max(...ends)];
  const margin = 0.06 * (most - least || Math.abs(most) || 1);
  return [least - margin, most + margin];
}

const scaleOf = (ends: readonly [number, number], width: number): ScaleLinear<number, number> =>
  scaleLinear(ends, [leftOf(width), width - right]);

/** An interval of two trials may be a hundred times as wide as they lie apart: it is drawn as far as twice that. */
function limited(values: DrawnGroup['values'], mean: number, interval: number): number[] {
  const far = Math.max(...values.map(({ value }) => Math.abs(value - mean)));
  const shown = Math.min(interval, 2 * far);
  return [mean - shown, mean + shown];
}

/** Along the common scale, from above in the order in which they were made. */
export function dotsLayout(groups: readonly DrawnGroup[], width: number): Layout {
  const ends = endsOf(groups);
  const x = scaleOf(ends, width);
  const height = rowOf(groups, width);
  const room = height * 0.5;
  return {
    name: `dots ${ends.join()} ${height} ${width}`,
    height: top + groups.length * height + foot,
    from: (row) => ({ x: 0, y: top + row * height }),
    at: ({ values }, value, nth) => ({
      x: x(value),
      y: height * 0.24 + (values.length < 2 ? room / 2 : (room * nth) / (values.length - 1)),
    }),
  };
}

/** The common scale with what each group should be, its tolerance, its mean and its interval. */
export function DotsGround({ groups, unit, width }: Ground) {
  const [least, most] = endsOf(groups);
  const x = scaleOf([least, most], width);
  const height = rowOf(groups, width);
  const bottom = top + groups.length * height;
  const labels = labelsOf(groups, 22);
  return (
    <g>
      {inFixedOrder(groups).map(({ group, row }) => (
        <g key={group.key} transform={shiftTo({ x: 0, y: top + row * height })}>
          <Row
            group={group}
            label={labels.get(group) ?? group.name}
            least={least}
            most={most}
            height={height}
            width={width}
          />
        </g>
      ))}
      {height >= roomy && <Legend groups={groups} x={x} height={height} />}
      <AxisBelow x={x} y={bottom} count={narrow(width) ? 4 : 8} />
      <text
        x={width - right}
        y={bottom + 40}
        textAnchor="end"
        fontSize={13}
        fontFamily={textFont}
        fill={ink.ink}
      >
        {unit}
      </text>
    </g>
  );
}

const Row = memo(function Row({
  group,
  label,
  least,
  most,
  height,
  width,
}: {
  readonly group: DrawnGroup;
  readonly label: string;
  /** The ends of the common scale. */
  readonly least: number;
  readonly most: number;
  readonly height: number;
  readonly width: number;
}) {
  const x = scaleOf([least, most], width);
  const { mean, interval, reference, tolerance } = group;
  const middle = height / 2;
  const [from, to] = interval === null ? [mean, mean] : [mean - interval, mean + interval];
  const clip = (value: number) => Math.max(leftOf(width), Math.min(width - right, x(value)));
  return (
    <g>
      {reference !== null && tolerance !== null && (
        <rect
          x={clip(reference - tolerance)}
          width={Math.max(0, clip(reference + tolerance) - clip(reference - tolerance))}
          y={2}
          height={height - 4}
          fill={ink.beam}
          fillOpacity={0.13}
        />
      )}
      {reference !== null && (
        <line x1={x(reference)} x2={x(reference)} y1={0} y2={height} stroke={ink.beam} strokeWidth={2} />
      )}
      <line
        x1={x(mean)}
        x2={x(mean)}
        y1={height * 0.16}
        y2={height * 0.84}
        stroke={ink.ink}
        strokeWidth={2.5}
      />
      {interval !== null && (
        <line
          x1={clip(from)}
          x2={clip(to)}
          y1={height * 0.84}
          y2={height * 0.84}
          stroke={ink.ink}
          strokeWidth={1.5}
        />
      )}
      <text
        x={narrow(width) ? leftOf(width) : left - 14}
        y={narrow(width) ? 14 : middle + 5}
        textAnchor={narrow(width) ? 'start' : 'end'}
        fontSize={14}
        fontWeight={700}
        fontFamily={textFont}
        fill={ink.ink}
      >
        {label}
      </text>
      <line x1={0} x2={width} y1={height} y2={height} stroke={ink.rule} />
    </g>
  );
});
