import {
  fourBeamModels,
  modelIn,
  threeBeamModels,
  type BalancePicture,
  type Beam as BeamOf,
  type BeamModel,
} from '@green-beam/core';
import { memo, useMemo, type SVGProps } from 'react';
import { Beam, beamFrom, beamHeight, beamTo, Rider, riderX } from './beamAndRider';
import { figureFont, ink } from './ink';
import {
  brass,
  enamel,
  Flat,
  Grooves,
  hardPlastic,
  paper,
  Piece,
  Round,
  satin,
  steel,
  Stroke,
} from './matter';
import type { Spots } from './point';

export { gramsAt, riderX } from './beamAndRider';

/** Size of the drawing, in its own units. */
export const balanceView = { width: 770, height: 640 } as const;

const pivot = { x: 112, y: 230 } as const;
const plateX = 718;
const baseY = 594;
const pxPerMark = 7;
const firstTop = 230;

/** The make of a balance with beams. @throws RangeError for one that there is not. */
export const beamModel = (id: string): BeamModel =>
  modelIn([...threeBeamModels, ...fourBeamModels], 'beam balance', id);

/** Where a beam lies, from the back (on top) to the front: as its maker put it. */
function topOf({ order }: BeamModel, key: string): number {
  return firstTop + Math.max(0, order.indexOf(key)) * apartIn(order.length);
}

/** From one beam to the next: between them there is room for a rider. */
const apartIn = (beams: number): number => (beams > 3 ? 78 : 104);

/**
 * Degrees that the beams turn when the pointer stands so many marks above its zero mark: of the angles within a
 * ten-thousandth, one whose sine and cosine leave lengths as they are to the last bit. A browser lays out all
 * letters anew when it finds their size changed, even by that bit.
 */
function turnFor(marks: number): number {
  const wanted = (-Math.atan2(marks * pxPerMark, plateX - pivot.x) * 180) / Math.PI;
  for (let tried = 0; tried < 100; tried += 1) {
    const turn = Math.fround(wanted + tried * 1e-6);
    const radians = turn * (Math.PI / 180);
    const [sine, cosine] = [Math.sin(radians), Math.cos(radians)];
    if (sine * sine + cosine * cosine === 1) return turn;
  }
  return wanted;
}

/**
 * A balance with beams, seen from the front.
 * @param pointer where the pointer stands now, in marks above its zero mark
 * @param riderProps what the page adds to a rider to make it a handle
 */
export function BeamBalance({
  picture,
  pointer,
  riderProps,
}: {
  readonly picture: BalancePicture;
  readonly pointer: number;
  readonly riderProps?: (beam: BeamOf) => SVGProps<SVGGElement>;
}) {
  const beams = useMemo(() => {
    const model = beamModel(picture.model);
    return (
      <>
        <Frame bottom={topOf(model, model.order.at(-1) ?? '') + beamHeight} />
        {model.beams.map((beam) => (
          <Beam key={beam.key} beam={beam} y={topOf(model, beam.key)} />
        ))}
        {model.beams.map((beam) => (
          <Rider
            key={beam.key}
            beam={beam}
            beamY={topOf(model, beam.key)}
            room={Math.min(44, apartIn(model.order.length) - beamHeight)}
            grams={picture.riders[beam.key] ?? 0}
            {...riderProps?.(beam)}
          />
        ))}
      </>
    );
  }, [picture, riderProps]);
  return (
    <g fontFamily={figureFont} fontSize={15}>
      <Stand />
      <Plate />
      <g transform={`rotate(${turnFor(pointer)} ${pivot.x} ${pivot.y})`}>{beams}</g>
      <g transform={`translate(0 ${pointer * 1.2})`}>
        <Pan onPan={picture.onPan} />
      </g>
      <g className="pivot">
        <path d={`M${pivot.x} ${pivot.y + 4} l-10 -20 h20 Z`} fill={steel.light} stroke={steel.edge} />
        <circle cx={pivot.x} cy={pivot.y - 9} r={4} fill={steel.dark} />
      </g>
    </g>
  );
}

/** Where its parts lie. */
export function balanceSpots(picture: BalancePicture): Spots {
  const model = beamModel(picture.model);
  const sliding = model.beams.at(-1);
  const first = model.beams[0];
  if (!sliding || !first) return {};
  const grams = Math.floor((picture.riders[sliding.key] ?? 0) / (sliding.top / 10)) * (sliding.top / 10);
  const y = topOf(model, sliding.key) - 6;
  const from = Math.min(grams, sliding.top * 0.9);
  return {
    level: { x: plateX + 12, y: pivot.y },
    label: { x: riderX(first, picture.riders[first.key] ?? 0), y: topOf(model, first.key) + 20 },
    spaces: {
      from: { x: riderX(sliding, from), y },
      to: { x: riderX(sliding, from + sliding.top / 10), y },
      count: 10,
    },
  };
}

