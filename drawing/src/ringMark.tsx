import {
  modelIn,
  parallaxMm,
  volumetricFlasks,
  volumetricPipettes,
  type RingPicture,
} from '@green-beam/core';
import type { SVGProps } from 'react';
import { EyeOnRail } from './eyeOnRail';
import { Card, Liquid, signedRiseMm, Wall, type Tube } from './glassTube';
import { figureFont, ink, textFont } from './ink';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const ringView = { width: 770, height: 640 } as const;

const [middleX, ringY, pxPerMm] = [440, 330, 13] as const;
const ringModels = [...volumetricPipettes, ...volumetricFlasks];

function placed(picture: RingPicture): Tube {
  const model = modelIn(ringModels, 'ring-marked glass', picture.model);
  return {
    middleX,
    radius: (model.boreMm / 2) * pxPerMm,
    levelY: ringY - picture.aboveMm * pxPerMm,
    lift: parallaxMm(model, picture.eyeMm) * pxPerMm,
    rise: signedRiseMm(model, 'concave') * pxPerMm,
  };
}

/**
 * The neck of a volumetric flask or the upper stem of a volumetric pipette around its ring, enlarged; the whole of it
 * beside. The ring goes around the glass: seen from above or below it opens to an ellipse.
 */
export function RingMark({
  picture,
  card,
  eyeProps,
}: {
  readonly picture: RingPicture;
  readonly card: boolean;
  readonly eyeProps?: SVGProps<SVGGElement>;
}) {
  const tube = placed(picture);
  const model = modelIn(ringModels, 'ring-marked glass', picture.model);
  const opening = Math.abs(tube.lift);
  return (
    <g fontFamily={figureFont}>
      <Whole picture={picture} />
      {card && <Card {...tube} />}
      {tube.levelY - tube.lift < ringView.height && (
        <Liquid tube={tube} bottomY={Math.max(ringView.height, tube.levelY + 20)} card={card} />
      )}
      <Wall tube={tube} brimY={-10} bottomY={ringView.height} />
      {/* Its back half lies as far above or below its front as the eye is off. */}
      <ellipse
        cx={middleX}
        cy={ringY - tube.lift}
        rx={tube.radius + 3}
        ry={Math.max(0.8, opening)}
        fill="none"
        stroke="#ffffff"
        strokeWidth={2.4}
      />
      <text x={middleX + tube.radius + 16} y={ringY + 5} fontSize={15} fontFamily={textFont} fill={ink.chalk}>
        ring
      </text>
      <text x={40} y={40} fontSize={16} fontFamily={textFont} fill={ink.chalk}>
        {`${model.highest} mL, 20 °C, ±${model.tolerance} mL`}
      </text>
      {picture.kind === 'volumetric-pipette' && (
        <text x={40} y={64} fontSize={15} fontFamily={textFont} fill={ink.faintChalk}>
          {picture.markedExpel ? 'marked: expel the last drop' : 'marked: the last drop stays'}
        </text>
      )}
      {eyeProps && <EyeOnRail tube={tube} eyeMm={picture.eyeMm} {...eyeProps} />}
    </g>
  );
}

function Whole({ picture }: { readonly picture: RingPicture }) {
  if (picture.kind === 'volumetric-flask') {
    return (
      <g fill="none" stroke="#bcd2ca" strokeWidth={3}>
        <path d="M136 150 V330 C70 380 60 500 100 560 H200 C240 500 230 380 164 330 V150" />
        <path
          d="M100 560 C70 520 64 430 110 372 H190 C236 430 230 520 200 560 Z"
          fill={ink.water}
          fillOpacity={0.5}
          stroke="none"
        />
        <line x1={134} x2={166} y1={250} y2={250} stroke="#ffffff" />
      </g>
    );
  }
  return (
    <g fill="none" stroke="#bcd2ca" strokeWidth={3}>
      <path d="M145 120 V300 C120 320 120 430 145 450 V560 L148 600 H152 L155 560 V450 C180 430 180 320 155 300 V120" />
      <path
        d="M146 300 C122 320 122 430 146 450 H154 C178 430 178 320 154 300 Z"
        fill={ink.water}
        fillOpacity={0.5}
        stroke="none"
      />
      <line x1={142} x2={158} y1={220} y2={220} stroke="#ffffff" />
      {/* The bulb that draws it up: never the mouth. */}
      <ellipse cx={150} cy={96} rx={24} ry={30} fill="#8c3b32" stroke="#5d241e" />
    </g>
  );
}

/** Where its parts lie. */
export const ringSpots = (picture: RingPicture): Spots => {
  const tube = placed(picture);
  return { level: { x: middleX, y: Math.min(600, Math.max(40, tube.levelY - tube.lift)) } };
};
