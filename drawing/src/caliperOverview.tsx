import type { CaliperModel, CaliperPicture, Jaws } from '@green-beam/core';
import { memo, type SVGProps } from 'react';
import { ink, textFont } from './ink';
import type { Spot } from './point';

const overview = { left: 70, width: 640, top: 120, height: 34 } as const;

/** Where the sliding jaw stands in the overview, and back. */
export const jawX = (model: CaliperModel, at: number): number =>
  overview.left + (at / Number(model.highest)) * overview.width;
export const jawAt = (model: CaliperModel, x: number): number =>
  ((x - overview.left) / overview.width) * Number(model.highest);

/** Where the sliding jaw meets the object. */
export const jawSpot = (model: CaliperModel, at: number): Spot => ({
  x: jawX(model, at),
  y: overview.top + 90,
});

interface OverviewProps {
  readonly model: CaliperModel;
  readonly picture: CaliperPicture;
  readonly jawProps?: SVGProps<SVGGElement>;
}

/** The whole caliper, small: its beam, jaws and rod, and what they hold. */
export function CaliperOverview({ model, picture, jawProps }: OverviewProps) {
  const { at, touchesAt, closedAt, jaws } = picture;
  const { left, top, height, width } = overview;
  const x = jawX(model, at);
  const holds = at > closedAt + 1e-9;
  const reach = jawX(model, Math.min(at, touchesAt));
  return (
    <g>
      <rect
        x={left - 36}
        y={top}
        width={width + 66}
        height={height}
        fill={ink.metal}
        stroke={ink.metalEdge}
      />
      <BeamNumbers model={model} />
      <path
        d={`M${left - 36} ${top} H${left - 12} V${top - 52} H${left - 4} L${left} ${top} V${top + 128} L${left - 22} ${top + 84} L${left - 36} ${top + height} Z`}
        fill={ink.metal}
        stroke={ink.metalEdge}
      />
      {holds && <Held jaws={jaws} from={left} to={reach} turn={picture.turn} soft={picture.yields > 0} />}
      {jaws === 'depth' && (
        <rect
          x={left + width + 30}
          y={top + 12}
          width={Math.max(2, x - left)}
          height={9}
          fill="#e2e9e6"
          stroke={ink.metalEdge}
        />
      )}
      <g {...jawProps}>
        <path
          d={`M${x} ${top + 128} V${top - 10} L${x + 4} ${top - 52} H${x + 12} V${top - 10} H${x + 92} V${top + height + 10} H${x + 36} L${x + 22} ${top + 84} Z`}
          fill={ink.metal}
          fillOpacity={0.94}
          stroke={ink.metalEdge}
          strokeWidth={1.5}
          className="rider-body"
        />
        <path d={`M${x + 12} ${top + 14} h68 M${x + 12} ${top + 20} h68`} stroke={ink.metalEdge} />
      </g>
      <text
        x={left + width + 28}
        y={top - 16}
        textAnchor="end"
        fontSize={14}
        fontFamily={textFont}
        fill={ink.faintChalk}
      >
        {model.inches ? 'inches' : 'centimetres, divided in millimetres'}
      </text>
    </g>
  );
}

const BeamNumbers = memo(function BeamNumbers({ model }: { readonly model: CaliperModel }) {
  const { top } = overview;
  return (
    <g>
      {Array.from({ length: Math.round(Number(model.highest) / Number(model.labelEvery)) + 1 }, (_, mark) => {
        const numbered = !model.inches || mark % 10 === 0;
        const markX = jawX(model, mark * Number(model.labelEvery));
        return (
          <g key={mark}>
            <line x1={markX} x2={markX} y1={top} y2={top + (numbered ? 12 : 7)} stroke={ink.ink} />
            {numbered && (
              <text
                x={markX + (mark === 0 ? 9 : 0)}
                y={top + 27}
                textAnchor="middle"
                fontSize={14}
                fill={ink.ink}
              >
                {model.inches ? mark / 10 : mark}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
});

/** What is measured: gripped between the lower jaws, around the upper ones, or under the rod. */
function Held({
  jaws,
  from,
  to,
  turn,
  soft,
}: {
  readonly jaws: Jaws;
  readonly from: number;
  readonly to: number;
  readonly turn: number;
  readonly soft: boolean;
}) {
  const { top } = overview;
  const wide = Math.max(2, to - from);
  if (jaws === 'inside')
    return (
      <g fill="#9c7440" stroke="#5d431f">
        <rect x={from - 26} y={top - 60} width={26} height={36} />
        <rect x={to} y={top - 60} width={26} height={36} />
      </g>
    );
  if (jaws === 'depth')
    return (
      <text x={from + 6} y={top + 92} fontSize={14} fontFamily={textFont} fill={ink.faintChalk}>
        the rod at the end stands in the sleeve
      </text>
    );
  return (
    <g fill={soft ? '#b98d5a' : '#9c7440'} stroke="#5d431f">
      <rect x={from} y={top + 62} width={wide} height={52} rx={3} />
      {turn !== 0 && (
        <path
          d={`M${from + wide / 2} ${top + 88} l${22 * Math.cos((turn * Math.PI) / 180)} ${-22 * Math.sin((turn * Math.PI) / 180)}`}
          strokeWidth={3}
        />
      )}
    </g>
  );
}
