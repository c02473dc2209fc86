import { caliperModel, shown, slideEdge, type CaliperModel, type CaliperPicture } from '@green-beam/core';
import { memo, type SVGProps } from 'react';
import { CaliperOverview, jawSpot } from './caliperOverview';
import { figureFont, ink } from './ink';
import type { Spots } from './point';

export { jawAt, jawX } from './caliperOverview';

/** Size of the drawing, in its own units. */
export const caliperView = { width: 770, height: 640 } as const;

const scales = { zeroX: 112, seam: 440, plate: 92, vernierWidth: 560 } as const;

/**
 * A vernier caliper: the whole of it above, its two scales enlarged below, both true to their geometry.
 * @param jawProps what the page adds to the sliding jaw to make it a handle
 */
export function VernierCaliper({
  picture,
  jawProps,
}: {
  readonly picture: CaliperPicture;
  readonly jawProps?: SVGProps<SVGGElement>;
}) {
  const model = caliperModel(picture.model);
  return (
    <g fontFamily={figureFont}>
      <CaliperOverview model={model} picture={picture} {...(jawProps ? { jawProps } : {})} />
      <Scales model={model} at={picture.at} />
    </g>
  );
}

/** The vernier lies still, and the main scale slides past it as a whole. */
function Scales({ model, at }: { readonly model: CaliperModel; readonly at: number }) {
  const { zeroX, seam, plate, vernierWidth } = scales;
  const px = vernierWidth / (model.spans * model.mainDivision);
  return (
    <g>
      <rect x={0} y={seam - plate} width={caliperView.width} height={plate} fill={ink.metal} />
      <g transform={`translate(${zeroX - at * px})`}>
        <MainScale model={model} px={px} />
      </g>
      <Vernier model={model} px={px} />
      <line x1={0} x2={caliperView.width} y1={seam} y2={seam} stroke={ink.metalEdge} strokeWidth={0.6} />
    </g>
  );
}

interface ScaleProps {
  readonly model: CaliperModel;
  readonly px: number;
}

const MainScale = memo(function MainScale({ model, px }: ScaleProps) {
  const { seam, vernierWidth } = scales;
  const end = Number(model.highest) + (vernierWidth + 100) / px;
  const perLabel = Math.round(Number(model.labelEvery) / model.mainDivision);
  return Array.from({ length: Math.ceil(end / model.mainDivision) }, (_, mark) => {
    const x = mark * model.mainDivision * px;
    const numbered = mark % perLabel === 0;
    const middle = perLabel % 2 === 0 && mark % (perLabel / 2) === 0;
    const top = seam - (numbered ? 46 : middle ? 36 : 26);
    return (
      <ScaleLine key={mark} className="main-line" x={x} from={top} to={seam} numberY={seam - 56}>
        {numbered && mainNumber(model, mark / perLabel)}
      </ScaleLine>
    );
  });
});

const Vernier = memo(function Vernier({ model, px }: ScaleProps) {
  const { zeroX, seam, plate } = scales;
  const step = ((model.spans * model.mainDivision) / model.lines) * px;
  const edge = zeroX - slideEdge * model.mainDivision * px;
  return (
    <g>
      <path
        d={`M${edge} ${seam} H${zeroX + model.lines * step + 26} v${plate} H${edge} Z`}
        fill="#dfe7e3"
        stroke={ink.metalEdge}
      />
      {Array.from({ length: model.lines + 1 }, (_, line) => {
        const numbered = line % model.numberedEvery === 0;
        const [x, bottom] = [zeroX + line * step, seam + (numbered ? 40 : 26)];
        return (
          <ScaleLine key={line} className="vernier-line" x={x} from={seam} to={bottom} numberY={seam + 62}>
            {numbered && shown(model.printed(line))}
          </ScaleLine>
        );
      })}
    </g>
  );
});

interface ScaleLineProps {
  readonly className: string;
  readonly x: number;
  readonly from: number;
  readonly to: number;
  readonly numberY: number;
  /** Its number, if it has one. */
  readonly children: string | false;
}

function ScaleLine({ className, x, from, to, numberY, children }: ScaleLineProps) {
  return (
    <g stroke={ink.ink}>
      <line
        className={className}
        vectorEffect="non-scaling-stroke"
        x1={x}
        x2={x}
        y1={from}
        y2={to}
        strokeWidth={1}
      />
      {children !== false && (
        <text
          x={x}
          y={numberY}
          textAnchor="middle"
          fontSize={18}
          fontWeight={600}
          fill={ink.ink}
          stroke="none"
        >
          {children}
        </text>
      )}
    </g>
  );
}

/** Centimetres on a metric scale; tenths of an inch, counted anew in each inch, on the other. */
const mainNumber = ({ inches }: CaliperModel, label: number): string =>
  inches && label % 10 === 0 ? `${label / 10} in` : String(inches ? label % 10 : label);

/** Where its parts lie. */
export function caliperSpots(picture: CaliperPicture): Spots {
  const model = caliperModel(picture.model);
  const { zeroX, seam, vernierWidth } = scales;
  return {
    'zero-line': { x: zeroX, y: seam + 10 },
    'other-side': { x: zeroX + vernierWidth / 2, y: seam + 30 },
    edge: jawSpot(model, picture.at),
    spaces: {
      from: { x: zeroX, y: seam + 84 },
      to: { x: zeroX + vernierWidth, y: seam + 84 },
      count: model.lines,
    },
  };
}
