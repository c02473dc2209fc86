import { micrometerModel, type MicrometerModel, type MicrometerPicture } from '@green-beam/core';
import type { SVGProps } from 'react';
import { figureFont, ink, textFont } from './ink';
import { Lines, type Line } from './lines';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const micrometerView = { width: 770, height: 640 } as const;

const sleeve = { from: 60, pxPerMm: 20, datum: 410, half: 126 } as const;
const thimble = { radius: 150, width: 132 } as const;

/** A turn of the screw for a drag along the sleeve: how many millimetres a place is. */
export const spindleAt = (x: number): number => (x - sleeve.from) / sleeve.pxPerMm;
const thimbleX = (at: number): number => sleeve.from + at * sleeve.pxPerMm;

/**
 * A micrometer: frame and object above, sleeve and thimble enlarged below. The thimble is a cylinder: its lines lie
 * at their true angles and crowd toward its edges.
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
      <Frame picture={picture} />
      <Sleeve model={model} at={picture.at} />
      <Thimble model={model} at={picture.at} {...thimbleProps} />
      {model.vernier && <SleeveVernier model={model} at={picture.at} />}
    </g>
  );
}

function Frame({ picture: { at, touchesAt, closedAt } }: { readonly picture: MicrometerPicture }) {
  const [anvil, px] = [150, 9];
  const holds = at > closedAt + 1e-9;
  const gap = Math.max(0, at - closedAt) * px;
  return (
    <g>
      <path
        d="M120 150 V86 Q120 40 170 40 H520 V66 H186 Q150 66 150 96 V150 Z"
        fill={ink.metal}
        stroke={ink.metalEdge}
      />
      <rect x={120} y={120} width={30} height={30} fill={ink.metal} stroke={ink.metalEdge} />
      <rect
        x={anvil + gap}
        y={122}
        width={Math.max(20, 390 - gap)}
        height={26}
        fill="#e2e9e6"
        stroke={ink.metalEdge}
      />
      <rect x={500} y={40} width={40} height={112} fill={ink.metal} stroke={ink.metalEdge} />
      <rect
        x={540}
        y={112}
        width={90 + gap * 0.2}
        height={46}
        rx={4}
        fill={ink.metal}
        stroke={ink.metalEdge}
      />
      {holds && (
        <rect
          x={anvil}
          y={106}
          width={Math.max(2, Math.min(gap, (touchesAt - closedAt) * px))}
          height={58}
          fill="#c79a45"
          stroke="#7d5d1f"
        />
      )}
      <text x={120} y={196} fontSize={14} fontFamily={textFont} fill={ink.faintChalk}>
        0–25 mm
      </text>
    </g>
  );
}

/** Millimetres above the datum, half-millimetres below it; all of them below where a vernier needs the room above. */
function Sleeve({ model, at }: { readonly model: MicrometerModel; readonly at: number }) {
  const { from, pxPerMm, datum, half } = sleeve;
  const edge = thimbleX(at);
  const marks = Array.from({ length: Math.round(25 / model.pitch) + 1 }, (_, turn) => turn * model.pitch);
  // The thimble covers what it has not passed; its edge just lets a mark show that it is about to reach.
  const uncovered = marks.filter((mark) => mark * pxPerMm <= at * pxPerMm + 1.2);
  return (
    <g>
      <rect
        x={from - 46}
        y={datum - half}
        width={edge - from + 60}
        height={2 * half}
        fill="#dfe7e3"
        stroke={ink.metalEdge}
      />
      <line x1={from - 30} x2={edge} y1={datum} y2={datum} stroke={ink.ink} strokeWidth={1.4} />
      <Lines
        className="sleeve-lines"
        lines={uncovered.map((mark) => {
          const x = from + mark * pxPerMm;
          return [x, datum, x, datum + markLength(model, mark)];
        })}
        strokeWidth={1.4}
        vectorEffect="non-scaling-stroke"
      />
      <g fontSize={17} fontWeight={600} fill={ink.ink} textAnchor="middle">
        {marks
          .filter((mark) => mark % 5 === 0)
          .map((mark) => (
            <text
              key={mark}
              x={from + mark * pxPerMm}
              y={model.vernier ? datum + 54 : datum - 38}
              visibility={uncovered.includes(mark) ? 'visible' : 'hidden'}
            >
              {mark}
            </text>
          ))}
      </g>
    </g>
  );
}

