import {
  cylinderModel,
  mmPerMl,
  scaleOf,
  shown,
  type CylinderModel,
  type CylinderPicture,
} from '@green-beam/core';
import { memo, type SVGProps } from 'react';
import { EyeOnRail } from './eyeOnRail';
import { Card, Liquid, levelled, pxPerMm, seenTube, tubeX, Wall } from './glassTube';
import { figureFont } from './ink';
import { Lines } from './lines';
import { Piece, Stroke, enamel } from './matter';
import { Marks, PrintedUnit, tubeSpots } from './tubeScale';
import { Vessel, type Profile } from './vessel';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const cylinderView = { width: 770, height: 640 } as const;

const divisionPx = 24;

/**
 * The part of a cylinder around the level, true to scale. While it is being filled the glass stands still, with its
 * target in the middle, and the level moves.
 */
function placed(picture: CylinderPicture) {
  const model = cylinderModel(picture.model);
  const perMl = mmPerMl(model);
  const px = pxPerMm(model, divisionPx);
  const centreMm = picture.filling ? (picture.targetMl ?? 0) * perMl : picture.heightMm;
  const yOf = (ml: number) => levelled - (ml * perMl - centreMm) * px;
  const tube = seenTube({ ...picture, model, px, levelY: levelled - (picture.heightMm - centreMm) * px });
  return { model, tube, yOf, valueMl: picture.heightMm / perMl };
}

export function GraduatedCylinder({
  picture,
  card,
  eyeProps,
}: {
  readonly picture: CylinderPicture;
  /** True with a half-dark card held behind, which sharpens the curve. */
  readonly card: boolean;
  /** What the page adds to the eye to make it a handle; no eye is drawn without it. */
  readonly eyeProps?: SVGProps<SVGGElement>;
}) {
  const { model, tube, yOf } = placed(picture);
  const highest = Number(model.highest);
  const brimY = Math.max(-40, yOf(highest) - 90);
  return (
    <g fontFamily={figureFont}>
      <WholeCylinder model={model} heightMm={picture.heightMm} />
      {card && <Card {...tube} />}
      <Liquid tube={tube} bottomY={Math.max(cylinderView.height, tube.levelY + 40)} card={card} />
      <Wall middleX={tubeX} radius={tube.radius} brimY={brimY} bottomY={cylinderView.height} spout />
      <Marks
        tube={tube}
        model={model}
        yOf={yOf}
        height={cylinderView.height}
        {...(model.falling ? { otherNumber: (ml: number) => highest - ml } : {})}
      />
      <PrintedUnit
        x={tubeX + tube.radius + 24}
        words={picture.filmMl === null ? 'mL, 20 °C' : 'mL, 20 °C, to contain'}
      />
      {eyeProps && <EyeOnRail tube={tube} eyeMm={picture.eyeMm} {...eyeProps} />}
    </g>
  );
}

/** The inside of a whole cylinder: some way above its last line to the brim. */
export const cylinderProfile = (model: CylinderModel): Profile => {
  const radius = model.boreMm / 2;
  const top = Number(model.highest) * mmPerMl(model) * 1.18;
  return [
    [0, radius],
    [top, radius],
  ];
};

/** The whole cylinder on its foot, with its spout, and the ring that guards it where it falls. */
const WholeCylinder = memo(function WholeCylinder({
  model,
  heightMm,
}: {
  readonly model: CylinderModel;
  readonly heightMm: number;
}) {
  const profile = cylinderProfile(model);
  const [topMm] = profile.at(-1) ?? [0];
  const px = 500 / topMm;
  const [x, floorY, half] = [104, 584, (model.boreMm / 2) * px];
  const { labelEvery, lowest, highest } = scaleOf(model);
  const perMl = mmPerMl(model) * px;
  const first = Math.ceil(lowest / labelEvery) * labelEvery;
  const numbered = Array.from(
    { length: Math.floor((highest - first) / labelEvery) + 1 },
    (_, at) => first + at * labelEvery,
  );
  const ring = { y: floorY - topMm * px * 0.93, out: half + 3 };
  const foot = Math.min(92, half * 2.1);
  return (
    <g fontFamily={figureFont}>
      <Stroke d={`M8 ${floorY + 28} H206`} colour="#3d6358" width={2} />
      <g className="foot">
        <Piece
          of={enamel}
          d={`M${x - foot} ${floorY + 28} V${floorY + 16} L${x - half - 4} ${floorY + 4} H${x + half + 4} L${x + foot} ${floorY + 16} V${floorY + 28} Z`}
        />
        <path
          d={`M${x + foot * 0.35} ${floorY + 28} V${floorY + 13} L${x + foot} ${floorY + 17} V${floorY + 28} Z`}
          fill={enamel.dark}
        />
        <Stroke
          d={`M${x - foot + 2} ${floorY + 17} L${x - half - 4} ${floorY + 5} H${x + half}`}
          colour={enamel.light}
        />
      </g>
      <Vessel
        profile={profile}
        x={x}
        floorY={floorY + 2}
        px={px}
        levelMm={Math.min(heightMm, topMm)}
        wall={4}
        spout
      >
        <Lines
          stroke="#ffffff"
          strokeWidth={1.2}
          lines={numbered.map((ml) => [
            x - half * 0.7,
            floorY - ml * perMl,
            x - half * 0.05,
            floorY - ml * perMl,
          ])}
        />
        <g fontSize={12} fontWeight={600} fill="#ffffff">
          {numbered
            .filter((_, at) => labelEvery * perMl >= 15 || at % 2 === 1)
            .map((ml) => (
              <text key={ml} x={x + half * 0.05} y={floorY - ml * perMl + 4}>
                {shown(ml)}
              </text>
            ))}
        </g>
      </Vessel>
      <g className="guard-ring">
        <Piece
          of={enamel}
          d={`M${x - ring.out - 10} ${ring.y - 6} H${x + ring.out + 10} L${x + ring.out + 14} ${ring.y} L${x + ring.out + 10} ${ring.y + 6} H${x - ring.out - 10} L${x - ring.out - 14} ${ring.y} Z`}
        />
        <Stroke d={`M${x - ring.out - 9} ${ring.y - 4.5} H${x + ring.out + 9}`} colour={enamel.light} />
      </g>
    </g>
  );
});

/** Where its parts lie. */
export function cylinderSpots(picture: CylinderPicture): Spots {
  const { model, tube, yOf, valueMl } = placed(picture);
  const spots = tubeSpots(tube, model, yOf, valueMl, model.falling);
  return { ...spots, 'other-side': { x: tubeX - tube.radius * 0.4, y: yOf(valueMl) - 24 } };
}
