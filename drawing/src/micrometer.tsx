import { micrometerModel, type MicrometerModel, type MicrometerPicture } from '@green-beam/core';
import { memo, type SVGProps } from 'react';
import { figureFont, ink } from './ink';
import { Lines, type Line } from './lines';
import { Knurl, Round, satin, steel } from './matter';
import type { Spots } from './point';
import { spindleSpot, WholeMicrometer } from './wholeMicrometer';

/** Size of the drawing, in its own units. */
export const micrometerView = { width: 770, height: 640 } as const;

/** Enlarged: the thimble’s edge stands still, the sleeve comes out of it. */
const sleeve = { edge: 392, pxPerMm: 20, datum: 466, half: 126 } as const;
const thimble = { radius: 150, bevel: 46, end: 566 } as const;
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
      <WholeMicrometer picture={picture} model={model} />
      <Sleeve model={model} at={picture.at} />
      <Thimble model={model} at={picture.at} {...thimbleProps} />
    </g>
  );
}

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
    edge: spindleSpot(picture),
  };
}
