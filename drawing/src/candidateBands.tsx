import type { Candidate } from '@green-beam/core';
import { scaleLinear } from 'd3-scale';
import { AxisBelow } from './axis';
import { ink, textFont } from './ink';

const [width, rowHeight, labelWidth, top] = [620, 30, 170, 40] as const;

/** Bands of materials on one axis of density, with what was found and its ± across them. In g/cm³. */
export function CandidateBands({
  density,
  uncertainty,
  candidates,
}: {
  readonly density: number;
  readonly uncertainty: number;
  readonly candidates: readonly Candidate[];
}) {
  const ends = candidates.flatMap(({ material }) => [material.low, material.high]);
  const [least, most] = [Math.min(density - uncertainty, ...ends), Math.max(density + uncertainty, ...ends)];
  const margin = 0.05 * (most - least || 1);
  const x = scaleLinear([least - margin, most + margin], [labelWidth, width - 16]);
  const height = top + candidates.length * rowHeight + 34;
  const foot = top + candidates.length * rowHeight + 4;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={`${density} ± ${uncertainty} g/cm³ among ${candidates
        .map(({ material, verdict }) => `${material.name} (${words[verdict]})`)
        .join(', ')}`}
      style={{ maxWidth: width }}
    >
      <rect
        x={x(density - uncertainty)}
        y={top - 12}
        width={x(density + uncertainty) - x(density - uncertainty)}
        height={foot - top + 12}
        fill={ink.brass}
        fillOpacity={0.16}
      />
      <line x1={x(density)} x2={x(density)} y1={top - 12} y2={foot} stroke={ink.brass} strokeWidth={2} />
      <text
        x={x(density)}
        y={top - 20}
        textAnchor="middle"
        fontSize={14}
        fontFamily={textFont}
        fill={ink.ink}
      >
        found
      </text>
      {candidates.map(({ material: { name, low, high }, verdict }, at) => {
        const y = top + at * rowHeight;
        return (
          <g key={name}>
            <text
              x={labelWidth - 12}
              y={y + 16}
              textAnchor="end"
              fontSize={14}
              fontFamily={textFont}
              fill={ink.ink}
            >
              {name}
            </text>
            <rect
              x={x(low) - 1.5}
              y={y + 4}
              width={x(high) - x(low) + 3}
              height={16}
              fill={verdict === 'disagree' ? ink.rule : ink.beam}
              fillOpacity={verdict === 'doubtful' ? 0.45 : 1}
            />
          </g>
        );
      })}
      <line x1={labelWidth} x2={width - 16} y1={foot} y2={foot} stroke={ink.ink} />
      <AxisBelow x={x} y={foot} count={5} />
    </svg>
  );
}

const words: Readonly<Record<Candidate['verdict'], string>> = {
  agree: 'fits',
  doubtful: 'doubtful',
  disagree: 'does not fit',
};