/** Base on its feet, the post that bears the knife edge, and the magnet that calms the beams. */
const Stand = memo(function Stand() {
  return (
    <g>
      {[86, 690].map((x) => (
        <g key={x}>
          <Round x={x - 20} y={baseY + 24} width={40} height={12} of={steel} along="y" />
          <Grooves x={x - 20} y={baseY + 24} width={40} height={12} of={steel} along="y" count={11} />
        </g>
      ))}
      <Flat x={36} y={baseY} width={720} height={26} of={enamel} />
      <Piece
        className="post"
        of={enamel}
        d={`M${pivot.x - 12} ${pivot.y + 4} H${pivot.x + 12} L${pivot.x + 24} ${baseY} H${pivot.x - 24} Z`}
      />
      <path
        d={`M${pivot.x + 3} ${pivot.y + 4} H${pivot.x + 12} L${pivot.x + 24} ${baseY} H${pivot.x + 8} Z`}
        fill={enamel.dark}
      />
      <Flat x={plateX - 6} y={pivot.y + 92} width={24} height={baseY - pivot.y - 92} of={enamel} />
      {/* The vane at the end of the beams passes between its poles. */}
      <g className="damper">
        <Flat x={plateX - 12} y={pivot.y + 104} width={40} height={112} of={hardPlastic} />
      </g>
    </g>
  );
});

/** What holds the beams together, the pointer at its end, the vane of the damper, and the screw that sets the zero. */
const Frame = memo(function Frame({ bottom }: { readonly bottom: number }) {
  const y = firstTop;
  return (
    <g>
      <g className="vane">
        <Flat x={beamTo + 12} y={pivot.y + 150} width={34} height={14} of={satin} />
      </g>
      <g className="zero-screw">
        <Round x={24} y={y + 24} width={80} height={7} of={steel} />
        <Round x={30} y={y + 15} width={20} height={25} of={brass} />
        <Grooves x={30} y={y + 15} width={20} height={25} of={brass} count={9} />
      </g>
      <Flat x={pivot.x - 30} y={y - 4} width={beamFrom - pivot.x + 34} height={38} of={steel} />
      <Flat x={beamFrom - 20} y={y - 6} width={20} height={bottom - y + 12} of={steel} />
      <Flat x={beamTo} y={y - 6} width={13} height={bottom - y + 12} of={steel} />
      <path
        className="pointer"
        d={`M${beamTo + 13} ${pivot.y - 5} L${plateX + 2} ${pivot.y} L${beamTo + 13} ${pivot.y + 5} Z`}
        fill={ink.vermilion}
      />
    </g>
  );
});

/** The pan stands on the short arm: up when the pointer is down. */
const Pan = memo(function Pan({ onPan }: { readonly onPan: boolean }) {
  const top = 122;
  return (
    <g>
      <g className="pan">
        <Round x={64} y={top + 18} width={10} height={pivot.y - top - 6} of={steel} along="y" />
        <Piece of={steel} d={`M8 ${top} H132 L116 ${top + 18} H24 Z`} />
        <path d={`M84 ${top + 2} H131 L116 ${top + 17} H78 Z`} fill={steel.dark} />
        <Stroke d={`M9 ${top} H131`} colour={steel.light} width={2.5} />
      </g>
      {onPan && (
        <g aria-hidden="true">
          <Round x={38} y={top - 52} width={64} height={52} of={brass} along="y" />
          <Round x={32} y={top - 64} width={76} height={13} of={brass} along="y" />
        </g>
      )}
    </g>
  );
});

/** The fixed plate beside the pointer: the zero mark and ten marks each way. */
const Plate = memo(function Plate() {
  return (
    <g>
      <Flat x={plateX - 4} y={pivot.y - 92} width={52} height={184} of={paper} bevel={0} />
      {Array.from({ length: 21 }, (_, at) => {
        const mark = at - 10;
        const y = pivot.y - mark * pxPerMark;
        const length = mark === 0 ? 26 : mark % 5 === 0 ? 19 : 11;
        return (
          <line
            key={mark}
            x1={plateX}
            x2={plateX + length}
            y1={y}
            y2={y}
            stroke={mark === 0 ? ink.beam : ink.ink}
            strokeWidth={mark === 0 ? 2.5 : 1.2}
          />
        );
      })}
      <text x={plateX + 31} y={pivot.y + 6} textAnchor="start" fill={ink.ink} fontSize={17} fontWeight={600}>
        0
      </text>
    </g>
  );
});
