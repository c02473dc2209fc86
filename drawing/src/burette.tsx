import {
  buretteModel,
  graduatedPipetteModel,
  mmPerMl,
  parallaxMm,
  type BurettePicture,
  type GlassModel,
  type GraduatedPipettePicture,
} from '@green-beam/core';
import type { SVGProps } from 'react';
import { EyeOnRail } from './eyeOnRail';
import { Card, Liquid, signedRiseMm, Wall, type Tube } from './glassTube';
import { Marks, PrintedUnit, tubeSpots } from './tubeScale';
import { figureFont, ink, textFont } from './ink';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const buretteView = { width: 770, height: 640 } as const;

const divisionPx = 26;
const levelY = 330;
const radiusPx = 54;

type DownwardPicture = BurettePicture | GraduatedPipettePicture;
const modelOfPicture = (picture: DownwardPicture): GlassModel =>
  picture.kind === 'burette' ? buretteModel(picture.model) : graduatedPipetteModel(picture.model);

/** Numbers grow downward; the width is drawn wider than true, so that the curve of a narrow tube can be seen. */
function placed(picture: DownwardPicture, levelMl: number, middleX: number) {
  const model = modelOfPicture(picture);
  const pxPerMm = divisionPx / (Number(model.division) * mmPerMl(model));
  const yOf = (ml: number) => levelY + ((ml - levelMl) / Number(model.division)) * divisionPx;
  const tube: Tube = {
    middleX,
    radius: radiusPx,
    levelY,
    lift: parallaxMm(model, picture.eyeMm) * pxPerMm,
    rise: signedRiseMm(model, picture.surface) * pxPerMm,
  };
  return { model, tube, yOf };
}

/** One tube of a downward scale with its liquid, around the level. */
export function DownwardTube({
  picture,
  levelMl,
  middleX,
  card,
  name,
}: {
  readonly picture: DownwardPicture;
  readonly levelMl: number;
  readonly middleX: number;
  readonly card: boolean;
  readonly name?: string;
}) {
  const { model, tube, yOf } = placed(picture, levelMl, middleX);
  return (
    <g fontFamily={figureFont}>
      {card && <Card {...tube} />}
      <Liquid tube={tube} bottomY={buretteView.height} card={card} />
      <Wall tube={tube} brimY={-10} bottomY={buretteView.height} />
      <Marks tube={tube} model={model} yOf={yOf} height={buretteView.height} />
      {name && (
        <text
          x={middleX - radiusPx - 14}
          y={26}
          textAnchor="end"
          fontSize={17}
          fontFamily={textFont}
          fill={ink.chalk}
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
  pair,
  eyeProps,
}: {
  readonly picture: DownwardPicture;
  readonly card: boolean;
  /** True where a delivered volume is asked of two levels that both are seen. */
  readonly pair: boolean;
  readonly eyeProps?: SVGProps<SVGGElement>;
}) {
  const [firstX, secondX] = pair ? [180, 470] : [240, 240];
  return (
    <g>
      {pair && (
        <DownwardTube
          picture={{ ...picture, eyeMm: 0 }}
          levelMl={picture.initialMl}
          middleX={firstX}
          card={card}
          name="before"
        />
      )}
      <DownwardTube
        picture={picture}
        levelMl={picture.levelMl}
        middleX={secondX}
        card={card}
        {...(pair ? { name: 'after' } : {})}
      />
      <PrintedUnit x={secondX + radiusPx + 14} />
      {eyeProps && (
        <EyeOnRail
          tube={placed(picture, picture.levelMl, secondX).tube}
          eyeMm={picture.eyeMm}
          {...eyeProps}
        />
      )}
    </g>
  );
}

/** What hangs below the scale: the tap, the tip and the flask. */
export interface TapState {
  /** How far the tap stands from closed, from 0 (across) to 1 (in line). */
  readonly open: number;
  readonly bubble: boolean;
  readonly drop: boolean;
}

/** Where the tap is, for a handle on it. */
export const tapPlace = { x: 450, y: 380 } as const;

export function Tap({
  state: { open, bubble, drop },
  tapProps,
}: {
  readonly state: TapState;
  readonly tapProps?: SVGProps<SVGGElement>;
}) {
  const { x, y } = tapPlace;
  const flows = open > 0.35;
  return (
    <g fontFamily={textFont}>
      <path
        d={`M${x - 9} 60 V${y - 14} H${x + 9} V60`}
        fill={ink.water}
        fillOpacity={0.5}
        stroke="#bcd2ca"
        strokeWidth={3}
      />
      <path
        d={`M${x - 6} ${y + 14} V${y + 90} L${x - 2} ${y + 128} H${x + 2} L${x + 6} ${y + 90} V${y + 14}`}
        fill={ink.water}
        fillOpacity={0.6}
        stroke="#bcd2ca"
        strokeWidth={3}
      />
      {bubble && <ellipse cx={x} cy={y + 70} rx={5} ry={13} fill="#e6efe9" stroke="#7f918a" />}
      <circle cx={x} cy={y} r={17} fill="#24473e" stroke={ink.metalEdge} strokeWidth={3} />
      <g {...tapProps} transform={`rotate(${open * 90} ${x} ${y})`}>
        <rect x={x - 52} y={y - 24} width={104} height={48} fill="transparent" />
        <rect
          x={x - 46}
          y={y - 8}
          width={92}
          height={16}
          rx={4}
          fill={ink.brassMetal}
          stroke={ink.brassEdge}
          className="rider-body"
        />
      </g>
      {flows && <path d={`M${x} ${y + 128} V${y + 206}`} stroke="#9cc4e8" strokeWidth={3} />}
      {open > 0 && !flows && <ellipse cx={x} cy={y + 160} rx={4} ry={6} fill="#9cc4e8" />}
      {drop && <ellipse cx={x} cy={y + 133} rx={6} ry={8} fill="#9cc4e8" stroke="#cfe4f6" />}
      <path
        d={`M${x - 14} ${y + 176} V${y + 196} L${x - 60} ${y + 250} H${x + 60} L${x + 14} ${y + 196} V${y + 176}`}
        fill="none"
        stroke="#bcd2ca"
        strokeWidth={3}
      />
    </g>
  );
}

/** Where its parts lie. */
export function downwardSpots(picture: DownwardPicture, pair: boolean): Spots {
  const { model, tube, yOf } = placed(picture, picture.levelMl, pair ? 470 : 240);
  return {
    ...tubeSpots(tube, model, yOf, picture.levelMl),
    tip: { x: tapPlace.x, y: tapPlace.y + 110 },
  };
}
