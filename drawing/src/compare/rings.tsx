import { memo } from 'react';
import { figureFont, ink, textFont } from '../ink';
import {
  inFixedOrder,
  extentOf,
  shiftTo,
  short,
  labelsOf,
  top,
  type DrawnGroup,
  type Ground,
  type Layout,
  type Place,
} from './drawnGroup';

const ring = { least: 230, most: 320 } as const;

interface Rings {
  readonly columns: number;
  readonly cell: number;
  readonly radius: number;
  readonly reach: number;
}

function ringsOf(groups: readonly DrawnGroup[], width: number): Rings {
  const columns = Math.max(
    1,
    Math.min(groups.length, Math.floor(width / (groups.length > 12 ? 150 : ring.least))),
  );
  const cell = width / columns;
  const off = groups.map((group) => extentOf(group).off);
  // Where nothing is off, any reach will do.
  const reach = niceUp(Math.max(...off) || 1);
  return { columns, cell, radius: Math.min(cell, ring.most) / 2 - 40, reach };
}

/** A round number, from this on. */
function niceUp(size: number): number {
  const power = 10 ** Math.floor(Math.log10(size));
  return ([1, 1.6, 2, 2.4, 3, 4, 5, 6, 8, 10].find((times) => times * power >= size) ?? 10) * power;
}

const centreOf = ({ columns, cell, radius }: Rings, row: number): Place => ({
  x: (row % columns) * cell + cell / 2 - 14,
  y: top + Math.floor(row / columns) * (2 * radius + 52) + radius + 24,
});

/** Sideways means nothing: it only keeps dots apart, and is the same each time. */
const aside = (nth: number): number => (((nth * 0.618034) % 1) - 0.5) * 0.5;

/** By the signed error along one diameter. */
export function ringsLayout(groups: readonly DrawnGroup[], width: number): Layout {
  const rings = ringsOf(groups, width);
  return {
    name: `rings ${rings.radius} ${rings.reach}`,
    height: top + Math.ceil(groups.length / rings.columns) * (2 * rings.radius + 52) + 30,
    from: (row) => centreOf(rings, row),
    at: ({ reference, mean }, value, nth) => ({
      x: aside(nth) * rings.radius,
      y: -((value - (reference ?? mean)) / rings.reach) * rings.radius,
    }),
  };
}

/** Rings about what each should be, with the mean of its trials. */
export function RingsGround({ groups, unit, width }: Ground) {
  const rings = ringsOf(groups, width);
  const { radius, reach } = rings;
  const labels = labelsOf(groups, 24);
  return (
    <g>
      {inFixedOrder(groups).map(({ group, row }) => (
        <g key={group.key} transform={shiftTo(centreOf(rings, row))}>
          <Rounds
            group={group}
            label={labels.get(group) ?? group.name}
            radius={radius}
            reach={reach}
            plain={groups.length > 12}
          />
        </g>
      ))}
      <text x={width - 8} y={16} textAnchor="end" fontSize={13} fontFamily={textFont} fill={ink.ink}>
        error in {unit}, up is more; sideways means nothing
      </text>
    </g>
  );
}

/** Where a ring has numbers, and how many circles; small ones have few. */
const marked = { rich: [1, 0.5, 0, -0.5, -1], plain: [1, -1] } as const;
const circles = { rich: [0.25, 0.5, 0.75, 1], plain: [0.5, 1] } as const;

/** The rings of one group about its middle. */
const Rounds = memo(function Rounds({
  group: { mean, reference, tolerance },
  label,
  radius,
  reach,
  plain,
}: {
  readonly group: DrawnGroup;
  readonly label: string;
  readonly radius: number;
  readonly reach: number;
  readonly plain: boolean;
}) {
  const off = mean - (reference ?? mean);
  return (
    <g>
      <text
        x={0}
        y={-radius - 8}
        textAnchor="middle"
        fontSize={14}
        fontWeight={700}
        fontFamily={textFont}
        fill={ink.ink}
      >
        {label}
      </text>
      {tolerance !== null && tolerance < reach && (
        <circle r={(tolerance / reach) * radius} fill={ink.beam} fillOpacity={0.13} />
      )}
      {circles[plain ? 'plain' : 'rich'].map((share) => (
        <circle key={share} r={share * radius} fill="none" stroke={ink.rule} />
      ))}
      <line x1={-radius} x2={radius} stroke={ink.beam} strokeWidth={2} />
      <path
        d={`M${-radius * 0.8} ${-(off / reach) * radius}h${radius * 0.4}M${radius * 0.4} ${-(off / reach) * radius}h${radius * 0.4}`}
        stroke={ink.ink}
        strokeWidth={2.5}
      />
      {marked[plain ? 'plain' : 'rich'].map((share) => (
        <text
          key={share}
          x={radius + 4}
          y={-share * radius + 4}
          fontSize={11}
          fontFamily={figureFont}
          fill={ink.ink}
        >
          {share === 0 ? '0' : `${share > 0 ? '+' : '−'}${short(Math.abs(share * reach))}`}
        </text>
      ))}
    </g>
  );
});
