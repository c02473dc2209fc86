import {
  caliperModel,
  shown,
  slideEdge,
  type CaliperModel,
  type CaliperPicture,
  type Jaws,
} from '@green-beam/core';
import { memo, type SVGProps } from 'react';
import { figureFont, ink, textFont } from './ink';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const caliperView = { width: 770, height: 640 } as const;

const overview = { left: 70, width: 640, top: 120, height: 34 } as const;
const scales = { zeroX: 112, seam: 440, plate: 92, vernierWidth: 560 } as const;

/** Where the sliding jaw stands in the overview, and back. */
export const jawX = (model: CaliperModel, at: number): number =>
  overview.left + (at / Number(model.highest)) * overview.width;
export const jawAt = (model: CaliperModel, x: number): number =>
  ((x - overview.left) / overview.width) * Number(model.highest);

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
      <Overview model={model} picture={picture} {...(jawProps ? { jawProps } : {})} />
      <Scales model={model} at={picture.at} />
    </g>
  );
}

interface OverviewProps {
  readonly model: CaliperModel;
  readonly picture: CaliperPicture;
  readonly jawProps?: SVGProps<SVGGElement>;
}

function Overview({ model, picture, jawProps }: OverviewProps) {
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
    edge: { x: jawX(model, picture.at), y: overview.top + 90 },
    spaces: {
      from: { x: zeroX, y: seam + 84 },
      to: { x: zeroX + vernierWidth, y: seam + 84 },
      count: model.lines,
    },
  };
}
