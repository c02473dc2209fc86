import {
  flotation,
  scaleOf,
  spindle,
  stemPlaceMm,
  stemRiseMm,
  type HydrometerPicture,
  type Make,
} from '@green-beam/core';
import { levelled, tubeX } from './glassTube';
import { figureFont, ink, textFont } from './ink';
import { paper, steel } from './matter';
import type { Spots } from './point';
import { heldUpMm, Jar, Spindle, sunkMm, type Held } from './wholeHydrometer';

export type { Held } from './wholeHydrometer';

/** Size of the drawing, in its own units. */
export const hydrometerView = { width: 770, height: 640 } as const;

const [pxPerMm, halfStem, jarHalf] = [11, 56, 190] as const;

/** Where a spindle's scale lies, in drawing units, for a depth of its reading below the topmost line. */
function stemY(model: Make, density: number, held: Held) {
  const up = held === 'held' ? heldUpMm * pxPerMm : 0;
  return (value: number): number =>
    levelled - up + (stemPlaceMm(model, value) - stemPlaceMm(model, density)) * pxPerMm;
}

/**
 * A spindle in its jar: the jar at the left, the stem enlarged where the surface cuts it. Equal volumes of stem make
 * unequal steps of density: the lines draw together downward.
 */
export function Hydrometer({
  picture,
  held = 'released',
  chosen = picture.model,
}: {
  readonly picture: HydrometerPicture;
  readonly held?: Held;
  readonly chosen?: string | null;
}) {
  const model = chosen === null ? null : spindle(chosen);
  const came = model && held === 'released' ? flotation(model, picture.density) : 'floats';
  return (
    <g fontFamily={figureFont}>
      <Jar>{model && <Spindle model={model} sunkMm={sunkMm(model, picture.density, held)} />}</Jar>
      <rect
        x={tubeX - jarHalf}
        y={levelled}
        width={2 * jarHalf}
        height={320}
        fill={ink.water}
        fillOpacity={0.55}
      />
      <path d={`M${tubeX - jarHalf} ${levelled} H${tubeX + jarHalf}`} stroke="#eaf4fb" strokeWidth={1} />
      {model && held !== 'out' && came === 'floats' && (
        <>
          <Stem model={model} yOf={stemY(model, picture.density, held)} />
          {held === 'released' && <Rise />}
        </>
      )}
      {[-1, 1].map((side) => (
        <g key={side}>
          <rect
            x={tubeX + side * (jarHalf + 6) - 6}
            y={-10}
            width={12}
            height={660}
            fill="#9cc0b2"
            fillOpacity={0.42}
          />
          <path
            d={`M${tubeX + side * jarHalf} -10 V650 M${tubeX + side * (jarHalf + 12)} -10 V650`}
            stroke="#d3e4dc"
            strokeWidth={1.2}
          />
        </g>
      ))}
      {(came !== 'floats' || model === null || held === 'out') && (
        <text
          x={tubeX}
          y={levelled - 40}
          textAnchor="middle"
          fontSize={19}
          fontFamily={textFont}
          fill={ink.chalk}
        >
          {model === null
            ? 'No spindle taken yet.'
            : held === 'out'
              ? 'The spindle is in your hand.'
              : came === 'sinks'
                ? 'It goes down like a stone.'
                : 'Its whole scale stands out.'}
        </text>
      )}
      <text x={tubeX + jarHalf + 24} y={30} fontSize={17} fontFamily={textFont} fill={ink.faintChalk}>
        g/cm³, 20 °C
      </text>
    </g>
  );
}

