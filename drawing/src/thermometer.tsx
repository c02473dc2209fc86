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
import { figureFont, ink, textFont } from './ink';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const thermometerView = { width: 770, height: 640 } as const;

const [divisionPx, endY, middleX, eyeX, eyePxPerMm] = [22, 320, 430, 700, 1.9] as const;

export const thermometerEyeY = (eyeMm: number): number => endY - eyeMm * eyePxPerMm;
export const thermometerEyeMmAt = (y: number): number =>
  Math.min(thermometerEyeReachMm, Math.max(-thermometerEyeReachMm, (endY - y) / eyePxPerMm));

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
      <Hanging onBase={picture.bulbOnBase} />
      <rect
        x={middleX - 96}
        y={-10}
        width={192}
        height={660}
        fill={model.scaleInFront ? '#dbe6e1' : '#f2efe2'}
        fillOpacity={0.96}
        stroke={ink.metalEdge}
      />
      <rect x={middleX - 9} y={-10} width={18} height={660} fill="#f7faf8" stroke="#9fb2aa" />
      <rect x={middleX - 4} y={endY - lift} width={8} height={400} fill="#b3262b" />
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
            x1={middleX}
            y1={endY - lift}
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
  return (
    <g>
      {Array.from({ length: last - first + 1 }, (_, step) => first + step).map((count) => {
        const y = endY - (count - end / d) * divisionPx;
        const numbered = count % spaces === 0;
        const middle = spaces % 2 === 0 && count % (spaces / 2) === 0;
        return (
          <g key={count}>
            <line
              className="thermometer-line"
              x1={middleX + 9}
              x2={middleX + 9 + (numbered ? 40 : middle ? 32 : 22)}
              y1={y}
              y2={y}
              stroke={ink.ink}
              strokeWidth={numbered ? 1.8 : 1.2}
              vectorEffect="non-scaling-stroke"
            />
            {numbered && (
              <text x={middleX + 54} y={y + 6} fontSize={18} fontWeight={600} fill={ink.ink}>
                {shown(count * d).replace('-', '−')}
              </text>
            )}
          </g>
        );
      })}
      <text x={middleX - 80} y={26} fontSize={15} fontFamily={textFont} fill="#40534b">
        °C
      </text>
    </g>
  );
});

/** The beaker on its hot plate, with the thermometer in its clamp. */
const Hanging = memo(function Hanging({ onBase }: { readonly onBase: boolean }) {
  const sink = onBase ? 44 : 0;
  return (
    <g>
      <path d="M30 600 H250 V616 H30 Z M226 600 V150 h8 V600 Z" fill="#24473e" stroke="#3d6358" />
      <g transform={`translate(0 ${sink})`}>
        <path d="M140 236 H234" stroke={ink.metalEdge} strokeWidth={7} />
        <rect x={133} y={160} width={14} height={360} rx={7} fill="#e8efec" stroke="#9fb2aa" />
        <rect x={137} y={300} width={6} height={200} fill="#b3262b" />
        <circle cx={140} cy={516} r={10} fill="#b3262b" />
      </g>
      <path d="M70 400 V570 H210 V400" fill={ink.water} fillOpacity={0.35} stroke="#bcd2ca" strokeWidth={3} />
      <rect x={52} y={572} width={176} height={26} fill="#5a3b33" stroke="#7d564b" />
    </g>
  );
});

/** Where its parts lie. */
export function thermometerSpots(picture: ThermometerPicture): Spots {
  const model = thermometerModel(picture.model);
  const [d, labelEvery] = [Number(model.division), Number(model.labelEvery)];
  const end = columnAt(picture);
  const label = Math.floor(end / labelEvery + 1e-9) * labelEvery;
  const yOf = (value: number) => endY - ((value - end) / d) * divisionPx;
  return {
    level: { x: middleX, y: endY },
    label: { x: middleX + 40, y: yOf(label) },
    tip: { x: 140, y: 540 },
    spaces: {
      from: { x: middleX + 70, y: yOf(label) },
      to: { x: middleX + 70, y: yOf(label + labelEvery) },
      count: Math.round(labelEvery / d),
    },
  };
}