function markLength({ vernier }: MicrometerModel, mark: number): number {
  const whole = Number.isInteger(mark);
  if (vernier) return whole ? (mark % 5 === 0 ? 34 : 26) : 14;
  return whole ? (mark % 5 === 0 ? -30 : -20) : 20;
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
  const { datum } = sleeve;
  const { radius, width } = thimble;
  const x = thimbleX(at);
  const turned = (at / model.pitch) * model.thimble;
  const lines = Array.from({ length: model.thimble }, (_, number): Line | null => {
    const angle = fromDatum(number, turned, model.thimble);
    if (Math.abs(angle) > Math.PI / 2) return null;
    return [x, heightOf(angle), x + (number % 5 === 0 ? 34 : 22), heightOf(angle)];
  });
  return (
    <g {...handle}>
      <path
        d={`M${x} ${datum - radius + 22} L${x + 26} ${datum - radius} H${x + width} V${datum + radius} H${x + 26} L${x} ${datum + radius - 22} Z`}
        fill={ink.metal}
        stroke={ink.metalEdge}
        strokeWidth={1.5}
        className="rider-body"
      />
      <Lines
        className="thimble-lines"
        lines={lines.filter((line) => line !== null)}
        strokeWidth={1.3}
        vectorEffect="non-scaling-stroke"
      />
      <g fontSize={17} fontWeight={600} fill={ink.ink}>
        {Array.from({ length: model.thimble / 5 }, (_, fifth) => fifth * 5).map((number) => {
          const angle = fromDatum(number, turned, model.thimble);
          // The group moves, not what is in it: a letter that stays in its place is not laid out anew.
          return (
            <g
              key={number}
              transform={`translate(${x} ${heightOf(angle)})`}
              visibility={Math.abs(angle) < 1.1 ? 'visible' : 'hidden'}
            >
              <text x={42} y={6}>
                {number}
              </text>
            </g>
          );
        })}
      </g>
      <path
        d={`M${x + width - 22} ${datum - radius} V${datum + radius} M${x + width - 14} ${datum - radius} V${datum + radius}`}
        stroke={ink.metalEdge}
      />
    </g>
  );
}

/** Ten lines along the sleeve, 0.9 of a thimble division apart around it, numbered from the datum upward. */
function SleeveVernier({ model, at }: { readonly model: MicrometerModel; readonly at: number }) {
  const x = thimbleX(at);
  const yAt = (line: number) => heightOf(((line * 0.9) / model.thimble) * 2 * Math.PI);
  return (
    <g transform={`translate(${x} 0)`}>
      <Lines
        className="vernier-lines"
        lines={Array.from({ length: 11 }, (_, line) => [-26, yAt(line), 0, yAt(line)])}
        stroke={ink.beam}
        strokeWidth={1.2}
        vectorEffect="non-scaling-stroke"
      />
      {[2, 4, 6, 8, 10].map((line) => (
        <text key={line} x={-30} y={yAt(line) + 4} textAnchor="end" fontSize={11} fill={ink.beam}>
          {line}
        </text>
      ))}
    </g>
  );
}

/** Where its parts lie. */
export function micrometerSpots({ at }: MicrometerPicture): Spots {
  const edge = thimbleX(at);
  return {
    'zero-line': { x: edge - 8, y: sleeve.datum + 20 },
    'other-side': { x: edge - 16, y: sleeve.datum + 30 },
    level: { x: edge + 12, y: sleeve.datum },
    tip: { x: edge - 30, y: sleeve.datum - 60 },
    edge: { x: 150 + at * 9, y: 135 },
  };
}
