import type { Beam as BeamOf } from '@green-beam/core';
import { memo, type SVGProps } from 'react';
import { ink, textFont } from './ink';
import { Lines, type Line } from './lines';

/** Where all beams begin and end, and how high each is. */
export const [beamFrom, beamTo, beamHeight] = [150, 686, 46] as const;
const [scaleFrom, scaleTo] = [beamFrom + 10, beamTo - 22];

/** Where on its beam a rider of so many grams stands. */
export const riderX = ({ top }: Pick<BeamOf, 'top'>, grams: number): number =>
  scaleFrom + (grams / top) * (scaleTo - scaleFrom);

/** The grams under a place on a beam, kept on the beam. */
export const gramsAt = ({ top }: Pick<BeamOf, 'top'>, x: number): number =>
  Math.min(1, Math.max(0, (x - scaleFrom) / (scaleTo - scaleFrom))) * top;

/** One beam with its lines or notches and their numbers. */
export const Beam = memo(function Beam({ beam, y }: { readonly beam: BeamOf; readonly y: number }) {
  const { notch, top } = beam;
  const marks = notch === null ? 100 : top / notch;
  const xAt = (mark: number) => riderX(beam, (mark / marks) * top);
  const all = Array.from({ length: marks + 1 }, (_, mark) => mark);
  const numbered = all.filter((mark) => notch !== null || mark % 10 === 0);
  const down = (marked: readonly number[], length: number): readonly Line[] =>
    marked.map((mark) => [xAt(mark), y, xAt(mark), y + length]);
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
      {notch === null ? (
        <>
          <Lines lines={down(numbered, 20)} strokeWidth={1.4} />
          <Lines
            lines={[
              ...down(
                all.filter((mark) => mark % 10 === 5),
                15,
              ),
              ...down(
                all.filter((mark) => mark % 5 !== 0),
                9,
              ),
            ]}
          />
        </>
      ) : (
        <path
          d={all.map((mark) => `M${xAt(mark) - 7} ${y - 0.5}l7 10.5l7 -10.5`).join('')}
          fill={ink.bench}
          stroke={ink.metalEdge}
        />
      )}
      <text y={y + 39} textAnchor="middle" fill={ink.ink} fontWeight={600}>
        {numbered.map((mark) => (
          <tspan key={mark} x={xAt(mark)}>
            {Number(((mark / marks) * top).toFixed(1))}
          </tspan>
        ))}
      </text>
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
});

/** A brass saddle whose tip points at the scale; on a notched beam the tip drops into the notch. */
export function Rider({
  beam,
  beamY,
  grams,
  ...handle
}: { readonly beam: BeamOf; readonly beamY: number; readonly grams: number } & SVGProps<SVGGElement>) {
  const x = riderX(beam, grams);
  const { notch } = beam;
  const seated = notch !== null && Math.abs(grams / notch - Math.round(grams / notch)) < 1e-6;
  const y = beamY + (seated ? 7 : 0);
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
