import {
  flotation,
  scaleOf,
  spindle,
  stemPlaceMm,
  stemRiseMm,
  type HydrometerPicture,
  type Make,
} from '@green-beam/core';
import { figureFont, ink, textFont } from './ink';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const hydrometerView = { width: 770, height: 640 } as const;

const [stemX, surfaceY, pxPerMm, halfStem] = [440, 330, 11, 54] as const;

/** How a spindle is held: not in the jar yet, held in the liquid, or let go. */
export type Held = 'out' | 'held' | 'released';

/** Where a spindle's scale lies, in drawing units, for a depth of its reading below the topmost line. */
function stemY(model: Make, density: number, held: Held) {
  // Held, it stands a little higher than where it will float.
  const up = held === 'held' ? 60 : 0;
  return (value: number): number =>
    surfaceY - up + (stemPlaceMm(model, value) - stemPlaceMm(model, density)) * pxPerMm;
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
      <Jar inJar={model !== null && held !== 'out'} came={came} />
      <rect
        x={stemX - 190}
        y={surfaceY}
        width={400}
        height={hydrometerView.height}
        fill={ink.water}
        fillOpacity={0.45}
      />
      <line
        x1={stemX - 190}
        x2={stemX + 210}
        y1={surfaceY}
        y2={surfaceY}
        stroke="#cfe4f6"
        strokeWidth={1.6}
      />
      {model && held !== 'out' && came === 'floats' && (
        <>
          <Stem model={model} yOf={stemY(model, picture.density, held)} />
          {held === 'released' && <Rise />}
        </>
      )}
      {(came !== 'floats' || model === null || held === 'out') && (
        <text
          x={stemX}
          y={surfaceY - 40}
          textAnchor="middle"
          fontSize={17}
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
    </g>
  );
}

function Stem({ model, yOf }: { readonly model: Make; readonly yOf: (value: number) => number }) {
  const { d, labelEvery, lowest, highest } = scaleOf(model);
  const lines = Array.from({ length: Math.round((highest - lowest) / d) + 1 }, (_, at) =>
    Number((lowest + at * d).toFixed(4)),
  );
  const spaces = Math.round(labelEvery / d);
  const top = Math.max(-10, yOf(lowest) - 60);
  return (
    <g>
      <rect
        x={stemX - halfStem}
        y={top}
        width={2 * halfStem}
        height={hydrometerView.height - top}
        fill="#f2efe2"
        stroke="#9fb2aa"
        strokeWidth={3}
      />
      <rect
        x={stemX - halfStem}
        y={surfaceY}
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
              x1={stemX - halfStem + 4}
              x2={stemX - halfStem + (numbered ? 40 : middle ? 32 : 22)}
              y1={y}
              y2={y}
              stroke={ink.ink}
              strokeWidth={numbered ? 1.8 : 1.2}
            />
            {numbered && (
              <text
                x={stemX + halfStem - 4}
                y={y + 5}
                textAnchor="end"
                fontSize={15}
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

/** The liquid climbs the stem on both sides. */
function Rise() {
  const up = stemRiseMm * pxPerMm;
  const side = (sign: 1 | -1) =>
    `M${stemX + sign * halfStem} ${surfaceY - up} C${stemX + sign * (halfStem + 6)} ${surfaceY - up * 0.35} ${stemX + sign * (halfStem + 20)} ${surfaceY} ${stemX + sign * (halfStem + 44)} ${surfaceY} H${stemX + sign * halfStem} Z`;
  return (
    <path
      d={`${side(1)} ${side(-1)}`}
      fill={ink.water}
      fillOpacity={0.6}
      stroke="#cfe4f6"
      strokeWidth={1.4}
    />
  );
}

/** The whole jar, small: it shows what the spindle does. */
function Jar({ inJar, came }: { readonly inJar: boolean; readonly came: ReturnType<typeof flotation> }) {
  const sinkBy = { floats: 0, 'stands out': -130, sinks: 110 }[came];
  return (
    <g>
      <path d="M70 190 V580 H190 V190" fill="none" stroke="#bcd2ca" strokeWidth={4} />
      <rect x={72} y={260} width={116} height={318} fill={ink.water} fillOpacity={0.45} />
      {inJar && (
        <g transform={`translate(0 ${sinkBy})`}>
          <rect x={125} y={150} width={10} height={150} fill="#f2efe2" stroke="#9fb2aa" />
          <path
            d="M130 300 C108 310 108 400 120 430 H140 C152 400 152 310 130 300 Z"
            fill="#d9e5df"
            stroke="#9fb2aa"
            strokeWidth={2}
          />
          <circle cx={130} cy={424} r={14} fill="#5f6d67" />
        </g>
      )}
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
    level: { x: stemX - halfStem - 20, y: surfaceY },
    label: { x: stemX + halfStem - 20, y: yOf(label) },
    spaces: {
      from: { x: stemX - halfStem - 8, y: yOf(label) },
      to: { x: stemX - halfStem - 8, y: yOf(label + labelEvery) },
      count: Math.round(labelEvery / d),
    },
  };
}
