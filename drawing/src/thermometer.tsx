import {
  columnAt,
  shown,
  thermometerEyeReachMm,
  thermometerModel,
  thermometerParallax,
  type ThermometerModel,
  type ThermometerPicture,
} from '@green-beam/core';
import { memo, type SVGProps } from 'react';
import { Eye, eyeRail, sightLine } from './eye';
import { levelled, tubeX } from './glassTube';
import { bulbSpot, Hanging, HungThermometer, spirit } from './hungThermometer';
import { figureFont, ink, textFont } from './ink';
import { Flat, paper, steel } from './matter';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const thermometerView = { width: 770, height: 640 } as const;

const [divisionPx, eyeX, eyePxPerMm] = [22, 700, 1.9] as const;
/** Where the lines begin, right of the capillary. */
const marksFrom = tubeX + 13;

export const thermometerEyeY = (eyeMm: number): number => levelled - eyeMm * eyePxPerMm;
export const thermometerEyeMmAt = (y: number): number =>
  Math.min(thermometerEyeReachMm, Math.max(-thermometerEyeReachMm, (levelled - y) / eyePxPerMm));

/** The part of the scale around the end of the column, and beside it how the thermometer hangs. */
export function Thermometer({
  picture,
  eyeProps,
}: {
  readonly picture: ThermometerPicture;
  readonly eyeProps?: SVGProps<SVGGElement>;
}) {
  const model = thermometerModel(picture.model);
  const end = columnAt(picture);
  const lift = (thermometerParallax(model, picture.eyeMm) / Number(model.division)) * divisionPx;
  return (
    <g fontFamily={figureFont}>
      <Hanging onBase={picture.bulbOnBase} onPlate={!model.scaleInFront} />
      <HungThermometer model={model} end={end} onBase={picture.bulbOnBase} />
      <Stem onPlate={!model.scaleInFront} />
      <rect className="column" x={tubeX - 6} y={levelled - lift} width={12} height={400} fill={spirit.base} />
      <rect x={tubeX + 2} y={levelled - lift} width={4} height={400} fill={spirit.dark} />
      <rect x={tubeX - 4} y={levelled - lift} width={2.5} height={400} fill={spirit.light} />
      <Marks model={model} end={end} />
      {eyeProps && (
        <g>
          <line
            x1={eyeX}
            x2={eyeX}
            y1={thermometerEyeY(thermometerEyeReachMm)}
            y2={thermometerEyeY(-thermometerEyeReachMm)}
            {...eyeRail}
          />
          <line
            x1={tubeX}
            y1={levelled - lift}
            x2={eyeX - 28}
            y2={thermometerEyeY(picture.eyeMm)}
            {...sightLine}
          />
          <Eye x={eyeX} y={thermometerEyeY(picture.eyeMm)} handle={eyeProps} />
        </g>
      )}
    </g>
  );
}

/** A thick stem with its lines on the glass and white behind; or a slender one before a plate that bears the scale. */
const Stem = memo(function Stem({ onPlate }: { readonly onPlate: boolean }) {
  const half = onPlate ? 26 : 96;
  return (
    <g>
      {onPlate && <Flat x={tubeX - 128} y={-20} width={256} height={680} of={paper} bevel={0} />}
      <rect x={tubeX - half} y={-20} width={2 * half} height={680} fill={onPlate ? '#e3ebe7' : '#dce6e1'} />
      {!onPlate && <rect x={tubeX - 58} y={-20} width={116} height={680} fill="#fbfcfb" />}
      <rect x={tubeX - half * 0.82} y={-20} width={half * 0.16} height={680} fill="#ffffff" />
      <rect x={tubeX + half * 0.74} y={-20} width={half * 0.26} height={680} fill="#aebfb7" />
      <path
        d={[-half, half].map((x) => `M${tubeX + x} -20 V660`).join('')}
        stroke={steel.edge}
        strokeWidth={1.5}
      />
      <rect x={tubeX - 8} y={-20} width={16} height={680} fill="#eef3f0" stroke="#8fa299" strokeWidth={1} />
    </g>
  );
});

const Marks = memo(function Marks({
  model,
  end,
}: {
  readonly model: ThermometerModel;
  readonly end: number;
}) {
  const [d, labelEvery] = [Number(model.division), Number(model.labelEvery)];
  const spaces = Math.round(labelEvery / d);
  const first = Math.max(Math.round(Number(model.lowest) / d), Math.floor(end / d) - 16);
  const last = Math.min(Math.round(Number(model.highest) / d), Math.ceil(end / d) + 16);
  const from = model.scaleInFront ? marksFrom : tubeX + 30;
  return (
    <g>
      {Array.from({ length: last - first + 1 }, (_, step) => first + step).map((count) => {
        const y = levelled - (count - end / d) * divisionPx;
        const numbered = count % spaces === 0;
        const middle = spaces % 2 === 0 && count % (spaces / 2) === 0;
        return (
          <g key={count}>
            <line
              className="thermometer-line"
              x1={from}
              x2={from + (numbered ? 40 : middle ? 32 : 22)}
              y1={y}
              y2={y}
              stroke={ink.ink}
              strokeWidth={numbered ? 1.8 : 1.2}
              vectorEffect="non-scaling-stroke"
            />
            {numbered && (
              <text x={from + 45} y={y + 7} fontSize={20} fontWeight={600} fill={ink.ink}>
                {shown(count * d).replace('-', '−')}
              </text>
            )}
          </g>
        );
      })}
      <text
        x={tubeX - 44}
        y={30}
        textAnchor="middle"
        fontSize={18}
        fontWeight={600}
        fontFamily={textFont}
        fill="#2c3f38"
      >
        °C
      </text>
    </g>
  );
});

/** Where its parts lie. */
export function thermometerSpots(picture: ThermometerPicture): Spots {
  const model = thermometerModel(picture.model);
  const [d, labelEvery] = [Number(model.division), Number(model.labelEvery)];
  const end = columnAt(picture);
  const label = Math.floor(end / labelEvery + 1e-9) * labelEvery;
  const yOf = (value: number) => levelled - ((value - end) / d) * divisionPx;
  return {
    level: { x: tubeX, y: levelled },
    label: { x: tubeX + 40, y: yOf(label) },
    tip: bulbSpot(picture.bulbOnBase),
    spaces: {
      from: { x: marksFrom + 62, y: yOf(label) },
      to: { x: marksFrom + 62, y: yOf(label + labelEvery) },
      count: Math.round(labelEvery / d),
    },
  };
}
