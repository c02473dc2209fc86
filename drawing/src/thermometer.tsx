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
import { figureFont, ink, textFont } from './ink';
import { Lines, type Line } from './lines';
import { enamel, Flat, hardPlastic, paper, Piece, Round, steel, Stroke } from './matter';
import { Vessel, type Profile } from './vessel';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const thermometerView = { width: 770, height: 640 } as const;

const [divisionPx, eyeX, eyePxPerMm] = [22, 700, 1.9] as const;
const spirit = { base: '#b3262b', dark: '#7d1519', light: '#e58a86' } as const;
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

const hang = { x: 118, top: 40, zero: 420, bulbTop: 486, bulb: 505, perDegree: 3.1 } as const;

/** Hot plate, beaker with water, and the stand whose clamp holds the thermometer clear of the bottom. */
const Hanging = memo(function Hanging({
  onBase,
  onPlate,
}: {
  readonly onBase: boolean;
  readonly onPlate: boolean;
}) {
  const sink = onBase ? 34 : 0;
  return (
    <g>
      <Round x={214} y={20} width={11} height={590} of={steel} along="y" />
      <Flat x={14} y={606} width={222} height={18} of={enamel} />
      <g transform={`translate(0 ${sink})`}>
        <Round x={hang.x + 10} y={98} width={100} height={9} of={steel} />
        <Flat x={206} y={90} width={26} height={26} of={enamel} />
        <Piece
          d={`M${hang.x - (onPlate ? 24 : 14)} 92 h12 v22 h-12 Z M${hang.x + (onPlate ? 12 : 4)} 92 h12 v22 h-12 Z`}
          of={enamel}
        />
      </g>
      <Flat x={34} y={568} width={166} height={12} of={steel} />
      <Flat x={28} y={580} width={178} height={27} of={hardPlastic} />
      <circle cx={186} cy={594} r={7} fill={steel.base} stroke={steel.edge} />
      <Vessel profile={bath} x={hang.x} floorY={566} px={1} levelMm={128} spout />
    </g>
  );
});

/** The thermometer as it hangs: bulb below, the column joined to it and as high as what it shows. */
function HungThermometer({
  model,
  end,
  onBase,
}: {
  readonly model: ThermometerModel;
  readonly end: number;
  readonly onBase: boolean;
}) {
  const { x, top, zero, bulbTop, bulb, perDegree } = hang;
  const y = (celsius: number) => zero - celsius * perDegree;
  const onPlate = !model.scaleInFront;
  const tens = Array.from({ length: 12 }, (_, at) => at * 10);
  const lines = tens.map((celsius): Line => [
    x + (onPlate ? 9 : 2),
    y(celsius),
    x + (onPlate ? 16 : 6),
    y(celsius),
  ]);
  return (
    <g>
      <g transform={`translate(0 ${onBase ? 34 : 0})`}>
        {onPlate && <Flat x={x - 22} y={top} width={44} height={y(-12) - top} of={paper} />}
        <path
          d={`M${x - 7} ${top + 10} Q${x - 7} ${top} ${x} ${top} Q${x + 7} ${top} ${x + 7} ${top + 10} V${bulbTop} Q${x + 9} ${bulb + 26} ${x} ${bulb + 26} Q${x - 9} ${bulb + 26} ${x - 7} ${bulbTop} Z`}
          fill="#f3f7f5"
          stroke="#6f857c"
          strokeWidth={1.4}
        />
        <path
          className="bulb"
          d={`M${x - 5} ${bulbTop + 2} Q${x - 6.5} ${bulb + 22} ${x} ${bulb + 22} Q${x + 6.5} ${bulb + 22} ${x + 5} ${bulbTop + 2} Z`}
          fill={spirit.base}
        />
        <rect
          className="hung-column"
          x={x - 1.6}
          y={y(end)}
          width={3.2}
          height={bulbTop + 6 - y(end)}
          fill={spirit.base}
        />
        <Stroke d={`M${x - 4.5} ${top + 12} V${bulbTop - 6}`} colour="#ffffff" width={2} />
        <Lines lines={lines} strokeWidth={1} />
        <g
          fontSize={11}
          fontWeight={600}
          fill={onPlate ? ink.ink : ink.chalk}
          textAnchor={onPlate ? 'end' : 'start'}
        >
          {tens
            .filter((celsius) => celsius % 20 === 0)
            .map((celsius) => (
              <text key={celsius} x={onPlate ? x - 9 : x + 12} y={y(celsius) + 4}>
                {celsius}
              </text>
            ))}
        </g>
      </g>
    </g>
  );
}

const bath: Profile = [
  [0, 66],
  [176, 66],
];

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
    tip: { x: hang.x, y: hang.bulb + 20 + (picture.bulbOnBase ? 34 : 0) },
    spaces: {
      from: { x: marksFrom + 62, y: yOf(label) },
      to: { x: marksFrom + 62, y: yOf(label + labelEvery) },
      count: Math.round(labelEvery / d),
    },
  };
}
