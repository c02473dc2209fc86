import { micrometerModel, type MicrometerModel, type MicrometerPicture } from '@green-beam/core';
import { memo, type SVGProps } from 'react';
import { figureFont, ink } from './ink';
import { Lines, type Line } from './lines';
import { brass, enamel, Grooves, hardPlastic, Knurl, Piece, Round, satin, steel, Stroke } from './matter';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const micrometerView = { width: 770, height: 640 } as const;

/** Enlarged: the thimble’s edge stands still, the sleeve comes out of it. */
const sleeve = { edge: 392, pxPerMm: 20, datum: 466, half: 126 } as const;
const thimble = { radius: 150, bevel: 46, end: 566 } as const;
/** Whole: in millimetres, the anvil’s face and the axis of the screw at 0. */
const whole = { x: 178, y: 76, px: 3.7, sleeveFrom: 47, sleeveZero: 58, thimble: 36, open: 34 } as const;

/** Millimetres that the spindle moves for a drag along the sleeve. */
export const spindleMm = (px: number): number => px / sleeve.pxPerMm;

/**
 * A micrometer: the whole of it on its object above, sleeve and thimble enlarged below. The thimble is a cylinder: its
 * lines lie at their true angles and crowd toward its edges.
 * @param thimbleProps what the page adds to the thimble to make it a handle
 */
export function Micrometer({
  picture,
  thimbleProps,
}: {
  readonly picture: MicrometerPicture;
  readonly thimbleProps?: SVGProps<SVGGElement>;
}) {
  const model = micrometerModel(picture.model);
  return (
    <g fontFamily={figureFont}>
      <Whole picture={picture} model={model} />
      <Sleeve model={model} at={picture.at} />
      <Thimble model={model} at={picture.at} {...thimbleProps} />
    </g>
  );
}

/** Gap between anvil and spindle, in millimetres: what is shown less what is shown when closed. */
const gapOf = ({ at, closedAt }: MicrometerPicture): number => Math.max(0, at - closedAt);

