import { cylinderModel, mmPerMl, parallaxMm, type CylinderPicture } from '@green-beam/core';
import type { SVGProps } from 'react';
import { EyeOnRail } from './eyeOnRail';
import { Card, Liquid, signedRiseMm, Wall, type Tube } from './glassTube';
import { Marks, PrintedUnit, tubeSpots } from './tubeScale';
import { figureFont } from './ink';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const cylinderView = { width: 770, height: 640 } as const;

const divisionPx = 24;
const levelY = 330;
const middleX = 300;

/**
 * The part of a cylinder around the level, true to scale: one division is 24 units high on every model. While it is being
 * filled the glass stands still, with its target in the middle, and the level moves.
 */
function placed(picture: CylinderPicture) {
  const model = cylinderModel(picture.model);
  const perMl = mmPerMl(model);
  const pxPerMm = divisionPx / (Number(model.division) * perMl);
  const centreMm = picture.filling ? (picture.targetMl ?? 0) * perMl : picture.heightMm;
  const yOf = (ml: number) => levelY - (ml * perMl - centreMm) * pxPerMm;
  const tube: Tube = {
    middleX,
    radius: (model.boreMm / 2) * pxPerMm,
    levelY: levelY - (picture.heightMm - centreMm) * pxPerMm,
    lift: parallaxMm(model, picture.eyeMm) * pxPerMm,
    rise: signedRiseMm(model, picture.surface) * pxPerMm,
  };
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
      {card && <Card {...tube} />}
      <Liquid tube={tube} bottomY={Math.max(cylinderView.height, tube.levelY + 40)} card={card} />
      <Wall tube={tube} brimY={brimY} bottomY={cylinderView.height} open={brimY > -40} />
      <Marks
        tube={tube}
        model={model}
        yOf={yOf}
        height={cylinderView.height}
        {...(model.falling ? { otherNumber: (ml: number) => highest - ml } : {})}
      />
      <PrintedUnit
        x={middleX + tube.radius + 14}
        words={picture.filmMl === null ? 'mL, 20 °C' : 'mL, 20 °C, to contain'}
      />
      {eyeProps && <EyeOnRail tube={tube} eyeMm={picture.eyeMm} {...eyeProps} />}
    </g>
  );
}

/** Where its parts lie. */
export function cylinderSpots(picture: CylinderPicture): Spots {
  const { model, tube, yOf, valueMl } = placed(picture);
  const spots = tubeSpots(tube, model, yOf, valueMl);
  return { ...spots, 'other-side': { x: middleX + tube.radius * 0.3, y: yOf(valueMl) - 24 } };
}
