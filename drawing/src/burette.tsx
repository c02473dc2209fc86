import {
  buretteModel,
  graduatedPipetteModel,
  mmPerMl,
  type BurettePicture,
  type GlassModel,
  type GraduatedPipettePicture,
} from '@green-beam/core';
import type { SVGProps } from 'react';
import { EyeOnRail } from './eyeOnRail';
import { Card, Liquid, levelled, pxPerMm, seenTube, tubeX, Wall } from './glassTube';
import { figureFont, ink, textFont } from './ink';
import { tipPlace, WholeBurette, type TapState } from './wholeBurette';
import { graduatedProfile, profileOf, WholePipette } from './wholePipette';
import { Marks, PrintedUnit, tubeSpots } from './tubeScale';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const buretteView = { width: 770, height: 640 } as const;

type DownwardPicture = BurettePicture | GraduatedPipettePicture;
const modelOfPicture = (picture: DownwardPicture): GlassModel =>
  picture.kind === 'burette' ? buretteModel(picture.model) : graduatedPipetteModel(picture.model);

/** Where a single tube stands, and where two of them do that both are read; how wide they may grow. */
const single = { x: tubeX, widest: 150 } as const;
const pair = { before: 330, after: 560, widest: 84 } as const;

interface Placing {
  readonly levelMl: number;
  readonly x: number;
  readonly widest: number;
}

/** Numbers grow downward; true to scale in both directions. */
function placed(picture: DownwardPicture, { levelMl, x, widest }: Placing) {
  const model = modelOfPicture(picture);
  const px = pxPerMm(model, 26, widest);
  const yOf = (ml: number) => levelled + (ml - levelMl) * mmPerMl(model) * px;
  return { model, tube: seenTube({ ...picture, model, px, middleX: x }), yOf };
}

/** One tube of a downward scale with its liquid, around the level. */
export function DownwardTube({
  picture,
  at,
  card,
  name,
}: {
  readonly picture: DownwardPicture;
  readonly at: Placing;
  readonly card: boolean;
  readonly name?: string;
}) {
  const { model, tube, yOf } = placed(picture, at);
  return (
    <g fontFamily={figureFont}>
      {card && <Card {...tube} />}
      <Liquid tube={tube} bottomY={buretteView.height} card={card} />
      <Wall middleX={at.x} radius={tube.radius} brimY={-10} bottomY={buretteView.height} />
      <Marks tube={tube} model={model} yOf={yOf} height={buretteView.height} />
      {name && (
        <text
          x={at.x}
          y={626}
          textAnchor="middle"
          fontSize={19}
          fontFamily={textFont}
          fill={ink.chalk}
          stroke={ink.bench}
          strokeWidth={5}
          paintOrder="stroke"
        >
          {name}
        </text>
      )}
    </g>
  );
}

/** A burette or a graduated pipette as it is read: one level, or one before and one after. */
export function Downward({
  picture,
  card,
  pair: both,
  eyeProps,
  tap = { open: 0, bubble: false, drop: false },
  tapProps,
}: {
  readonly picture: DownwardPicture;
  readonly card: boolean;
  /** True where a delivered volume is asked of two levels that both are seen. */
  readonly pair: boolean;
  readonly eyeProps?: SVGProps<SVGGElement>;
  readonly tap?: TapState;
  readonly tapProps?: SVGProps<SVGGElement>;
}) {
  const at: Placing = {
    levelMl: picture.levelMl,
    x: both ? pair.after : single.x,
    widest: both ? pair.widest : single.widest,
  };
  const { tube, model } = placed(picture, at);
  return (
    <g>
      {picture.kind === 'burette' ? (
        <WholeBurette model={model} levelMl={picture.levelMl} tap={tap} tapProps={tapProps} />
      ) : (
        <WholePipette
          profile={profileOf(model, graduatedProfile)}
          levelMl={Number(model.highest) - picture.levelMl}
          scale={model}
        />
      )}
      {both && (
        <DownwardTube
          picture={{ ...picture, eyeMm: 0 }}
          at={{ ...at, x: pair.before, levelMl: picture.initialMl }}
          card={card}
          name="before"
        />
      )}
      <DownwardTube picture={picture} at={at} card={card} {...(both ? { name: 'after' } : {})} />
      <PrintedUnit x={at.x + tube.radius + 22} />
      {eyeProps && <EyeOnRail tube={tube} eyeMm={picture.eyeMm} {...eyeProps} />}
    </g>
  );
}

/** Where its parts lie. */
export function downwardSpots(picture: DownwardPicture, both: boolean): Spots {
  const { model, tube, yOf } = placed(picture, {
    levelMl: picture.levelMl,
    x: both ? pair.after : single.x,
    widest: both ? pair.widest : single.widest,
  });
  return { ...tubeSpots(tube, model, yOf, picture.levelMl), tip: tipPlace };
}
