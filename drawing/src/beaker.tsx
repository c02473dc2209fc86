import {
  beakerHeightMm,
  beakerModel,
  eyeReachMm,
  parallaxMm,
  scaleOf,
  shown,
  type BeakerModel,
  type BeakerPicture,
} from '@green-beam/core';
import type { SVGProps } from 'react';
import { EyeOnRail } from './eyeOnRail';
import { Card, Liquid, levelled, signedRiseMm, type Tube } from './glassTube';
import { figureFont, ink, textFont } from './ink';
import { Stroke } from './matter';
import { radiusAt, smooth, Vessel, type Profile } from './vessel';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const beakerView = { width: 770, height: 640 } as const;

const [middleX, floorY, tallest, widest] = [340, 600, 540, 470] as const;

/** The inside of the whole vessel: a beaker goes straight up to its mouth, a cone ends in a neck. */
export function beakerProfile(model: BeakerModel): Profile {
  const { baseMm, apexMm, highest } = model;
  const topMark = beakerHeightMm(model, Number(highest));
  const half = baseMm / 2;
  if (apexMm === null)
    return [
      [0, half],
      [topMark * 1.24, half],
    ];
  const neck = half * (1 - topMark / apexMm);
  return [
    [0, half],
    [topMark, neck],
    ...smooth(topMark + 1, topMark + 10, neck * 0.99, neck * 0.94, 4),
    [topMark + 42, neck * 0.94],
  ];
}

function placed(picture: BeakerPicture) {
  const model = beakerModel(picture.model);
  const profile = beakerProfile(model);
  const top = profile.at(-1)?.[0] ?? 1;
  const px = Math.min(tallest / top, widest / model.baseMm);
  const yOf = (ml: number) => floorY - beakerHeightMm(model, ml) * px;
  const tube: Tube = {
    middleX,
    radius: radiusAt(profile, beakerHeightMm(model, picture.levelMl)) * px,
    levelY: yOf(picture.levelMl),
    lift: parallaxMm(model, picture.eyeMm) * px,
    rise: signedRiseMm(model, picture.surface) * px,
  };
  return { model, profile, px, yOf, tube };
}

/** A beaker or a conical flask, whole and true to scale: its few marks are guides. */
export function Beaker({
  picture,
  card,
  eyeProps,
}: {
  readonly picture: BeakerPicture;
  readonly card: boolean;
  readonly eyeProps?: SVGProps<SVGGElement>;
}) {
  const { model, profile, px, yOf, tube } = placed(picture);
  const base = (model.baseMm / 2) * px;
  const { d, labelEvery, lowest, highest } = scaleOf(model);
  const lines = Array.from({ length: Math.round((highest - lowest) / d) + 1 }, (_, at) => lowest + at * d);
  const middle = tube.levelY - tube.lift;
  return (
    <g fontFamily={figureFont}>
      <Stroke d={`M40 ${floorY + 5} H650`} colour="#3d6358" width={2} />
      {card && <Card {...tube} />}
      <path
        d={`M${middleX - tube.radius} ${middle} H${middleX + tube.radius} L${middleX + base} ${floorY} H${middleX - base} Z`}
        fill={ink.water}
        fillOpacity={0.66}
      />
      <Liquid tube={tube} bottomY={middle + 1} card={card} />
      <Vessel
        profile={profile}
        x={middleX}
        floorY={floorY}
        px={px}
        levelMm={null}
        wall={5}
        lip={model.apexMm === null ? 9 : 7}
        spout={model.apexMm === null}
      />
      {lines.map((ml) => {
        const numbered = Math.abs(ml / labelEvery - Math.round(ml / labelEvery)) < 1e-9;
        const x = middleX - 60;
        return (
          <g key={ml} stroke="#ffffff" fill="#ffffff">
            <line
              x1={x - 1}
              x2={x + (numbered ? 91 : 61)}
              y1={yOf(ml)}
              y2={yOf(ml)}
              stroke="#0b1411"
              strokeOpacity={0.7}
              strokeWidth={5}
            />
            <line
              className="mark"
              x1={x}
              x2={x + (numbered ? 90 : 60)}
              y1={yOf(ml)}
              y2={yOf(ml)}
              strokeWidth={2}
            />
            {numbered && (
              <text
                x={x + 100}
                y={yOf(ml) + 7}
                fontSize={21}
                fontWeight={600}
                stroke="#0b1411"
                strokeWidth={5}
                paintOrder="stroke"
              >
                {shown(ml)}
              </text>
            )}
          </g>
        );
      })}
      <text
        x={middleX + 6}
        y={floorY + 32}
        textAnchor="middle"
        fontSize={17}
        fontFamily={textFont}
        fill={ink.chalk}
      >
        {`mL, ± ${shown((Number(model.tolerance) / Number(model.id.split('-').at(-1))) * 100)} %`}
      </text>
      {eyeProps && <BeakerEye tube={tube} eyeMm={picture.eyeMm} {...eyeProps} />}
    </g>
  );
}

/** The eye's rail stands where the level does. */
function BeakerEye({
  tube,
  eyeMm,
  ...handle
}: { readonly tube: Tube; readonly eyeMm: number } & SVGProps<SVGGElement>) {
  return (
    <g transform={`translate(0 ${tube.levelY - levelled})`}>
      <EyeOnRail tube={{ ...tube, levelY: levelled }} eyeMm={eyeMm} {...handle} />
    </g>
  );
}

/** The eye's height for a place on its rail. */
export const beakerEyeMmAt = (picture: BeakerPicture, y: number): number =>
  Math.max(-eyeReachMm, Math.min(eyeReachMm, (placed(picture).tube.levelY - y) / 1.9));

/** Where its parts lie. */
export function beakerSpots(picture: BeakerPicture): Spots {
  const { model, yOf, tube } = placed(picture);
  const { d, labelEvery } = scaleOf(model);
  const label = Math.floor(picture.levelMl / labelEvery + 1e-9) * labelEvery;
  const x = middleX - 66;
  return {
    level: { x: middleX, y: tube.levelY - tube.lift },
    label: { x: middleX - 20, y: yOf(Math.max(label, d)) },
    spaces: {
      from: { x, y: yOf(label) },
      to: { x, y: yOf(label + labelEvery) },
      count: Math.round(labelEvery / d),
    },
  };
}
