import { digitalCaliperModel, digitalDisplay, type DigitalCaliperPicture } from '@green-beam/core';
import type { SVGProps } from 'react';
import { figureFont, ink, textFont } from './ink';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const digitalCaliperView = { width: 770, height: 640 } as const;

const [left, pxPerMm, top] = [90, 4.2, 150] as const;

/** Where the sliding jaw stands for so many millimetres, and back. */
export const digitalJawX = (millimetres: number): number => left + millimetres * pxPerMm;
export const digitalJawAt = (x: number): number => (x - left) / pxPerMm;

/** What the display shows with the jaws as they stand. */
export function digitalText(picture: DigitalCaliperPicture): string {
  const model = digitalCaliperModel(picture.model);
  const shownMm = picture.atMm + (picture.zeroed ? 0 : picture.closedShowsMm);
  return digitalDisplay(model, shownMm)
    .toFixed(model.division.split('.')[1]?.length ?? 0)
    .replace('-', '−');
}

/** A digital caliper: jaws on a beam without a scale, and its display enlarged below. */
export function DigitalCaliper({
  picture,
  closed,
  jawProps,
}: {
  readonly picture: DigitalCaliperPicture;
  /** True with the jaws closed on nothing. */
  readonly closed: boolean;
  readonly jawProps?: SVGProps<SVGGElement>;
}) {
  const x = digitalJawX(picture.atMm);
  const { unit } = digitalCaliperModel(picture.model);
  return (
    <g fontFamily={figureFont}>
      <rect x={left - 40} y={top} width={690} height={34} fill={ink.metal} stroke={ink.metalEdge} />
      <path
        d={`M${left - 40} ${top} H${left} V${top + 150} L${left - 22} ${top + 96} L${left - 40} ${top + 34} Z`}
        fill={ink.metal}
        stroke={ink.metalEdge}
      />
      {!closed && (
        <rect
          x={left}
          y={top + 70}
          width={Math.max(2, Math.min(picture.sizeMm, picture.atMm) * pxPerMm)}
          height={64}
          rx={3}
          fill={picture.yieldsMm > 0 ? '#b98d5a' : '#d9e5df'}
          fillOpacity={0.9}
          stroke="#5d431f"
        />
      )}
      <g {...jawProps}>
        <path
          d={`M${x} ${top + 150} V${top - 14} H${x + 120} V${top + 48} H${x + 40} L${x + 22} ${top + 96} Z`}
          fill={ink.metal}
          stroke={ink.metalEdge}
          strokeWidth={1.5}
          className="rider-body"
        />
        <rect x={x + 16} y={top - 4} width={90} height={30} fill="#101b17" />
      </g>
      <rect x={170} y={400} width={430} height={150} rx={4} fill="#d5dedb" stroke={ink.metalEdge} />
      <rect x={190} y={420} width={390} height={108} rx={4} fill="#101b17" stroke="#405049" />
      <text x={520} y={496} textAnchor="end" fontSize={62} fill="#d7f5e6" letterSpacing={3}>
        {digitalText(picture)}
      </text>
      <text x={532} y={496} fontSize={26} fill="#d7f5e6" fontFamily={textFont}>
        {unit}
      </text>
    </g>
  );
}

/** Where its parts lie. */
export const digitalCaliperSpots = (picture: DigitalCaliperPicture): Spots => ({
  display: { x: 480, y: 474 },
  edge: { x: digitalJawX(picture.atMm), y: top + 100 },
});
