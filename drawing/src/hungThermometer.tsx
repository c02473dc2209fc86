import type { ThermometerModel } from '@green-beam/core';
import { memo } from 'react';
import { ink } from './ink';
import { Lines, type Line } from './lines';
import { enamel, Flat, hardPlastic, paper, Piece, Round, steel, Stroke } from './matter';
import type { Spot } from './point';
import { Vessel, type Profile } from './vessel';

/** Dyed spirit. */
export const spirit = { base: '#b3262b', dark: '#7d1519', light: '#e58a86' } as const;
const hang = { x: 118, top: 40, zero: 420, bulbTop: 486, bulb: 505, perDegree: 3.1 } as const;

/** Hot plate, beaker with water, and the stand whose clamp holds the thermometer clear of the bottom. */
export const Hanging = memo(function Hanging({
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
export function HungThermometer({
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

/** Where the bulb hangs. */
export const bulbSpot = (onBase: boolean): Spot => ({ x: hang.x, y: hang.bulb + 20 + (onBase ? 34 : 0) });
