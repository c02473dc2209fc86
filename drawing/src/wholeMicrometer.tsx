import type { MicrometerModel, MicrometerPicture } from '@green-beam/core';
import { memo } from 'react';
import { Lines, type Line } from './lines';
import { brass, enamel, Grooves, hardPlastic, Knurl, Piece, Round, satin, steel, Stroke } from './matter';
import type { Spot } from './point';

/** Whole: in millimetres, the anvil’s face and the axis of the screw at 0. */
const whole = { x: 178, y: 76, px: 3.7, sleeveZero: 58, open: 34 } as const;

/** Gap between anvil and spindle, in millimetres: what is shown less what is shown when closed. */
const gapOf = ({ at, closedAt }: MicrometerPicture): number => Math.max(0, at - closedAt);

/** The whole micrometer on a bolt pin. */
export function WholeMicrometer({
  picture,
  model,
}: {
  readonly picture: MicrometerPicture;
  readonly model: MicrometerModel;
}) {
  const gap = gapOf(picture);
  const holds = picture.at > picture.closedAt + 1e-9;
  return (
    <g transform={`translate(${whole.x} ${whole.y}) scale(${whole.px})`}>
      <g className="anvil">
        <Round x={-6} y={-3.2} width={6} height={6.4} of={steel} />
        <rect x={-1.4} y={-3.2} width={1.4} height={6.4} fill={steel.dark} />
      </g>
      <g transform={`translate(${gap} 0)`}>
        <g className="spindle">
          <Round x={0} y={-3.2} width={whole.open} height={6.4} of={steel} />
          <rect x={0} y={-3.2} width={1.4} height={6.4} fill={steel.dark} />
        </g>
      </g>
      {holds && <Pin width={Math.min(gap, picture.touchesAt - picture.closedAt)} />}
      <CFrame division={model.division} />
      <g transform={`translate(${whole.sleeveZero + gap} 0)`}>
        <Turned />
      </g>
    </g>
  );
}

/** What it measures: a bolt pin, across, its head above. */
function Pin({ width }: { readonly width: number }) {
  const head = Math.min(4, width * 0.3);
  return (
    <g>
      <Round x={0} y={-9} width={Math.max(0.4, width)} height={27} of={brass} along="y" />
      <Round x={-head} y={-14} width={width + 2 * head} height={5} of={brass} along="y" />
    </g>
  );
}

/** The frame: a C from anvil to sleeve, a grip against the warmth of the hand, the lock, and the sleeve with its scale. */
const CFrame = memo(function CFrame({ division }: { readonly division: string }) {
  const marks = Array.from({ length: 26 }, (_, mm): Line => {
    const x = whole.sleeveZero + mm;
    return [x, 0, x, mm % 5 === 0 ? -3.4 : -2.2];
  });
  return (
    <g>
      <Piece
        className="frame"
        d="M-6 -8 H-13 Q-20 -8 -20 0 C-20 30 -6 47 16 47 C38 47 49 30 49 9 V-8 Q49 -9.5 47.5 -9.5 H34 Q32.5 -9.5 32.5 -8 V9 C32.5 23 27 33 15 33 C2 33 -6 22 -6 8 Z"
        of={enamel}
      />
      <path
        d="M16 47 C38 47 49 30 49 9 L46.4 9 C46.4 28 36 44.4 16 44.4 C8 44.4 1 42 -4 38 C1.5 43.5 8 47 16 47 Z"
        fill={enamel.dark}
      />
      <Stroke
        d="M-7 -7 H-13 Q-19 -7 -19 0 C-19 15 -16 26 -10 34 M34 -8.5 H47"
        colour={enamel.light}
        width={2}
      />
      <Piece
        d="M-15.5 14 C-13 31 -2 43 16 43 C33 43 42 32 44.5 17 L37.5 15.6 C35.5 27 28 36.5 15.5 36.5 C3 36.5 -7 27 -9 13 Z"
        of={hardPlastic}
      />
      <path id="micrometer-words" d="M-12.5 16 C-9 32 1 39.8 16 39.8 C30 39.8 38 31 41 17" fill="none" />
      <text fontSize={4} fill="#f4f7f5" letterSpacing={0.2}>
        <textPath href="#micrometer-words" startOffset="22%">
          {`0–25 mm   ${division} mm`}
        </textPath>
      </text>
      <g className="sleeve">
        <Round x={47} y={-6.3} width={37} height={12.6} of={satin} />
        <Lines lines={[[whole.sleeveZero - 2, 0, 84, 0], ...marks]} strokeWidth={0.35} />
      </g>
      <g className="lock" transform="rotate(-24 41 -2)">
        <Piece d="M38.5 -2 L39.5 -19 Q41 -21.5 42.5 -19 L43.5 -2 Z" of={steel} />
        <circle cx={41} cy={-2} r={3.1} fill={steel.base} stroke={steel.edge} strokeWidth={0.3} />
        <path d="M39.2 -1 L42.8 -3" stroke={steel.edge} strokeWidth={0.7} />
      </g>
    </g>
  );
});

/** Thimble, its knurl, and the ratchet behind it. */
const Turned = memo(function Turned() {
  const lines = Array.from({ length: 11 }, (_, at): Line => {
    const y = -7 * Math.cos((Math.PI * (at + 0.5)) / 11);
    return [0.4, y, at % 2 === 0 ? 4 : 2.6, y];
  });
  const knurl = { x: 12, y: -7.6, width: 20, height: 15.2 };
  return (
    <g className="thimble">
      <Piece d="M0 -6.8 L5 -7.6 V7.6 L0 6.8 Z" of={satin} />
      <Round x={5} y={-7.6} width={31} height={15.2} of={satin} />
      <Round {...knurl} of={steel} />
      <Knurl {...knurl} of={steel} />
      <Lines lines={lines} strokeWidth={0.3} />
      <g className="ratchet">
        <Round x={36} y={-4} width={2.4} height={8} of={steel} />
        <Round x={38.4} y={-5.2} width={12} height={10.4} of={steel} />
        <Grooves x={38.4} y={-5.2} width={12} height={10.4} of={steel} count={10} />
      </g>
    </g>
  );
});

/** Where the spindle meets what it measures. */
export const spindleSpot = (picture: MicrometerPicture): Spot => ({
  x: whole.x + gapOf(picture) * whole.px,
  y: whole.y,
});