function Whole({ picture, model }: { readonly picture: MicrometerPicture; readonly model: MicrometerModel }) {
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

/** Millimetres above the datum, half-millimetres below it; all of them below where a vernier needs the room above. */
function Sleeve({ model, at }: { readonly model: MicrometerModel; readonly at: number }) {
  const { edge, pxPerMm, datum } = sleeve;
  const zeroX = edge - at * pxPerMm;
  const marks = Array.from({ length: Math.round(25 / model.pitch) + 1 }, (_, turn) => turn * model.pitch);
  // The thimble covers what it has not passed; its edge just lets a mark show that it is about to reach.
  const uncovered = marks.filter((mark) => mark * pxPerMm <= at * pxPerMm + 1.2);
  return (
    <g>
      <SleeveTube />
      {model.vernier && <SleeveVernier model={model} />}
      <path d={`M${Math.max(0, zeroX - 30)} ${datum} H${edge}`} stroke={ink.ink} strokeWidth={1.4} />
      {/* The tube itself looks alike all along: only its lines travel. */}
      <g transform={`translate(${zeroX} 0)`}>
        <Lines
          className="sleeve-lines"
          lines={uncovered.map((mark) => [
            mark * pxPerMm,
            datum,
            mark * pxPerMm,
            datum + markLength(model, mark),
          ])}
          strokeWidth={1.4}
          vectorEffect="non-scaling-stroke"
        />
        <g fontSize={19} fontWeight={600} fill={ink.ink} textAnchor="middle">
          {marks
            .filter((mark) => mark % 5 === 0)
            .map((mark) => (
              <text
                key={mark}
                x={mark * pxPerMm}
                y={model.vernier ? datum + 58 : datum - 42}
                visibility={uncovered.includes(mark) ? 'visible' : 'hidden'}
              >
                {mark}
              </text>
            ))}
        </g>
      </g>
    </g>
  );
}

const SleeveTube = memo(function SleeveTube() {
  const { edge, datum, half } = sleeve;
  return <Round x={-4} y={datum - half} width={edge + 8} height={2 * half} of={satin} />;
});

function markLength({ vernier }: MicrometerModel, mark: number): number {
  const isWhole = Number.isInteger(mark);
  if (vernier) return isWhole ? (mark % 5 === 0 ? 36 : 27) : 15;
  return isWhole ? (mark % 5 === 0 ? -32 : -22) : 22;
}

/**
 * Where a line of the thimble stands around it, in radians from the datum, upward. Numbers grow upward past the datum
 * as the thimble is turned back: a line above the datum is still to come.
 */
function fromDatum(number: number, turned: number, lines: number): number {
  const ahead = (number - turned) / lines;
  return (ahead - Math.round(ahead)) * 2 * Math.PI;
}

/** How high that is as seen from the front. */
const heightOf = (angle: number): number => sleeve.datum - Math.sin(angle) * (thimble.radius - 18);

function Thimble({
  model,
  at,
  ...handle
}: { readonly model: MicrometerModel; readonly at: number } & SVGProps<SVGGElement>) {
  const { edge } = sleeve;
  const turned = (at / model.pitch) * model.thimble;
  const lines = Array.from({ length: model.thimble }, (_, number): Line | null => {
    const angle = fromDatum(number, turned, model.thimble);
    if (Math.abs(angle) > Math.PI / 2) return null;
    return [edge, heightOf(angle), edge + (number % 5 === 0 ? 36 : 23), heightOf(angle)];
  });
  return (
    <g {...handle}>
      <ThimbleTube />
      <Lines
        className="thimble-lines"
        lines={lines.filter((line) => line !== null)}
        strokeWidth={1.3}
        vectorEffect="non-scaling-stroke"
      />
      <g fontSize={20} fontWeight={600} fill={ink.ink}>
        {Array.from({ length: model.thimble / 5 }, (_, fifth) => fifth * 5).map((number) => {
          const angle = fromDatum(number, turned, model.thimble);
          // The group moves, not what is in it: a letter that stays in its place is not laid out anew.
          return (
            <g
              key={number}
              transform={`translate(${edge} ${heightOf(angle)})`}
              visibility={Math.abs(angle) < 1.1 ? 'visible' : 'hidden'}
            >
              <text x={50} y={7}>
                {number}
              </text>
            </g>
          );
        })}
      </g>
    </g>
  );
}

/** The thimble without its lines: bevel, barrel and the knurl that the fingers turn. */
const ThimbleTube = memo(function ThimbleTube() {
  const { edge, datum } = sleeve;
  const { radius, bevel, end } = thimble;
  const knurl = { x: end, y: datum - radius - 3, width: 210, height: 2 * radius + 6 };
  return (
    <g>
      <Round x={edge + bevel} y={datum - radius} width={end - edge - bevel} height={2 * radius} of={satin} />
      <path
        d={`M${edge} ${datum - radius + 20} L${edge + bevel} ${datum - radius} V${datum + radius} L${edge} ${datum + radius - 20} Z`}
        fill={satin.base}
        stroke={satin.edge}
        strokeWidth={1.4}
        className="rider-body"
      />
      <path
        d={`M${edge} ${datum - 92} L${edge + bevel} ${datum - 98} V${datum - 54} L${edge} ${datum - 50} Z`}
        fill={satin.light}
      />
      <path
        d={`M${edge} ${datum + 76} L${edge + bevel} ${datum + 80} V${datum + radius - 1} L${edge} ${datum + radius - 21} Z`}
        fill={satin.dark}
      />
      <Round {...knurl} of={steel} />
      <Knurl {...knurl} of={steel} step={24} />
    </g>
  );
});

/** Ten lines along the sleeve, 0.9 of a thimble division apart around it, numbered from the datum upward. */
const SleeveVernier = memo(function SleeveVernier({ model }: { readonly model: MicrometerModel }) {
  const { edge } = sleeve;
  const yAt = (line: number) => heightOf(((line * 0.9) / model.thimble) * 2 * Math.PI);
  return (
    <g transform={`translate(${edge} 0)`}>
      <Lines
        className="vernier-lines"
        lines={Array.from({ length: 11 }, (_, line) => [-110, yAt(line), 0, yAt(line)])}
        stroke={ink.ink}
        strokeWidth={1.2}
        vectorEffect="non-scaling-stroke"
      />
      <g fontSize={15} fontWeight={600} textAnchor="end" fill={ink.ink}>
        {[2, 4, 6, 8, 10].map((line) => (
          <text key={line} x={-116} y={yAt(line) + 5}>
            {line}
          </text>
        ))}
      </g>
    </g>
  );
});

/** Where its parts lie. */
export function micrometerSpots(picture: MicrometerPicture): Spots {
  const { edge, datum } = sleeve;
  return {
    'zero-line': { x: edge - 8, y: datum + 20 },
    'other-side': { x: edge - 16, y: datum + 30 },
    level: { x: edge + 12, y: datum },
    tip: { x: edge - 30, y: datum - 60 },
    edge: { x: whole.x + gapOf(picture) * whole.px, y: whole.y },
  };
}
