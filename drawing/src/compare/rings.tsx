import { figureFont, ink, textFont } from '../ink';
import { short, shortened, top, type DrawnGroup, type Ground, type Layout, type Place } from './drawnGroup';

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
  const off = groups.flatMap(({ values, reference, mean }) =>
    values.map(({ value }) => Math.abs(value - (reference ?? mean))),
  );
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
    height: top + Math.ceil(groups.length / rings.columns) * (2 * rings.radius + 52) + 30,
    at: ({ reference, mean }, row, value, nth) => {
      const centre = centreOf(rings, row);
      return {
        x: centre.x + aside(nth) * rings.radius,
        y: centre.y - ((value - (reference ?? mean)) / rings.reach) * rings.radius,
      };
    },
  };
}

/** Rings about what each should be, with the mean of its trials. */
export function RingsGround({ groups, unit, width }: Ground) {
  const rings = ringsOf(groups, width);
  const { radius, reach } = rings;
  const marks = [1, 0.5, 0, -0.5, -1];
  return (
    <g>
      {groups.map(({ key, name, mean, reference, tolerance }, row) => {
        const { x, y } = centreOf(rings, row);
        const off = mean - (reference ?? mean);
        return (
          <g key={key}>
            <text
              x={x}
              y={y - radius - 8}
              textAnchor="middle"
              fontSize={14}
              fontWeight={700}
              fontFamily={textFont}
              fill={ink.ink}
            >
              {shortened(name, 24)}
            </text>
            {tolerance !== null && tolerance < reach && (
              <circle cx={x} cy={y} r={(tolerance / reach) * radius} fill={ink.beam} fillOpacity={0.13} />
            )}
            {[0.25, 0.5, 0.75, 1].map((share) => (
              <circle key={share} cx={x} cy={y} r={share * radius} fill="none" stroke={ink.rule} />
            ))}
            <line x1={x - radius} x2={x + radius} y1={y} y2={y} stroke={ink.beam} strokeWidth={2} />
            <path
              d={`M${x - radius * 0.8} ${y - (off / reach) * radius}h${radius * 0.4}M${x + radius * 0.4} ${y - (off / reach) * radius}h${radius * 0.4}`}
              stroke={ink.ink}
              strokeWidth={2.5}
            />
            {marks.map((share) => (
              <text
                key={share}
                x={x + radius + 4}
                y={y - share * radius + 4}
                fontSize={11}
                fontFamily={figureFont}
                fill={ink.ink}
              >
                {share === 0 ? '0' : `${share > 0 ? '+' : '−'}${short(Math.abs(share * reach))}`}
              </text>
            ))}
          </g>
        );
      })}
      <text x={width - 8} y={16} textAnchor="end" fontSize={13} fontFamily={textFont} fill={ink.ink}>
        error in {unit}, up is more; sideways means nothing
      </text>
    </g>
  );
}
