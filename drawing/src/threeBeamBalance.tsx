import { beams, type BalancePicture, type Riders } from '@green-beam/core';
import type { SVGProps } from 'react';
import { figureFont, ink, textFont } from './ink';

/** Size of the drawing, in its own units. */
export const balanceView = { width: 770, height: 640 } as const;

const pivot = { x: 128, y: 300 } as const;
const beamFrom = 150;
const beamTo = 686;
const scaleFrom = beamFrom + 10;
const scaleTo = beamTo - 22;
const plateX = 718;
const pxPerMark = 7;
const beamTops = { hundreds: 300, tens: 386, ones: 472 } as const;
const beamHeight = 46;

export type BeamKey = keyof Riders;

/** Where on its beam a rider of so many grams stands. */
export function riderX(key: BeamKey, grams: number): number {
  return scaleFrom + (grams / topOf(key)) * (scaleTo - scaleFrom);
}

/** The grams under a place on a beam, kept on the beam. */
export function gramsAt(key: BeamKey, x: number): number {
  const share = (x - scaleFrom) / (scaleTo - scaleFrom);
  return Math.min(1, Math.max(0, share)) * topOf(key);
}

const topOf = (key: BeamKey): number => beams.find((beam) => beam.key === key)?.top ?? 1;

/** Degrees that the beams turn when the pointer stands so many marks above its zero mark. */
const turnFor = (marks: number): number => (-Math.atan2(marks * pxPerMark, plateX - pivot.x) * 180) / Math.PI;

/**
 * A beam balance with three beams, seen from the front. Heaviest rider at the back, so on top.
 * @param pointer where the pointer stands now, in marks above its zero mark
 * @param riderProps what the page adds to a rider to make it a handle
 */
export function ThreeBeamBalance({
  picture,
  pointer,
  riderProps,
}: {
  readonly picture: BalancePicture;
  readonly pointer: number;
  readonly riderProps?: (key: BeamKey) => SVGProps<SVGGElement>;
}) {
  return (
    <g fontFamily={figureFont} fontSize={15}>
      <Stand />
      <Plate />
      <g transform={`rotate(${turnFor(pointer)} ${pivot.x} ${pivot.y})`}>
        <Frame />
        {beams.map(({ key }) => (
          <Beam key={key} beam={key} />
        ))}
        {beams.map(({ key }) => (
          <Rider key={key} beam={key} grams={picture.riders[key]} {...riderProps?.(key)} />
        ))}
      </g>
      <Pan onPan={picture.onPan} pointer={pointer} />
      <circle cx={pivot.x} cy={pivot.y} r={11} fill={ink.metal} stroke={ink.metalEdge} strokeWidth={2} />
    </g>
  );
}

function Stand() {
  return (
    <g fill="#24473e" stroke="#3d6358">
      <path
        d={`M${pivot.x - 16} ${pivot.y} L${pivot.x + 16} ${pivot.y} L${pivot.x + 26} 580 L${pivot.x - 26} 580 Z`}
      />
      <rect x={40} y={580} width={710} height={26} rx={4} />
      <rect x={plateX - 9} y={396} width={18} height={184} />
    </g>
  );
}

/** What holds the three beams together, and the pointer at its end. */
function Frame() {
  const y = beamTops.hundreds;
  const bottom = beamTops.ones + beamHeight;
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
}

function Beam({ beam }: { readonly beam: BeamKey }) {
  const y = beamTops[beam];
  const { notch, top } = beams.find(({ key }) => key === beam) ?? beams[2];
  const marks = notch === null ? 100 : top / notch;
  return (
    <g>
      <rect
        x={beamFrom}
        y={y}
        width={beamTo - beamFrom}
        height={beamHeight}
        rx={2}
        fill={ink.metal}
        stroke={ink.metalEdge}
      />
      <rect x={beamFrom} y={y + 2} width={beamTo - beamFrom} height={4} fill="#eef3f1" />
      {Array.from({ length: marks + 1 }, (_, at) => {
        const grams = (at / marks) * top;
        const x = riderX(beam, grams);
        const numbered = notch !== null || at % 10 === 0;
        const length = notch !== null ? 14 : at % 10 === 0 ? 20 : at % 5 === 0 ? 15 : 9;
        return (
          <g key={at}>
            {notch === null ? (
              <line
                x1={x}
                x2={x}
                y1={y}
                y2={y + length}
                stroke={ink.ink}
                strokeWidth={at % 10 === 0 ? 1.4 : 1}
              />
            ) : (
              <path
                d={`M${x - 7} ${y - 0.5} L${x} ${y + 10} L${x + 7} ${y - 0.5}`}
                fill={ink.bench}
                stroke={ink.metalEdge}
              />
            )}
            {numbered && (
              <text x={x} y={y + 39} textAnchor="middle" fill={ink.ink} fontWeight={600}>
                {Math.round(grams)}
              </text>
            )}
          </g>
        );
      })}
      <text
        x={beamTo - 4}
        y={y + beamHeight + 16}
        textAnchor="end"
        fill={ink.faintChalk}
        fontSize={13}
        fontFamily={textFont}
      >
        {notch === null ? `g, 0 to ${top}` : `g, ${notch} to a notch`}
      </text>
    </g>
  );
}

/** A brass saddle whose tip points at the scale; on a notched beam the tip drops into the notch. */
function Rider({
  beam,
  grams,
  ...handle
}: { readonly beam: BeamKey; readonly grams: number } & SVGProps<SVGGElement>) {
  const x = riderX(beam, grams);
  const notch = beams.find(({ key }) => key === beam)?.notch ?? null;
  const seated = notch !== null && Math.abs(grams / notch - Math.round(grams / notch)) < 1e-6;
  const y = beamTops[beam] + (seated ? 7 : 0);
  return (
    <g {...handle} transform={`translate(${x} ${y})`}>
      <rect x={-22} y={-48} width={44} height={54} fill="transparent" />
      <path
        d="M-14 -40 H14 V-14 L0 0 L-14 -14 Z"
        fill={ink.brassMetal}
        stroke={ink.brassEdge}
        strokeWidth={1.5}
        strokeLinejoin="round"
        className="rider-body"
      />
      <line x1={0} x2={0} y1={-34} y2={-1} stroke={ink.brassEdge} strokeWidth={1.5} />
    </g>
  );
}

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
function Plate() {
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
}
