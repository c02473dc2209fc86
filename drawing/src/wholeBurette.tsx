import { shown, type GlassModel } from '@green-beam/core';
import { memo, type SVGProps } from 'react';
import { figureFont, ink } from './ink';
import { Lines, type Line } from './lines';
import { enamel, Flat, Piece, Round, satin, steel, Stroke } from './matter';
import type { Spot } from './point';

/** What hangs below the scale: the tap and the tip. */
export interface TapState {
  /** How far the tap stands from closed, from 0 (across) to 1 (in line). */
  readonly open: number;
  readonly bubble: boolean;
  readonly drop: boolean;
}

/** Where the tap is, for a handle on it. */
export const tapPlace = { x: 128, y: 434 } as const;
export const tipPlace: Spot = { x: tapPlace.x, y: tapPlace.y + 78 };

const scale = { top: 44, bottom: 376, half: 10 } as const;

/** The whole burette in its clamp on a stand, above its receiver; its tap drawn large enough for a hand. */
export function WholeBurette({
  model,
  levelMl,
  tap,
  tapProps,
}: {
  readonly model: GlassModel;
  readonly levelMl: number;
  readonly tap: TapState;
  readonly tapProps?: SVGProps<SVGGElement> | undefined;
}) {
  const { x, y } = tapPlace;
  const { open, bubble, drop } = tap;
  const flows = open > 0.35;
  const level = Math.max(
    16,
    Math.min(scale.bottom + 20, scale.top + (levelMl / Number(model.highest)) * (scale.bottom - scale.top)),
  );
  return (
    <g fontFamily={figureFont}>
      <Stand />
      <rect
        x={x - scale.half}
        y={level}
        width={2 * scale.half}
        height={y - 22 - level}
        fill={ink.water}
        fillOpacity={0.85}
      />
      <path
        d={`M${x - 4} ${y + 16} V${y + 46} L${x - 1.5} ${y + 78} H${x + 1.5} L${x + 4} ${y + 46} V${y + 16} Z`}
        fill={ink.water}
        fillOpacity={0.85}
      />
      <BuretteGlass model={model} />
      {bubble && (
        <ellipse className="bubble" cx={x} cy={y + 40} rx={4} ry={10} fill="#e6efe9" stroke={steel.edge} />
      )}
      <circle cx={x} cy={y} r={16} fill={satin.base} stroke={satin.edge} strokeWidth={1.5} />
      <g {...tapProps} transform={`rotate(${open * 90} ${x} ${y})`}>
        <rect x={x - 52} y={y - 24} width={104} height={48} fill="transparent" />
        <path
          d={`M${x - 46} ${y - 9} Q${x - 50} ${y} ${x - 46} ${y + 9} L${x - 14} ${y + 7} H${x + 14} L${x + 46} ${y + 9} Q${x + 50} ${y} ${x + 46} ${y - 9} L${x + 14} ${y - 7} H${x - 14} Z`}
          fill={ink.beam}
          stroke="#0c3626"
          strokeWidth={1.5}
          className="rider-body"
        />
        <path d={`M${x - 42} ${y - 5} H${x + 42}`} stroke="#8fd3b4" strokeWidth={2} />
      </g>
      {flows && <path d={`M${x} ${y + 78} V${y + 142}`} stroke="#9cc4e8" strokeWidth={3} />}
      {open > 0 && !flows && <ellipse cx={x} cy={y + 112} rx={3.5} ry={5} fill="#9cc4e8" />}
      {drop && <ellipse className="drop" cx={x} cy={y + 84} rx={5} ry={7} fill="#9cc4e8" stroke="#cfe4f6" />}
    </g>
  );
}

/** Rod and base, the clamp’s two jaws, and the flask below. */
const Stand = memo(function Stand() {
  const { x } = tapPlace;
  return (
    <g>
      <Round x={38} y={20} width={12} height={590} of={steel} along="y" />
      <Flat x={14} y={608} width={200} height={18} of={enamel} />
      <Round x={30} y={196} width={96} height={9} of={steel} />
      <Flat x={32} y={188} width={24} height={26} of={enamel} />
      <Round x={14} y={197} width={18} height={8} of={enamel} />
      <path
        d={`M${x - 14} 610 L${x - 14} 572 L${x - 12} 566 V560 H${x + 12} V566 L${x + 14} 572`}
        fill="none"
      />
      <path
        className="receiver"
        d={`M${x - 13} 545 V560 L${x - 46} 602 Q${x - 48} 608 ${x - 40} 608 H${x + 40} Q${x + 48} 608 ${x + 46} 602 L${x + 13} 560 V545`}
        fill="#bcd2ca"
        fillOpacity={0.14}
        stroke="#c6dbd3"
        strokeWidth={2.5}
      />
      <path
        d={`M${x - 34} 588 L${x - 45} 602 Q${x - 47} 607 ${x - 40} 607 H${x + 40} Q${x + 47} 607 ${x + 45} 602 L${x + 34} 588 Z`}
        fill={ink.water}
        fillOpacity={0.8}
      />
    </g>
  );
});

const BuretteGlass = memo(function BuretteGlass({ model }: { readonly model: GlassModel }) {
  const { x, y } = tapPlace;
  const { top, bottom, half } = scale;
  const highest = Number(model.highest);
  const at = (ml: number) => top + (ml / highest) * (bottom - top);
  const steps = 10;
  const lines = Array.from({ length: steps * 5 + 1 }, (_, step): Line => {
    const lineY = at((step * highest) / (steps * 5));
    return [x - half, lineY, x - half + (step % 5 === 0 ? 11 : 6), lineY];
  });
  return (
    <g>
      <path
        d={`M${x - half} 10 V${y - 22} L${x - 8} ${y - 15} H${x + 8} L${x + half} ${y - 22} V10 Z`}
        fill="#bcd2ca"
        fillOpacity={0.12}
      />
      <path
        d={`M${x - half - 4} 8 L${x - half} 14 V${y - 24} L${x - 8} ${y - 14} M${x + half + 4} 8 L${x + half} 14 V${y - 24} L${x + 8} ${y - 14} M${x - half - 4} 8 H${x + half + 4}`}
        fill="none"
        stroke="#c6dbd3"
        strokeWidth={2.2}
      />
      <path
        d={`M${x - 7} ${y + 14} V${y + 44} L${x - 3} ${y + 78} H${x + 3} L${x + 7} ${y + 44} V${y + 14}`}
        fill="none"
        stroke="#c6dbd3"
        strokeWidth={2.2}
      />
      <Stroke d={`M${x - half * 0.45} 20 V${y - 34}`} colour="#ffffff" width={1.2} />
      <Lines lines={lines} stroke="#ffffff" strokeWidth={1} />
      {/* The numbers stand clear of the glass. */}
      <g fontSize={13} fontWeight={600} fill={ink.chalk}>
        {Array.from({ length: steps / 2 + 1 }, (_, step) => (step * 2 * highest) / steps).map((ml) => (
          <text key={ml} x={x + half + 7} y={at(ml) + 4}>
            {shown(ml)}
          </text>
        ))}
      </g>
      <Piece d={`M${x - 24} 192 h14 v18 h-14 Z M${x + 10} 192 h14 v18 h-14 Z`} of={enamel} />
    </g>
  );
});
