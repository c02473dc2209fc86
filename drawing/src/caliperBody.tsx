import type { Jaws } from '@green-beam/core';
import { memo, type ReactNode, type SVGProps } from 'react';
import { brass, cork, Flat, Grooves, hatch, Piece, Round, steel, Stroke, type Matter } from './matter';

/** The whole caliper is drawn in millimetres: the fixed jaw’s face at 0, the upper edge of the beam at 0. */
export const body = {
  left: 44,
  top: 104,
  px: 2.6,
  beamHeight: 16,
  beamEnd: 200,
  outsideDepth: 56,
  insideTip: -17,
  /** The scale’s zero lies this far along the beam, as the vernier’s lies this far along the slide. */
  scaleFrom: 10,
  slide: 70,
} as const;

/** Where the moving jaw’s face stands on the stage with so many millimetres between the jaws, and back. */
export const gapX = (gapMm: number): number => body.left + gapMm * body.px;
export const gapAt = (x: number): number => (x - body.left) / body.px;

/** What stands between the jaws, around them, or under the rod. */
export interface Gripped {
  readonly jaws: Jaws;
  /** Between the faces that touch it, in millimetres; null when nothing is there. */
  readonly sizeMm: number | null;
  readonly gapMm: number;
  /** Given where it is round and turned: how far, in degrees. */
  readonly turn: number | null;
  readonly soft: boolean;
}

interface BodyProps {
  readonly held: Gripped;
  /** What is engraved on the beam, and what the slide carries, its own left edge at 0. */
  readonly beam: ReactNode;
  readonly slide: ReactNode;
  readonly jawProps?: SVGProps<SVGGElement> | undefined;
}

/**
 * A caliper whole: beam, jaws for outside and inside, rod, wheel and lock. The inside jaws cross: each bears its face
 * outward and its body toward the other, so that both stand in the bore and touch its walls.
 */
export function CaliperBody({ held, beam, slide, jawProps }: BodyProps) {
  const { left, top, px, beamEnd } = body;
  const { gapMm, jaws, sizeMm } = held;
  return (
    <g transform={`translate(${left} ${top}) scale(${px})`}>
      {sizeMm !== null && jaws === 'inside' && <Bore to={sizeMm} />}
      {sizeMm !== null && jaws === 'depth' && (
        <g transform={`translate(${gapMm - sizeMm} 0)`}>
          <Sleeve depth={sizeMm} />
        </g>
      )}
      <g className="depth-rod">
        <Flat x={gapMm + 60} y={6.6} width={beamEnd - 60} height={2.8} of={steel} bevel={0.5} />
      </g>
      <FixedPart beam={beam} />
      {sizeMm !== null && jaws === 'outside' && (
        <Held size={sizeMm} turn={held.turn} of={held.soft ? cork : brass} />
      )}
      <g {...jawProps} transform={`translate(${gapMm} 0)`}>
        <SlidingPart />
        {slide}
      </g>
    </g>
  );
}

/** Their faces, each as the end points of a line in millimetres: what the tests of the geometry look at. */
export const faces = (gapMm: number) =>
  ({
    outside: { fixed: 0, moving: gapMm, from: 20, to: body.outsideDepth },
    inside: { fixed: 0, moving: gapMm, from: body.insideTip, to: -3 },
    rod: { from: body.beamEnd, to: body.beamEnd + gapMm },
  }) as const;

const FixedPart = memo(function FixedPart({ beam }: { readonly beam: ReactNode }) {
  const { beamEnd, beamHeight, outsideDepth, insideTip } = body;
  return (
    <g>
      <Flat x={-6} y={0} width={beamEnd + 6} height={beamHeight} of={steel} bevel={1} />
      {beam}
      {/* Head with both fixed jaws: the lower one ends in a knife edge at 0, the upper one bears its edge to the left. */}
      <Piece
        className="fixed-inside-jaw"
        d={`M0 ${insideTip} L1.6 ${insideTip} C2 -9 5 -3 10 0 H-1 C-0.4 -5 0 -10 0 ${insideTip} Z`}
        of={steel}
      />
      <Piece
        className="fixed-outside-jaw"
        d={`M-12 2 Q-12 0 -10 0 H0 V${outsideDepth} L-1.4 ${outsideDepth} L-8 40 C-11 32 -12 26 -12 18 Z`}
        of={steel}
      />
      <path d={`M-3.2 36 L0 36 V${outsideDepth} L-1.4 ${outsideDepth} Z`} fill={steel.dark} />
      <Stroke d="M-10.9 3 V18 C-10.9 25 -10 31 -7 39" colour={steel.light} />
      <Stroke d={`M0.3 ${insideTip + 1} C0.6 -10 0 -6 -0.4 -1`} colour={steel.light} width={1} />
      {[4, 12].map((y) => (
        <circle
          key={y}
          cx={beamEnd - 3}
          cy={y}
          r={0.9}
          fill={steel.dark}
          stroke={steel.edge}
          strokeWidth={0.2}
        />
      ))}
    </g>
  );
});

