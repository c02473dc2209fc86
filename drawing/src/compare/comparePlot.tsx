import { memo, useMemo } from 'react';
import { figureFont, ink } from '../ink';
import { DotsGround, dotsLayout } from './dots';
import { short, type DrawnGroup, type Ground, type Layout, type Place } from './drawnGroup';
import { RingsGround, ringsLayout } from './rings';

export type CompareMode = 'dots' | 'rings';

/**
 * Groups on one common scale: each trial a dot. The same dots, turned, stand in rings by their signed error along one diameter.
 */
export function ComparePlot({
  groups,
  unit,
  mode,
  width = 900,
  turned = mode === 'rings' ? 1 : 0,
  enlarged = false,
}: {
  readonly groups: readonly DrawnGroup[];
  readonly unit: string;
  readonly mode: CompareMode;
  /** In pixels, so that words stay as large as they are. */
  readonly width?: number;
  /** How far the dots have gone from their scale (0) to their rings (1). */
  readonly turned?: number;
  /** As wide as there is room, with everything on it. */
  readonly enlarged?: boolean;
}) {
  const [dots, rings] = useMemo(
    () => [placed(groups, dotsLayout(groups, width)), placed(groups, ringsLayout(groups, width))],
    [groups, width],
  );
  const { height } = mode === 'dots' ? dots : rings;
  const radius = groups.length > 12 ? 4 : 6;
  const numbered = turned === 0 && groups.length <= 6;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={inWords(groups, unit, mode)}
      style={enlarged ? undefined : { maxWidth: width }}
    >
      <GroundOf {...{ groups, unit, width, mode }} />
      {groups.map((group, row) => {
        const [from = [], to = []] = [dots.places[row], rings.places[row]];
        return (
          // All dots of a group are one path: a thousand of them turn as fast as one.
          <g key={group.key}>
            <path
              d={marksOf(group, from, to, turned, false, roundOf(radius))}
              fill={ink.water}
              stroke="#fff"
            />
            <path d={marksOf(group, from, to, turned, true, cross)} stroke={ink.ink} strokeWidth={2} />
            {numbered &&
              group.values.length <= 6 &&
              group.values.map(
                ({ trial }, nth) =>
                  trial !== null && (
                    <text
                      key={trial}
                      x={(from[nth]?.x ?? 0) + radius + 3}
                      y={(from[nth]?.y ?? 0) + 4}
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
      })}
    </svg>
  );
}

/** What the dots stand on; it stays while they go. */
const GroundOf = memo(({ mode, ...ground }: Ground & { readonly mode: CompareMode }) =>
  mode === 'dots' ? <DotsGround {...ground} /> : <RingsGround {...ground} />,
);
GroundOf.displayName = 'GroundOf';

interface Placed {
  readonly height: number;
  /** Of each group, where its trials stand. */
  readonly places: readonly (readonly Place[])[];
}

const placed = (groups: readonly DrawnGroup[], layout: Layout): Placed => ({
  height: layout.height,
  places: groups.map((group, row) => group.values.map(({ value }, nth) => layout.at(group, row, value, nth))),
});

/** To a hundredth of a pixel, which is cheaper than in writing. */
const hundredth = (size: number): number => Math.round(size * 100) / 100;

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

/** The marks of a group on their way from one place to the other: those that count, or those that are left out. */
function marksOf(
  { values }: DrawnGroup,
  from: readonly Place[],
  to: readonly Place[],
  share: number,
  excluded: boolean,
  { left, above, outline }: Mark,
): string {
  let path = '';
  for (const [nth, value] of values.entries()) {
    const [start, end] = [from[nth], to[nth]];
    if (value.excluded !== excluded || !start || !end) continue;
    const x = hundredth(start.x + (end.x - start.x) * share - left);
    const y = hundredth(start.y + (end.y - start.y) * share - above);
    path += `M${x} ${y}${outline}`;
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
