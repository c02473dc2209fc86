import { scaleOf, mmPerMl, shown, type GlassModel } from '@green-beam/core';
import { memo } from 'react';
import { figureFont, ink } from './ink';
import { Lines } from './lines';
import { Piece, rubber, Stroke } from './matter';
import { bulge, heightOf, radiusAt, smooth, Vessel, volumeBelow, whereReaches, type Profile } from './vessel';

const profiles = new Map<string, Profile>();

/** A profile that is made once for each make, and is then the same one: what is drawn of it need not be drawn again. */
export function profileOf(model: GlassModel, make: (model: GlassModel) => Profile): Profile {
  const made = profiles.get(model.id) ?? make(model);
  profiles.set(model.id, made);
  return made;
}

const tip: Profile = [[0, 0.5], ...smooth(1, 24, 0.7, 2)];

/** A graduated pipette: a tip, then one even bore, and room above its zero line. */
export function graduatedProfile(model: GlassModel): Profile {
  const radius = model.boreMm / 2;
  const body: Profile = [...tip.slice(0, -1), ...smooth(24, 34, 2, radius, 4)];
  const scaleMm = Number(model.highest) * mmPerMl(model);
  return [...body, [34 + scaleMm + 60, radius]];
}

/** Height of the ring above the tip: what is below it is what the pipette delivers. */
export const ringHeight = (profile: Profile, model: GlassModel): number =>
  heightOf(profile, Number(model.highest));

/** A pipette with one ring: thin below, a bulb in the middle as long as its volume needs, the ring on the stem above. */
export function ringPipetteProfile(model: GlassModel): Profile {
  const [capacity, stem] = [Number(model.highest), model.boreMm / 2];
  const bulb = Math.cbrt(capacity) * 3.1;
  const below: Profile = [...tip, [96, 2]];
  const whole = (length: number): Profile => [
    ...below,
    ...smooth(97, 97 + bulb, 2, bulb, 8),
    ...smooth(97 + bulb + length, 97 + 2 * bulb + length, bulb, stem, 8),
    [97 + 2 * bulb + length + 34, stem],
    [97 + 2 * bulb + length + 110, stem],
  ];
  const wanted = whereReaches(capacity, 0, 400, (length) => {
    const profile = whole(length);
    return volumeBelow(profile, profile.at(-2)?.[0] ?? 0);
  });
  return whole(wanted);
}

/** A flask with one ring: as large as its volume needs, the ring a little above the shoulder of its neck. */
export function ringFlaskProfile(model: GlassModel): Profile {
  const [capacity, neck] = [Number(model.highest), model.boreMm / 2];
  const whole = (radius: number): Profile => {
    const body = bulge(0, radius, -1.02, 0.95);
    const [shoulder, narrow] = body.at(-1) ?? [0, 0];
    const throat = shoulder + radius * 0.62;
    return [
      [0, radius * 0.5],
      ...body,
      ...smooth(shoulder, throat, narrow, neck, 10, -Math.tan(0.95)).slice(1),
      [throat + 22, neck],
      [throat + 66, neck],
    ];
  };
  const wanted = whereReaches(capacity, neck, 120, (radius) => {
    const profile = whole(radius);
    return volumeBelow(profile, profile.at(-2)?.[0] ?? 0);
  });
  return whole(wanted);
}

interface PipetteProps {
  readonly profile: Profile;
  /** What is in it, in mL. */
  readonly levelMl: number;
  /** A scale along it, zero at the top. */
  readonly scale?: GlassModel;
  /** Height of its one ring, in millimetres. */
  readonly ringMm?: number;
}

/** A whole pipette, upright, with the bulb on top that draws it up: never the mouth. */
export const WholePipette = memo(function WholePipette({ profile, levelMl, scale, ringMm }: PipetteProps) {
  const [topMm] = profile.at(-1) ?? [1];
  const [x, floorY, px] = [106, 616, 500 / topMm];
  const wide = (mm: number) => Math.max(radiusAt(profile, mm) * px, 3);
  // Drawn a little wider than true, or a stem would be a hair.
  const drawn: Profile = profile.map(([mm, radius]) => [mm, Math.max(radius * 1.6, 2.4 / px)]);
  const topY = floorY - topMm * px;
  return (
    <g fontFamily={figureFont}>
      <Vessel
        profile={drawn}
        x={x}
        floorY={floorY}
        px={px}
        levelMm={levelMl <= 0 ? null : heightOf(profile, levelMl)}
        wall={2}
        lip={0}
        open
      >
        {scale && (
          <SmallScale model={scale} x={x} floorY={floorY} px={px} half={wide(60) * 1.6} profile={profile} />
        )}
        {ringMm !== undefined && (
          <Stroke
            d={`M${x - wide(ringMm) * 1.6 - 5} ${floorY - ringMm * px} h${wide(ringMm) * 3.2 + 10}`}
            colour="#f0c368"
            width={2.5}
          />
        )}
      </Vessel>
      <Piece
        of={rubber}
        d={`M${x - 7} ${topY + 8} V${topY - 12} C${x - 40} ${topY - 24} ${x - 38} ${topY - 92} ${x} ${topY - 92} C${x + 38} ${topY - 92} ${x + 40} ${topY - 24} ${x + 7} ${topY - 12} V${topY + 8} Z`}
      />
      <Stroke
        d={`M${x - 22} ${topY - 66} Q${x - 16} ${topY - 82} ${x - 2} ${topY - 84}`}
        colour={rubber.light}
        width={4}
      />
      <Stroke
        d={`M${x + 24} ${topY - 40} Q${x + 18} ${topY - 26} ${x + 7} ${topY - 18}`}
        colour={rubber.dark}
        width={5}
      />
    </g>
  );
});

function SmallScale({
  model,
  x,
  floorY,
  px,
  half,
  profile,
}: {
  readonly model: GlassModel;
  readonly x: number;
  readonly floorY: number;
  readonly px: number;
  readonly half: number;
  readonly profile: Profile;
}) {
  const { highest, labelEvery } = scaleOf(model);
  const y = (ml: number) => floorY - heightOf(profile, highest - ml) * px;
  const numbers = Array.from({ length: Math.round(highest / labelEvery) }, (_, at) => at * labelEvery);
  return (
    <g>
      <Lines
        stroke="#ffffff"
        strokeWidth={1.2}
        lines={numbers.map((ml) => [x - half, y(ml), x + half * 0.3, y(ml)])}
      />
      <g fontSize={12} fontWeight={600} fill={ink.chalk}>
        {numbers.map((ml) => (
          <text key={ml} x={x + half + 9} y={y(ml) + 4}>
            {shown(ml)}
          </text>
        ))}
      </g>
    </g>
  );
}