/** The slide without its window: jaws to its left, wheel below, lock above. */
const SlidingPart = memo(function SlidingPart() {
  const { outsideDepth, insideTip, slide } = body;
  return (
    <g>
      <g className="lock">
        <Round x={31} y={-5} width={3} height={3} of={steel} along="y" />
        <Round x={28.5} y={-10} width={8} height={5} of={steel} along="y" />
        <Grooves x={28.5} y={-10} width={8} height={5} of={steel} count={7} along="y" />
      </g>
      <g className="wheel">
        <circle cx={56} cy={19.5} r={6} fill={steel.base} stroke={steel.edge} strokeWidth={0.35} />
        <circle
          cx={56}
          cy={19.5}
          r={5}
          fill="none"
          stroke={steel.dark}
          strokeWidth={1.4}
          strokeDasharray="0.7 0.7"
        />
        <circle cx={56} cy={19.5} r={1.3} fill={steel.dark} />
      </g>
      <Piece
        className="moving-inside-jaw rider-body"
        d={`M0 ${insideTip} L-1.6 ${insideTip} C-2 -9 -5 -4.5 -10 -2 V0 H4 L1 -3 C0.4 -6 0 -10 0 ${insideTip} Z`}
        of={steel}
      />
      <Piece
        className="moving-outside-jaw rider-body"
        d={`M0 ${outsideDepth} V-2.6 H${slide} V18.6 H17 C12 22 11 30 7.5 40 L1.4 ${outsideDepth} Z M4 0 V14.6 H66 V0 Z`}
        fillRule="evenodd"
        of={steel}
      />
      <path d={`M3.2 36 L0 36 V${outsideDepth} L1.4 ${outsideDepth} Z`} fill={steel.dark} />
      {/* The window too is taken hold of. */}
      <rect x={0} y={-2.6} width={slide} height={21.2} fill="transparent" />
      <Stroke d={`M1 -1.6 H${slide - 1}`} colour={steel.light} />
      <Stroke d={`M17.5 17.8 H${slide - 0.6} V0`} colour={steel.dark} width={2} />
      <Stroke d={`M0.6 20 V35`} colour={steel.light} />
    </g>
  );
});

/** What the lower jaws grip: a pin lying along, a round one from its end, or cork. */
function Held({
  size,
  turn,
  of,
}: {
  readonly size: number;
  readonly turn: number | null;
  readonly of: Matter;
}) {
  if (turn !== null) {
    const radius = size / 2;
    const slope = (turn * Math.PI) / 180;
    return (
      <g transform={`translate(${radius} ${Math.min(38, 19 + radius)})`}>
        <circle r={radius} fill={of.base} stroke={of.edge} strokeWidth={0.4} />
        <path
          d={`M${-0.72 * radius} ${-0.42 * radius} A${0.84 * radius} ${0.84 * radius} 0 0 1 ${0.1 * radius} ${-0.83 * radius}`}
          fill="none"
          stroke={of.light}
          strokeWidth={Math.max(0.5, radius * 0.1)}
        />
        <path
          d={`M0 0 L${0.8 * radius * Math.cos(slope)} ${-0.8 * radius * Math.sin(slope)}`}
          stroke={of.edge}
          strokeWidth={0.7}
        />
      </g>
    );
  }
  const height = Math.min(16, Math.max(7, size * 0.5));
  const head = Math.min(4, size * 0.18);
  return (
    <g transform={`translate(0 ${40 - height / 2})`}>
      <Round x={0} y={0} width={Math.max(0.4, size)} height={height} of={of} />
      {of === brass && <Round x={0} y={-2.2} width={head} height={height + 4.4} of={of} />}
    </g>
  );
}

/** A deck sleeve over the upper jaws: its front is broken away, so that they are seen standing in the bore. */
const Bore = memo(function Bore({ to }: { readonly to: number }) {
  const [wall, rim, cut, roof] = [9, -6, -22, -34];
  const outer = to + 2 * wall;
  const walls = [-wall, to].map((x) => ({ x, y: cut, width: wall, height: rim - cut }));
  return (
    <g className="bore">
      <rect x={0} y={cut} width={to} height={rim - cut} fill={brass.dark} />
      <rect x={to * 0.6} y={cut} width={to * 0.22} height={rim - cut} fill={brass.base} />
      {walls.map((box) => (
        <g key={box.x}>
          <rect className="bore-wall" {...box} fill={brass.base} stroke={brass.edge} strokeWidth={0.3} />
          <Stroke d={hatch(box, 3)} colour={brass.edge} width={0.8} />
        </g>
      ))}
      <rect x={-wall} y={roof} width={outer} height={cut - roof} fill={brass.base} />
      <rect x={-wall} y={roof} width={outer * 0.28} height={cut - roof} fill={brass.light} />
      <rect x={-wall + outer * 0.72} y={roof} width={outer * 0.28} height={cut - roof} fill={brass.dark} />
      <rect
        x={-wall}
        y={roof}
        width={outer}
        height={cut - roof}
        fill="none"
        stroke={brass.edge}
        strokeWidth={0.4}
      />
    </g>
  );
});

/** The same sleeve cut open, its floor under the rod and, once it is closed that far, its rim against the end of the beam. */
const Sleeve = memo(function Sleeve({ depth }: { readonly depth: number }) {
  const { beamEnd } = body;
  const wall = 6;
  const [from, to] = [1, 15];
  const pieces = [
    { x: beamEnd, y: from - wall, width: depth + wall, height: wall },
    { x: beamEnd, y: to, width: depth + wall, height: wall },
    { x: beamEnd + depth, y: from, width: wall, height: to - from },
  ];
  return (
    <g className="sleeve">
      <rect x={beamEnd} y={from} width={depth} height={to - from} fill={brass.dark} />
      {pieces.map((box) => (
        <g key={`${box.x} ${box.y}`}>
          <rect className="sleeve-wall" {...box} fill={brass.base} stroke={brass.edge} strokeWidth={0.3} />
          <Stroke d={hatch(box, 3)} colour={brass.edge} width={0.8} />
        </g>
      ))}
    </g>
  );
});
