import { memo, useMemo, useRef } from 'react';
import { figureFont, ink } from '../ink';
import { DotsGround, dotsLayout } from './dots';
import {
  inFixedOrder,
  placesIn,
  shiftTo,
  short,
  type DrawnGroup,
  type Ground,
  type Layout,
  type Place,
  type Stand,
} from './drawnGroup';
import { RingsGround, ringsLayout } from './rings';
import { useTurn } from './useTurn';

export type CompareMode = 'dots' | 'rings';

const layouts = { dots: dotsLayout, rings: ringsLayout } as const;

/**
 * Groups on one common scale: each trial a dot. The same dots, turned, stand in rings by their signed error along one diameter, and go
 * with their group where it is sorted to. On their way they are one line of round points: a thousand of them go as easily as one.
 */
export function ComparePlot({
  groups,
  unit,
  mode,
  width = 900,
  enlarged = false,
}: {
  readonly groups: readonly DrawnGroup[];
  readonly unit: string;
  readonly mode: CompareMode;
  /** In pixels, so that words stay as large as they are. */
  readonly width?: number;
  /** As wide as there is room, with everything on it. */
  readonly enlarged?: boolean;
}) {
  const stand = useMemo(
    (): Stand => ({ groups, width, layout: layouts[mode](groups, width) }),
    [groups, width, mode],
  );
  const radius = groups.length > 12 ? 4 : 6;
  const moving = useRef<SVGPathElement>(null);
  const { turning, rest } = useTurn(stand, (from, to, share) =>
    moving.current?.setAttribute('d', pointsBetween(from, to, share)),
  );
  const start = useMemo(() => (turning ? begun(rest) : ''), [turning, rest]);
  const viewBox = `0 0 ${width} ${stand.layout.height}`;
  return (
    <div style={{ position: 'relative', maxWidth: enlarged ? undefined : width }}>
      <svg
        viewBox={viewBox}
        width="100%"
        role="img"
        aria-label={inWords(groups, unit, mode)}
        data-turning={turning || undefined}
        style={{ display: 'block' }}
      >
        <GroundOf {...{ groups, unit, width, mode }} />
        {/* Out of sight on their way, and not taken out: that would be dearer to undo. */}
        <g display={turning ? 'none' : undefined}>
          {inFixedOrder(groups).map(({ group, row }) => (
            <g key={group.key} transform={shiftTo(stand.layout.from(row))}>
              <Dots
                group={group}
                layout={stand.layout}
                radius={radius}
                numbered={mode === 'dots' && groups.length <= 6}
              />
            </g>
          ))}
        </g>
      </svg>
      {turning && (
        <svg viewBox={viewBox} aria-hidden style={above}>
          <g transform={`scale(${1 / fine})`}>
            <path
              ref={moving}
              d={start}
              stroke={ink.water}
              strokeWidth={2 * radius * fine}
              strokeLinecap="round"
              fill="none"
            />
          </g>
        </svg>
      )}
    </div>
  );
}

/** A sheet of its own above the rest, which then is not painted anew while something moves on it. */
const above = {
  position: 'absolute',
  inset: 0,
  width: '100%',
  height: '100%',
  willChange: 'transform',
} as const;

interface DotsProps {
  readonly group: DrawnGroup;
  readonly layout: Layout;
  readonly radius: number;
  readonly numbered: boolean;
}

/** The trials of a group where they rest: all dots one path, and what is left out crossed. */
const Dots = memo(
  function Dots({ group, layout, radius, numbered }: DotsProps) {
    const places = group.values.map(({ value }, nth) => layout.at(group, value, nth));
    return (
      <g>
        <path d={marksOf(group, places, false, roundOf(radius))} fill={ink.water} stroke="#fff" />
        <path d={marksOf(group, places, true, cross)} stroke={ink.ink} strokeWidth={2} />
        {numbered &&
          group.values.length <= 6 &&
          group.values.map(
            ({ trial }, nth) =>
              trial !== null && (
                <text
                  key={trial}
                  x={(places[nth]?.x ?? 0) + radius + 3}
                  y={(places[nth]?.y ?? 0) + 4}
                  fontSize={12}
                  fontFamily={figureFont}
                  fill={ink.ink}
                >
                  {trial}
                </text>
              ),
          )}
      </g>
    );
  },
  (before, now) =>
    before.group === now.group &&
    before.layout.name === now.layout.name &&
    before.radius === now.radius &&
    before.numbered === now.numbered,
);

/** What the dots stand on; it stays while they go. */
const GroundOf = memo(({ mode, ...ground }: Ground & { readonly mode: CompareMode }) =>
  mode === 'dots' ? <DotsGround {...ground} /> : <RingsGround {...ground} />,
);
GroundOf.displayName = 'GroundOf';

/** To a hundredth of a pixel, which is cheaper than in writing. */
const hundredth = (size: number): number => Math.round(size * 100) / 100;

/** Parts of a pixel in which points on their way are counted: whole numbers are written fastest. */
const fine = 10;

/** Every trial on its way from one place to the other: a line of no length each, which a round pen makes a dot. */
export function pointsBetween(from: readonly Place[], to: readonly Place[], share: number): string {
  let path = '';
  for (let nth = 0; nth < from.length; nth += 1) {
    const [start, end] = [from[nth], to[nth]];
    if (!start || !end) continue;
    const x = Math.round(fine * (start.x + (end.x - start.x) * share));
    const y = Math.round(fine * (start.y + (end.y - start.y) * share));
    path += `M${x} ${y}h0`;
  }
  return path;
}

/** The same before they set out. */
function begun(rest: Stand): string {
  const places = placesIn(rest);
  return pointsBetween(places, places, 0);
}

/** A mark about the place where it stands: how far to the left and above it begins, and its outline from there. */
interface Mark {
  readonly left: number;
  readonly above: number;
  readonly outline: string;
}

const roundOf = (radius: number): Mark => ({
  left: radius,
  above: 0,
  outline: `a${radius} ${radius} 0 1 0 ${2 * radius} 0a${radius} ${radius} 0 1 0 ${-2 * radius} 0Z`,
});
const cross: Mark = { left: 5, above: 5, outline: 'l10 10m-10 0l10 -10' };

/** The marks of a group: those that count, or those that are left out. */
function marksOf(
  { values }: DrawnGroup,
  places: readonly Place[],
  excluded: boolean,
  { left, above, outline }: Mark,
): string {
  let path = '';
  for (const [nth, value] of values.entries()) {
    const place = places[nth];
    if (value.excluded !== excluded || !place) continue;
    path += `M${hundredth(place.x - left)} ${hundredth(place.y - above)}${outline}`;
  }
  return path;
}

const inWords = (groups: readonly DrawnGroup[], unit: string, mode: CompareMode): string =>
  `${groups.length} groups ${mode === 'dots' ? 'on one scale' : 'in rings'}: ${groups
    .map(
      ({ name, mean, values }) =>
        `${name}, mean ${short(mean)} ${unit} of ${values.filter(({ excluded }) => !excluded).length}`,
    )
    .join('; ')}`;
