import { mmPerMl, parallaxMm, squeezeModel, type SqueezePicture } from '@green-beam/core';
import type { SVGProps } from 'react';
import { EyeOnRail } from './eyeOnRail';
import { Card, Liquid, Wall, type Tube } from './glassTube';
import { Marks, PrintedUnit, tubeSpots } from './tubeScale';
import { figureFont, ink, textFont } from './ink';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const squeezeView = { width: 770, height: 640 } as const;

const [levelY, middleX, divisionPx] = [330, 300, 84] as const;

function placed(picture: SqueezePicture) {
  const model = squeezeModel(picture.model);
  const pxPerMm = divisionPx / (0.5 * mmPerMl(model));
  const yOf = (ml: number) => levelY - ((ml - picture.levelMl) / 0.5) * divisionPx;
  const tube: Tube = {
    middleX,
    radius: (model.boreMm / 2) * pxPerMm,
    levelY,
    lift: parallaxMm(model, picture.eyeMm) * pxPerMm,
    rise: 0,
  };
  return { model, tube, yOf };
}

/** A plastic pipette around its level; or the card on which its drops have fallen, one beside the other. */
export function SqueezePipette({
  picture,
  card,
  eyeProps,
}: {
  readonly picture: SqueezePicture;
  readonly card: boolean;
  readonly eyeProps?: SVGProps<SVGGElement>;
}) {
  const { model, tube, yOf } = placed(picture);
  if (model.counts) return <Drops drops={picture.drops} />;
  return (
    <g fontFamily={figureFont}>
      {card && <Card {...tube} />}
      <Liquid tube={tube} bottomY={squeezeView.height} card={card} />
      <Wall tube={tube} brimY={-10} bottomY={squeezeView.height} />
      <Marks tube={tube} model={model} yOf={yOf} height={squeezeView.height} />
      <PrintedUnit x={middleX + tube.radius + 14} words="mL, about" />
      {eyeProps && <EyeOnRail tube={tube} eyeMm={picture.eyeMm} {...eyeProps} />}
    </g>
  );
}

/** Drops on a waxed card, laid as they fell: rows a little uneven, so that they have to be counted. */
function Drops({ drops }: { readonly drops: number }) {
  const perRow = 9;
  return (
    <g>
      <rect x={120} y={150} width={530} height={420} rx={4} fill="#dbe6e1" />
      <path d="M640 60 L668 132 L656 138 L628 66 Z" fill="#e6efe9" fillOpacity={0.8} stroke="#9fb2aa" />
      {Array.from({ length: Math.min(drops, 72) }, (_, at) => {
        const [row, column] = [Math.floor(at / perRow), at % perRow];
        const wobble = ((at * 37) % 11) - 5;
        return (
          <ellipse
            key={at}
            cx={160 + column * 56 + wobble}
            cy={182 + row * 50 + ((at * 53) % 9) - 4}
            rx={13}
            ry={11}
            fill={ink.water}
            fillOpacity={0.75}
            stroke="#1c466f"
          />
        );
      })}
      <text x={120} y={132} fontSize={15} fontFamily={textFont} fill={ink.faintChalk}>
        drops on a waxed card
      </text>
    </g>
  );
}

/** Where its parts lie. */
export function squeezeSpots(picture: SqueezePicture): Spots {
  const { model, tube, yOf } = placed(picture);
  return model.counts ? {} : tubeSpots(tube, model, yOf, picture.levelMl);
}