function Stem({ model, yOf }: { readonly model: Make; readonly yOf: (value: number) => number }) {
  const { d, labelEvery, lowest, highest } = scaleOf(model);
  const lines = Array.from({ length: Math.round((highest - lowest) / d) + 1 }, (_, at) =>
    Number((lowest + at * d).toFixed(4)),
  );
  const spaces = Math.round(labelEvery / d);
  const top = Math.max(-10, yOf(lowest) - 150);
  const height = hydrometerView.height + 10 - top;
  return (
    <g>
      <rect
        x={tubeX - halfStem}
        y={top}
        width={2 * halfStem}
        height={height}
        rx={top > -10 ? 26 : 0}
        fill="#e3ebe7"
      />
      <rect
        x={tubeX - halfStem + 9}
        y={top + 26}
        width={2 * halfStem - 18}
        height={height}
        fill={paper.base}
      />
      <rect x={tubeX + halfStem - 9} y={top + 26} width={9} height={height} fill="#aebfb7" />
      <rect x={tubeX - halfStem + 3} y={top + 26} width={4} height={height} fill="#ffffff" />
      <rect
        x={tubeX - halfStem}
        y={top}
        width={2 * halfStem}
        height={height}
        rx={top > -10 ? 26 : 0}
        fill="none"
        stroke={steel.edge}
        strokeWidth={1.5}
      />
      <rect
        x={tubeX - halfStem}
        y={levelled}
        width={2 * halfStem}
        height={hydrometerView.height}
        fill={ink.water}
        fillOpacity={0.16}
      />
      {lines.map((value) => {
        const y = yOf(value);
        if (y < -10 || y > hydrometerView.height + 10) return null;
        const count = Math.round(value / d);
        const numbered = count % spaces === 0;
        const middle = count % (spaces / 2) === 0;
        return (
          <g key={count}>
            <line
              className="mark"
              x1={tubeX - halfStem + 9}
              x2={tubeX - halfStem + (numbered ? 46 : middle ? 36 : 26)}
              y1={y}
              y2={y}
              stroke={ink.ink}
              strokeWidth={numbered ? 1.8 : 1.2}
            />
            {numbered && (
              <text
                x={tubeX + halfStem - 12}
                y={y + 6}
                textAnchor="end"
                fontSize={18}
                fontWeight={600}
                fill={ink.ink}
              >
                {value.toFixed(2)}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** The liquid climbs the stem on both sides, and in front of it: a hair line where it ends. */
function Rise() {
  const up = stemRiseMm * pxPerMm;
  const side = (sign: 1 | -1) =>
    `M${tubeX + sign * halfStem} ${levelled - up} C${tubeX + sign * (halfStem + 6)} ${levelled - up * 0.35} ${tubeX + sign * (halfStem + 20)} ${levelled} ${tubeX + sign * (halfStem + 50)} ${levelled} H${tubeX + sign * halfStem} Z`;
  return (
    <g>
      <path
        d={`${side(1)} ${side(-1)}`}
        fill={ink.water}
        fillOpacity={0.75}
        stroke="#eaf4fb"
        strokeWidth={1}
      />
      <path
        className="rise"
        d={`M${tubeX - halfStem} ${levelled - up} H${tubeX + halfStem} V${levelled} H${tubeX - halfStem} Z`}
        fill={ink.water}
        fillOpacity={0.2}
      />
      <path
        d={`M${tubeX - halfStem} ${levelled - up} H${tubeX + halfStem} M${tubeX - halfStem} ${levelled} H${tubeX + halfStem}`}
        stroke="#1c466f"
        strokeWidth={0.8}
      />
    </g>
  );
}

/** Where its parts lie. */
export function hydrometerSpots(picture: HydrometerPicture): Spots {
  const model = spindle(picture.model);
  const yOf = stemY(model, picture.density, 'released');
  const { labelEvery, d } = scaleOf(model);
  const label = Math.floor(picture.density / labelEvery + 1e-9) * labelEvery;
  return {
    level: { x: tubeX - halfStem - 20, y: levelled },
    label: { x: tubeX + halfStem - 30, y: yOf(label) },
    spaces: {
      from: { x: tubeX - halfStem - 8, y: yOf(label) },
      to: { x: tubeX - halfStem - 8, y: yOf(label + labelEvery) },
      count: Math.round(labelEvery / d),
    },
  };
}
