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
import type { Spots } from './point';

export { gramsAt, riderX } from './beamAndRider';

/** Size of the drawing, in its own units. */
export const balanceView = { width: 770, height: 640 } as const;

const pivot = { x: 128, y: 300 } as const;
const plateX = 718;
const pxPerMark = 7;
const firstTop = 300;

/** The make of a balance with beams. @throws RangeError for one that there is not. */
export const beamModel = (id: string): BeamModel =>
  modelIn([...threeBeamModels, ...fourBeamModels], 'beam balance', id);

/** Where a beam lies, from the back (on top) to the front: as its maker put it. */
function topOf({ order }: BeamModel, key: string): number {
  const apart = order.length > 3 ? 66 : 86;
  return firstTop + Math.max(0, order.indexOf(key)) * apart;
}

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
      <Pan onPan={picture.onPan} pointer={pointer} />
      <circle cx={pivot.x} cy={pivot.y} r={11} fill={ink.metal} stroke={ink.metalEdge} strokeWidth={2} />
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

const Stand = memo(function Stand() {
  return (
    <g fill="#24473e" stroke="#3d6358">
      <path
        d={`M${pivot.x - 16} ${pivot.y} L${pivot.x + 16} ${pivot.y} L${pivot.x + 26} 580 L${pivot.x - 26} 580 Z`}
      />
      <rect x={40} y={580} width={710} height={26} rx={4} />
      <rect x={plateX - 9} y={396} width={18} height={184} />
    </g>
  );
});

/** What holds the three beams together, and the pointer at its end. */
const Frame = memo(function Frame({ bottom }: { readonly bottom: number }) {
  const y = firstTop;
  return (
    <g fill={ink.metal} stroke={ink.metalEdge}>
      <rect x={beamFrom - 30} y={y - 6} width={22} height={bottom - y + 12} rx={3} />
      <rect x={beamTo + 2} y={y - 6} width={12} height={bottom - y + 12} rx={3} />
      <path
        d={`M${beamTo + 14} ${pivot.y - 4} L${plateX + 2} ${pivot.y} L${beamTo + 14} ${pivot.y + 4} Z`}
        fill={ink.vermilion}
        stroke="none"
      />
    </g>
  );
});

/** The pan hangs from the short arm: up when the pointer is down. */
function Pan({ onPan, pointer }: { readonly onPan: boolean; readonly pointer: number }) {
  const sink = pointer * 1.6;
  return (
    <g transform={`translate(0 ${sink})`}>
      <path d={`M84 296 L128 296`} stroke={ink.metalEdge} strokeWidth={5} />
      <rect x={80} y={196} width={8} height={100} fill={ink.metal} />
      <path d="M20 180 H148 L134 198 H34 Z" fill={ink.metal} stroke={ink.metalEdge} />
      {onPan && (
        <g aria-hidden="true">
          <path
            d="M52 180 V150 Q52 142 60 142 H108 Q116 142 116 150 V180 Z"
            fill="#9c7440"
            stroke="#5d431f"
          />
          <path d="M60 148 H74" stroke="#d8b682" strokeWidth={3} strokeLinecap="round" />
          <rect x={44} y={132} width={80} height={12} rx={5} fill="#8a6535" stroke="#5d431f" />
        </g>
      )}
    </g>
  );
}

/** The fixed plate beside the pointer: the zero mark and ten marks each way. */
const Plate = memo(function Plate() {
  return (
    <g>
      <rect x={plateX - 4} y={pivot.y - 86} width={50} height={172} rx={4} fill={ink.page} />
      {Array.from({ length: 21 }, (_, at) => {
        const mark = at - 10;
        const y = pivot.y - mark * pxPerMark;
        const length = mark === 0 ? 24 : mark % 5 === 0 ? 18 : 11;
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
      <text x={plateX + 30} y={pivot.y + 5} textAnchor="start" fill={ink.ink} fontSize={14} fontWeight={600}>
        0
      </text>
    </g>
  );
});
