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
import { Card, Liquid, signedRiseMm, type Tube } from './glassTube';
import { figureFont, ink, textFont } from './ink';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const beakerView = { width: 770, height: 640 } as const;

const [middleX, floorY, tallest] = [320, 590, 470] as const;

/** Half the inner width at a height, in millimetres: a cone narrows toward its apex. */
const halfWidthMm = ({ baseMm, apexMm }: BeakerModel, heightMm: number): number =>
  (baseMm / 2) * (apexMm === null ? 1 : 1 - heightMm / apexMm);

function placed(picture: BeakerPicture) {
  const model = beakerModel(picture.model);
  const top = beakerHeightMm(model, Number(model.highest)) * 1.15;
  const px = Math.min(tallest / top, 440 / model.baseMm);
  const yOf = (ml: number) => floorY - beakerHeightMm(model, ml) * px;
  const height = beakerHeightMm(model, picture.levelMl);
  const tube: Tube = {
    middleX,
    radius: halfWidthMm(model, height) * px,
    levelY: yOf(picture.levelMl),
    lift: parallaxMm(model, picture.eyeMm) * px,
    rise: signedRiseMm(model, picture.surface) * px,
  };
  return { model, px, top, yOf, tube };
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
  const { model, px, top, yOf, tube } = placed(picture);
  const base = (model.baseMm / 2) * px;
  const mouth = halfWidthMm(model, top) * px;
  const rimY = floorY - top * px;
  const { d, labelEvery, lowest, highest } = scaleOf(model);
  const lines = Array.from({ length: Math.round((highest - lowest) / d) + 1 }, (_, at) => lowest + at * d);
  return (
    <g fontFamily={figureFont}>
      {card && <Card {...tube} />}
      <path
        d={`M${middleX - tube.radius} ${tube.levelY - tube.lift} H${middleX + tube.radius} L${middleX + base} ${floorY} H${middleX - base} Z`}
        fill={ink.water}
        fillOpacity={0.6}
      />
      <Liquid tube={tube} bottomY={tube.levelY - tube.lift + 1} card={card} />
      <path
        d={`M${middleX - mouth - 12} ${rimY - 10} L${middleX - mouth} ${rimY} L${middleX - base} ${floorY} H${middleX + base} L${middleX + mouth} ${rimY} L${middleX + mouth + 12} ${rimY - 10}`}
        fill="none"
        stroke="#bcd2ca"
        strokeWidth={5}
        strokeLinejoin="round"
      />
      {lines.map((ml) => {
        const numbered = Math.abs(ml / labelEvery - Math.round(ml / labelEvery)) < 1e-9;
        const x = middleX - 70;
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
                y={yOf(ml) + 6}
                fontSize={19}
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
      <text x={middleX - base} y={floorY + 30} fontSize={15} fontFamily={textFont} fill={ink.faintChalk}>
        {`mL, ±${shown((Number(model.tolerance) / Number(model.id.split('-').at(-1))) * 100)} %`}
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
    <g transform={`translate(0 ${tube.levelY - 330})`}>
      <EyeOnRail tube={{ ...tube, levelY: 330 }} eyeMm={eyeMm} {...handle} />
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
  const x = middleX - 76;
  return {
    level: { x: middleX, y: tube.levelY - tube.lift },
    label: { x: middleX - 30, y: yOf(Math.max(label, d)) },
    spaces: {
      from: { x, y: yOf(label) },
      to: { x, y: yOf(label + labelEvery) },
      count: Math.round(labelEvery / d),
    },
  };
}
