import type { Beam as BeamOf } from '@green-beam/core';
import { memo, type SVGProps } from 'react';
import { ink, textFont } from './ink';
import { Lines, type Line } from './lines';
import { brass, steel, Stroke } from './matter';

/** Where all beams begin and end, and how high each is. */
export const [beamFrom, beamTo, beamHeight] = [146, 696, 54] as const;
const [scaleFrom, scaleTo] = [beamFrom + 13, beamTo - 36];

/** Where on its beam a rider of so many grams stands. */
export const riderX = ({ top }: Pick<BeamOf, 'top'>, grams: number): number =>
  scaleFrom + (grams / top) * (scaleTo - scaleFrom);

/** The grams under a place on a beam, kept on the beam. */
export const gramsAt = ({ top }: Pick<BeamOf, 'top'>, x: number): number =>
  Math.min(1, Math.max(0, (x - scaleFrom) / (scaleTo - scaleFrom))) * top;

/** One beam with its lines or notches along its upper edge, and their numbers where no rider comes. */
export const Beam = memo(function Beam({ beam, y }: { readonly beam: BeamOf; readonly y: number }) {
  const { notch, top } = beam;
  const marks = notch === null ? 100 : top / notch;
  const xAt = (mark: number) => riderX(beam, (mark / marks) * top);
  const all = Array.from({ length: marks + 1 }, (_, mark) => mark);
  const numbered = all.filter((mark) => notch !== null || mark % 10 === 0);
  const down = (marked: readonly number[], length: number): readonly Line[] =>
    marked.map((mark) => [xAt(mark), y, xAt(mark), y + length]);
  const upper = notch === null ? '' : all.map((mark) => `H${xAt(mark) - 8} l8 12 l8 -12`).join(' ');
  return (
    <g>
      <path
        d={`M${beamFrom} ${y} ${upper} H${beamTo} V${y + beamHeight} H${beamFrom} Z`}
        fill={steel.base}
        stroke={steel.edge}
      />
      <rect x={beamFrom} y={y + beamHeight - 5} width={beamTo - beamFrom} height={5} fill={steel.dark} />
      {notch === null ? (
        <>
          <Stroke d={`M${beamFrom} ${y + 1.5} H${beamTo}`} colour={steel.light} width={2} />
          <Lines lines={down(numbered, 23)} strokeWidth={1.4} />
          <Lines
            lines={[
              ...down(
                all.filter((mark) => mark % 10 === 5),
                17,
              ),
              ...down(
                all.filter((mark) => mark % 5 !== 0),
                10,
              ),
            ]}
          />
        </>
      ) : (
        <Stroke
          d={all.map((mark) => `M${xAt(mark)} ${y + 12} l8 -12`).join('')}
          colour={steel.light}
          width={2}
        />
      )}
      <text y={y + 43} textAnchor="middle" fill={ink.ink} fontWeight={600} fontSize={17}>
        {numbered.map((mark) => (
          <tspan key={mark} x={xAt(mark)}>
            {Number(((mark / marks) * top).toFixed(1))}
          </tspan>
        ))}
        <tspan x={beamTo - 11} fontFamily={textFont} fontWeight={400}>
          g
        </tspan>
      </text>
    </g>
  );
});

/**
 * A brass saddle whose tip points at the scale; on a notched beam the tip drops into the notch. It fits between the
 * beams, so that it never hides a number.
 */
export function Rider({
  beam,
  beamY,
  grams,
  room,
  ...handle
}: {
  readonly beam: BeamOf;
  readonly beamY: number;
  readonly grams: number;
  /** How high it may be. */
  readonly room: number;
} & SVGProps<SVGGElement>) {
  const x = riderX(beam, grams);
  const { notch } = beam;
  const seated = notch !== null && Math.abs(grams / notch - Math.round(grams / notch)) < 1e-6;
  const height = room + (notch === null ? -2 : 4);
  const tip = Math.min(14, height * 0.45);
  return (
    <g {...handle} transform={`translate(${x} ${beamY + (seated ? 9 : 0)})`}>
      <rect
        x={-22}
        y={-Math.max(44, height)}
        width={44}
        height={Math.max(44, height) + 8}
        fill="transparent"
      />
      <path
        d={`M-13 ${-height} H13 V${-tip} L0 0 L-13 ${-tip} Z`}
        fill={brass.base}
        stroke={brass.edge}
        strokeWidth={1.5}
        strokeLinejoin="round"
        className="rider-body"
      />
      <path d={`M6 ${1 - height} H12 V${-tip} L1 -1 Z`} fill={brass.dark} />
      <path d={`M-11 ${2 - height} H11`} stroke={brass.light} strokeWidth={2.5} />
      <line x1={0} x2={0} y1={-Math.min(height - 5, 26)} y2={-1} stroke={brass.edge} strokeWidth={1.5} />
    </g>
  );
}
