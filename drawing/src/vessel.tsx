import { memo, type ReactNode } from 'react';
import { ink } from './ink';

/** Inner radius of a vessel at heights above its floor, from the bottom up; both in millimetres. */
export type Profile = readonly (readonly [heightMm: number, radiusMm: number])[];

/** What fits in below a height, in mL: a stack of frustums, V = πh/3·(r² + rs + s²). */
export function volumeBelow(profile: Profile, heightMm: number): number {
  let cubicMm = 0;
  for (const [at, [top, upper]] of profile.entries()) {
    const below = profile[at - 1];
    if (!below) continue;
    const [bottom, lower] = below;
    const reach = Math.min(top, heightMm);
    if (reach <= bottom) continue;
    const radius = lower + ((upper - lower) * (reach - bottom)) / (top - bottom);
    cubicMm += (Math.PI / 3) * (reach - bottom) * (lower ** 2 + lower * radius + radius ** 2);
  }
  return cubicMm / 1000;
}

/** The place between two at which something that grows reaches a wanted value. */
export function whereReaches(
  wanted: number,
  low: number,
  high: number,
  value: (at: number) => number,
): number {
  let [from, to] = [low, high];
  for (let halved = 0; halved < 60; halved += 1) {
    const middle = (from + to) / 2;
    if (value(middle) < wanted) from = middle;
    else to = middle;
  }
  return (from + to) / 2;
}

/** How high so many mL stand in a vessel, in millimetres. */
export const heightOf = (profile: Profile, ml: number): number =>
  whereReaches(ml, 0, profile.at(-1)?.[0] ?? 0, (height) => volumeBelow(profile, height));

/** The inner radius at a height. */
export function radiusAt(profile: Profile, heightMm: number): number {
  for (const [at, [top, upper]] of profile.entries()) {
    const below = profile[at - 1];
    if (!below || heightMm > top) continue;
    return below[1] + ((upper - below[1]) * (heightMm - below[0])) / (top - below[0] || 1);
  }
  return profile.at(-1)?.[1] ?? 0;
}

/** A smooth passage between two radii, for shoulders and tips: it may leave the first at a slope, and ends upright. */
export const smooth = (
  fromMm: number,
  toMm: number,
  from: number,
  to: number,
  steps = 12,
  slope = 0,
): Profile =>
  Array.from({ length: steps + 1 }, (_, step) => {
    const share = step / steps;
    const turned = share ** 2 * (3 - 2 * share);
    const leaving = (share ** 3 - 2 * share ** 2 + share) * (toMm - fromMm) * slope;
    return [fromMm + (toMm - fromMm) * share, from + (to - from) * turned + leaving] as const;
  });

/** The round part of a flask or a pipette: an arc of a circle. */
export const bulge = (fromMm: number, radius: number, from: number, to: number, steps = 16): Profile =>
  Array.from({ length: steps + 1 }, (_, step) => {
    const angle = from + ((to - from) * step) / steps;
    return [fromMm + radius * (Math.sin(angle) - Math.sin(from)), radius * Math.cos(angle)] as const;
  });

interface Props {
  readonly profile: Profile;
  /** Its axis and its floor on the stage, and how many units a millimetre is. */
  readonly x: number;
  readonly floorY: number;
  readonly px: number;
  /** How high the liquid stands, in millimetres; null where there is none. */
  readonly levelMm: number | null;
  readonly colour?: string;
  /** Thickness of the glass, in units. */
  readonly wall?: number;
  /** How far a lip turns out at the mouth, in units. */
  readonly lip?: number;
  /** True with a mouth that pours. */
  readonly spout?: boolean;
  /** True where the bottom is open, as a tip is. */
  readonly open?: boolean;
  readonly children?: ReactNode;
}

/** A piece of glass drawn whole: two edges and a highlight, and the liquid in it up to where it really stands. */
export const Vessel = memo(function Vessel({
  profile,
  x,
  floorY,
  px,
  levelMm,
  colour = ink.water,
  wall = 3,
  lip = 4,
  spout = false,
  open = false,
  children,
}: Props) {
  const y = (mm: number) => floorY - mm * px;
  const side = (sign: 1 | -1, out: number) =>
    profile.map(([mm, radius]) => `${x + sign * (radius * px + out)} ${y(mm)}`);
  const [topMm, mouth] = profile.at(-1) ?? [0, 0];
  const [rimY, half] = [y(topMm), mouth * px];
  const lipAt = (sign: 1 | -1) => `L${x + sign * (half + wall + lip)} ${rimY - lip * 0.8}`;
  const pour = spout ? `L${x - half - wall - 3 * lip} ${rimY - 2 * lip}` : lipAt(-1);
  const outline = `${pour} L${side(-1, wall).reverse().join('L')}${open ? 'M' : 'L'}${side(1, wall).join('L')}${lipAt(1)}`;
  const filled = levelMm === null ? [] : profile.filter(([mm]) => mm < levelMm);
  const surface = levelMm === null ? 0 : radiusAt(profile, levelMm) * px;
  const inner = profile.filter(([mm]) => mm > topMm * 0.06 && mm < topMm * 0.94);
  const ends = [0.06, 0.94].map((share) => [topMm * share, radiusAt(profile, topMm * share)] as const);
  const streak = [...ends.slice(0, 1), ...inner, ...ends.slice(1)];
  return (
    <g>
      <path
        d={`M${side(-1, wall).join('L')}L${side(1, wall).reverse().join('L')}Z`}
        fill="#bcd2ca"
        fillOpacity={0.14}
      />
      {levelMm !== null && levelMm > 0 && (
        <>
          <path
            className="liquid"
            d={`M${[...filled.map(([mm, radius]) => `${x - radius * px} ${y(mm)}`), `${x - surface} ${y(levelMm)}`, `${x + surface} ${y(levelMm)}`, ...filled.map(([mm, radius]) => `${x + radius * px} ${y(mm)}`).reverse()].join('L')}Z`}
            fill={colour}
            fillOpacity={0.85}
          />
          <ellipse
            cx={x}
            cy={y(levelMm)}
            rx={surface}
            ry={Math.min(4, surface * 0.16)}
            fill="#9cc4e8"
            fillOpacity={0.9}
          />
        </>
      )}
      {children}
      <path
        d={`M${streak.map(([mm, radius]) => `${x - radius * px * 0.66} ${y(mm)}`).join('L')}`}
        fill="none"
        stroke="#ffffff"
        strokeOpacity={0.4}
        strokeWidth={Math.max(1.2, wall * 0.7)}
        strokeLinecap="round"
      />
      <path
        d={outline.replace(/^L/, 'M')}
        fill="none"
        stroke="#c6dbd3"
        strokeWidth={wall * 0.75}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      <ellipse
        cx={x}
        cy={rimY - lip * 0.4}
        rx={half + wall}
        ry={Math.min(5, (half + wall) * 0.14)}
        fill="none"
        stroke="#c6dbd3"
        strokeWidth={1}
      />
    </g>
  );
});
