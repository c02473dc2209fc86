import { flotation, scaleOf, stemMm, stemPlaceMm, type Make } from '@green-beam/core';
import { memo, type ReactNode } from 'react';
import { ink } from './ink';
import { Lines, type Line } from './lines';
import { paper, steel, Stroke } from './matter';
import { Vessel, type Profile } from './vessel';

/** How a spindle is held: not in the jar yet, held in the liquid, or let go. */
export type Held = 'out' | 'held' | 'released';

/** Held, it stands a little higher than where it will float, in millimetres. */
export const heldUpMm = 5.5;

/** The whole spindle, in millimetres from the topmost line of its stem, downward. */
const float = { top: -18, body: stemMm + 8, widest: 9.5, bottom: stemMm + 92 } as const;
const jar = { x: 108, surface: 214, floor: 590, px: 1.75, half: 52 } as const;

/**
 * How deep a spindle stands, in millimetres from its topmost line to the surface: where it floats as its density says;
 * at the bottom of the jar; with its whole scale out; or still in the hand.
 */
export function sunkMm(model: Make, density: number, held: Held): number {
  if (held === 'out') return float.bottom + 14;
  const came = flotation(model, density);
  if (held === 'held') return Math.min(float.body, Math.max(-10, stemPlaceMm(model, density) + heldUpMm));
  if (came === 'sinks') return float.bottom - (jar.floor - jar.surface) / jar.px;
  return came === 'stands out' ? float.body + 4 : stemPlaceMm(model, density);
}

const jarProfile: Profile = [
  [0, jar.half],
  [480, jar.half],
];

/** The liquid, behind the spindle and, thinner, before it. */
const water = {
  x: jar.x - jar.half,
  y: jar.surface,
  width: 2 * jar.half,
  height: jar.floor - jar.surface,
  fill: ink.water,
} as const;

/** The jar with its liquid; what stands in it is seen through that. */
export function Jar({ children }: { readonly children: ReactNode }) {
  return (
    <g>
      <Stroke d={`M8 ${jar.floor + 6} H206`} colour="#3d6358" width={2} />
      <rect {...water} fillOpacity={0.55} />
      {children}
      <rect {...water} fillOpacity={0.28} />
      <Vessel profile={jarProfile} x={jar.x} floorY={jar.floor} px={1} levelMm={null} spout />
      <path
        d={`M${jar.x - jar.half} ${jar.surface} H${jar.x + jar.half}`}
        stroke="#eaf4fb"
        strokeWidth={1.4}
      />
    </g>
  );
}

/** Stem with its paper scale, a wide body, and the shot that keeps it upright. */
export const Spindle = memo(function Spindle({
  model,
  sunkMm: sunk,
}: {
  readonly model: Make;
  readonly sunkMm: number;
}) {
  const { labelEvery, lowest, highest } = scaleOf(model);
  const numbered = Array.from(
    { length: Math.round((highest - lowest) / labelEvery) + 2 },
    (_, at) => Math.ceil(lowest / labelEvery - 1e-9) * labelEvery + at * labelEvery,
  ).filter((value) => value <= highest + 1e-9);
  const { top, body, widest, bottom } = float;
  const places = numbered.map((value) => stemPlaceMm(model, value));
  return (
    <g className="spindle" transform={`translate(${jar.x} ${jar.surface - sunk * jar.px}) scale(${jar.px})`}>
      <path
        d={`M-3 ${top + 3} Q-3 ${top} 0 ${top} Q3 ${top} 3 ${top + 3} V${body} C4 ${body + 6} ${widest} ${body + 8} ${widest} ${body + 22} V${bottom - 34} C${widest} ${bottom - 22} 5 ${bottom - 22} 5 ${bottom - 16} C9 ${bottom - 12} 8 ${bottom} 0 ${bottom} C-8 ${bottom} -9 ${bottom - 12} -5 ${bottom - 16} C-5 ${bottom - 22} ${-widest} ${bottom - 22} ${-widest} ${bottom - 34} V${body + 22} C${-widest} ${body + 8} -4 ${body + 6} -3 ${body} Z`}
        fill="#dfeae5"
        fillOpacity={0.8}
        stroke={steel.edge}
        strokeWidth={0.6}
      />
      <rect x={-2} y={-4} width={4} height={stemMm + 8} fill={paper.base} />
      <Lines strokeWidth={0.5} lines={places.map((at): Line => [-2, at, 2, at])} />
      <path
        d={`M-6.8 ${bottom - 8} Q-6 ${bottom - 0.8} 0 ${bottom - 0.8} Q6 ${bottom - 0.8} 6.8 ${bottom - 8} Z`}
        fill="#4d5a55"
      />
      <Stroke d={`M-6.5 ${body + 20} V${bottom - 36}`} colour="#ffffff" width={3} />
    </g>
  );
});
