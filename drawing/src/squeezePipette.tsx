import { mmPerMl, squeezeModel, type SqueezePicture } from '@green-beam/core';
import { memo, type SVGProps } from 'react';
import { EyeOnRail } from './eyeOnRail';
import { Card, Liquid, levelled, pxPerMm, seenTube, tubeX, Wall } from './glassTube';
import { figureFont, ink, textFont } from './ink';
import { Lines } from './lines';
import { Flat, paper, Stroke } from './matter';
import { Marks, PrintedUnit, tubeSpots } from './tubeScale';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const squeezeView = { width: 770, height: 640 } as const;

function placed(picture: SqueezePicture) {
  const model = squeezeModel(picture.model);
  const px = pxPerMm(model, 190);
  const yOf = (ml: number) => levelled - (ml - picture.levelMl) * mmPerMl(model) * px;
  return { model, tube: seenTube({ ...picture, surface: 'flat', model, px }), yOf };
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
      <WholeSqueeze levelMl={picture.levelMl} />
      {card && <Card {...tube} />}
      <Liquid tube={tube} bottomY={squeezeView.height} card={card} />
      <Wall middleX={tubeX} radius={tube.radius} brimY={-10} bottomY={squeezeView.height} />
      <Marks tube={tube} model={model} yOf={yOf} height={squeezeView.height} />
      <PrintedUnit x={tubeX + tube.radius + 24} words="mL, about" />
      {eyeProps && <EyeOnRail tube={tube} eyeMm={picture.eyeMm} {...eyeProps} />}
    </g>
  );
}

/** The whole of it, in one piece of soft plastic: bulb, stem with its rough lines, drawn-out tip. */
const WholeSqueeze = memo(function WholeSqueeze({ levelMl }: { readonly levelMl: number }) {
  const [x, zeroY, perMl, half] = [104, 470, 62, 11];
  const level = zeroY - levelMl * perMl;
  const outline = `M${x - 3} 612 L${x - 6} 520 L${x - half} ${zeroY} V216 C${x - half} 190 ${x - 27} 186 ${x - 27} 150 V62 C${x - 27} 26 ${x + 27} 26 ${x + 27} 62 V150 C${x + 27} 186 ${x + half} 190 ${x + half} 216 V${zeroY} L${x + 6} 520 L${x + 3} 612 Z`;
  return (
    <g fontFamily={figureFont}>
      <path
        d={`M${x - 2} 612 L${x - 4} 522 L${x - half + 2} ${zeroY} V${level} H${x + half - 2} V${zeroY} L${x + 4} 522 L${x + 2} 612 Z`}
        fill={ink.water}
        fillOpacity={0.8}
      />
      <path d={outline} fill="#dfeae5" fillOpacity={0.24} stroke="#c6dbd3" strokeWidth={2} />
      <path
        d={`M${x + 13} 54 V156 C${x + 13} 178 ${x + 6} 186 ${x + 6} 206`}
        fill="none"
        stroke="#8fb0a3"
        strokeWidth={6}
        strokeOpacity={0.5}
      />
      <Stroke d={`M${x - 17} 62 V150`} colour="#ffffff" width={4} />
      <Lines
        stroke="#ffffff"
        strokeWidth={1.4}
        lines={[0.5, 1, 1.5, 2, 2.5, 3].map((ml) => [
          x - half,
          zeroY - ml * perMl,
          x + (Number.isInteger(ml) ? 2 : -3),
          zeroY - ml * perMl,
        ])}
      />
      <g fontSize={13} fontWeight={600} fill={ink.chalk}>
        {[1, 2, 3].map((ml) => (
          <text key={ml} x={x + half + 7} y={zeroY - ml * perMl + 5}>
            {ml}
          </text>
        ))}
      </g>
    </g>
  );
});

/** Drops on a waxed card, laid as they fell: rows a little uneven, so that they have to be counted. */
function Drops({ drops }: { readonly drops: number }) {
  const perRow = 9;
  return (
    <g>
      <WholeSqueeze levelMl={2.4} />
      <Flat x={216} y={64} width={530} height={540} of={paper} />
      {Array.from({ length: Math.min(drops, 90) }, (_, at) => {
        const [row, column] = [Math.floor(at / perRow), at % perRow];
        const [x, y] = [258 + column * 56 + (((at * 37) % 11) - 5), 104 + row * 52 + (((at * 53) % 9) - 4)];
        return (
          <g key={at} className="fallen">
            <ellipse cx={x} cy={y} rx={14} ry={12} fill={ink.water} fillOpacity={0.85} stroke="#143a63" />
            <path
              d={`M${x - 7} ${y - 3} q3 -5 8 -5`}
              fill="none"
              stroke="#ffffff"
              strokeWidth={2}
              strokeLinecap="round"
            />
          </g>
        );
      })}
      <text x={216} y={46} fontSize={17} fontFamily={textFont} fill={ink.faintChalk}>
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
