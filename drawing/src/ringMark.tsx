import {
  mmPerMl,
  modelIn,
  volumetricFlasks,
  volumetricPipettes,
  type GlassModel,
  type RingPicture,
} from '@green-beam/core';
import { memo, type SVGProps } from 'react';
import { EyeOnRail } from './eyeOnRail';
import { Card, Liquid, levelled, seenTube, tubeX, Wall, type Tube } from './glassTube';
import { figureFont, ink, textFont } from './ink';
import { Piece, Stroke, satin } from './matter';
import { heightOf, Vessel, type Profile } from './vessel';
import { profileOf, ringFlaskProfile, ringHeight, ringPipetteProfile, WholePipette } from './wholePipette';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const ringView = { width: 770, height: 640 } as const;

const ringModels = [...volumetricPipettes, ...volumetricFlasks];
const modelOf = (picture: RingPicture): GlassModel => modelIn(ringModels, 'ring-marked glass', picture.model);
/** The inside of the whole glass. */
export const ringProfile = (picture: Pick<RingPicture, 'kind' | 'model'>): Profile =>
  profileOf(
    modelIn(ringModels, 'ring-marked glass', picture.model),
    picture.kind === 'volumetric-flask' ? ringFlaskProfile : ringPipetteProfile,
  );

/** What is in the whole glass with its surface so far above the ring, in mL. */
export const ringContents = (picture: RingPicture): number => {
  const model = modelOf(picture);
  return Math.max(0, Number(model.highest) + picture.aboveMm / mmPerMl(model));
};

function placed(picture: RingPicture): Tube {
  const model = modelOf(picture);
  const px = picture.kind === 'volumetric-flask' ? 12 : 20;
  return seenTube({
    model,
    px,
    surface: 'concave',
    eyeMm: picture.eyeMm,
    levelY: levelled - picture.aboveMm * px,
  });
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
  const model = modelOf(picture);
  const ring = {
    cx: tubeX,
    cy: levelled - tube.lift,
    rx: tube.radius + 8,
    ry: Math.max(0.8, Math.abs(tube.lift)),
    fill: 'none',
  };
  return (
    <g fontFamily={figureFont}>
      {picture.kind === 'volumetric-flask' ? (
        <WholeFlask profile={ringProfile(picture)} model={model} levelMl={ringContents(picture)} />
      ) : (
        <WholePipette
          profile={ringProfile(picture)}
          levelMl={ringContents(picture)}
          ringMm={ringHeight(ringProfile(picture), model)}
        />
      )}
      {card && <Card {...tube} />}
      {tube.levelY - tube.lift < ringView.height && (
        <Liquid tube={tube} bottomY={Math.max(ringView.height, tube.levelY + 20)} card={card} />
      )}
      <Wall middleX={tubeX} radius={tube.radius} brimY={-10} bottomY={ringView.height} />
      {/* Its back half lies as far above or below its front as the eye is off. A dark edge keeps it visible on white. */}
      <ellipse {...ring} stroke="#3a2804" strokeWidth={5} />
      <ellipse className="ring" {...ring} stroke="#f0c368" strokeWidth={2.4} />
      <text
        x={tubeX + tube.radius + 66}
        y={levelled + 6}
        fontSize={17}
        fontFamily={textFont}
        fill={ink.chalk}
      >
        ring
      </text>
      <g fontSize={17} fontFamily={textFont} fill={ink.chalk}>
        <text x={tubeX + tube.radius + 26} y={32}>{`${model.highest} mL, 20 °C`}</text>
        <text x={tubeX + tube.radius + 26} y={56}>{`± ${model.tolerance} mL`}</text>
        {picture.kind === 'volumetric-pipette' && (
          <text x={tubeX + tube.radius + 26} y={620} fill={ink.faintChalk}>
            {picture.markedExpel ? 'marked: expel the last drop' : 'marked: the last drop stays'}
          </text>
        )}
      </g>
      {eyeProps && <EyeOnRail tube={tube} eyeMm={picture.eyeMm} {...eyeProps} />}
    </g>
  );
}

/** The whole flask on the bench, its stopper beside it. */
const WholeFlask = memo(function WholeFlask({
  profile,
  model,
  levelMl,
}: {
  readonly profile: Profile;
  readonly model: GlassModel;
  readonly levelMl: number;
}) {
  const [topMm] = profile.at(-1) ?? [1];
  const px = 410 / topMm;
  const [x, floorY] = [100, 604];
  const ringY = floorY - ringHeight(profile, model) * px;
  const half = (model.boreMm / 2) * px;
  return (
    <g>
      <Stroke d={`M8 ${floorY + 4} H244`} colour="#3d6358" width={2} />
      <Vessel
        profile={profile}
        x={x}
        floorY={floorY}
        px={px}
        levelMm={Math.min(topMm, heightOf(profile, levelMl))}
        lip={6}
      >
        <text x={x} y={floorY - 56} textAnchor="middle" fontSize={19} fontWeight={600} fill="#ffffff">
          {model.highest} mL
        </text>
        <text x={x} y={floorY - 34} textAnchor="middle" fontSize={13} fill="#ffffff">
          In 20 °C
        </text>
      </Vessel>
      <ellipse cx={x} cy={ringY} rx={half + 4} ry={3.5} fill="none" stroke="#f0c368" strokeWidth={2.2} />
      <g className="stopper" transform={`translate(216 ${floorY + 4})`}>
        <Piece d="M-16 0 H16 L18 -15 H-18 Z" of={satin} />
        <Piece d="M-12 -15 H12 L9 -58 H-9 Z" of={satin} />
        <path d="M5 -15 H12 L9 -58 H4 Z M7 0 H16 L18 -15 H8 Z" fill={satin.dark} />
        <Stroke d="M-7 -20 L-5.5 -54 M-12 -4 L-13 -12" colour={satin.light} width={2.5} />
      </g>
    </g>
  );
});

/** Where its parts lie. */
export const ringSpots = (picture: RingPicture): Spots => {
  const tube = placed(picture);
  return { level: { x: tubeX, y: Math.min(600, Math.max(40, tube.levelY - tube.lift)) } };
};
