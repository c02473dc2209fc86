import { caliperModel, shown, slideEdge, type CaliperModel, type CaliperPicture } from '@green-beam/core';
import { memo, useMemo, type SVGProps } from 'react';
import { body, CaliperBody, gapAt, gapX } from './caliperBody';
import { figureFont, ink, textFont } from './ink';
import { Lines, type Line } from './lines';
import { satin, steel } from './matter';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const caliperView = { width: 770, height: 640 } as const;

const scales = { zeroX: 140, seam: 462, above: 118, below: 118, vernierWidth: 500 } as const;

const mmPerUnit = ({ inches }: CaliperModel): number => (inches ? 25.4 : 1);
/** Millimetres between the jaws: what the scales show, less what they show when closed. */
const gapOf = (picture: CaliperPicture): number =>
  Math.max(0, (picture.at - picture.closedAt) * mmPerUnit(caliperModel(picture.model)));

/** What the scales show with the moving jaw’s face at a place of the stage. */
export const jawAt = (picture: CaliperPicture, x: number): number =>
  gapAt(x) / mmPerUnit(caliperModel(picture.model)) + picture.closedAt;
/** Where the moving jaw’s face stands. */
export const jawX = (picture: CaliperPicture): number => gapX(gapOf(picture));

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
  const small = useMemo(
    () => ({ beam: <SmallScale model={model} />, slide: <SmallVernier model={model} /> }),
    [model],
  );
  const gapMm = gapOf(picture);
  const touchesMm = (picture.touchesAt - picture.closedAt) * mmPerUnit(model);
  const holds = picture.at > picture.closedAt + 1e-9 || picture.at >= picture.touchesAt;
  return (
    <g fontFamily={figureFont}>
      <CaliperBody
        held={{
          jaws: picture.jaws,
          gapMm,
          sizeMm: holds ? (picture.jaws === 'outside' ? Math.min(gapMm, touchesMm) : touchesMm) : null,
          turn: picture.outOfRound > 0 ? picture.turn : null,
          soft: picture.yields > 0,
        }}
        beam={small.beam}
        slide={small.slide}
        jawProps={jawProps}
      />
      <Scales model={model} at={picture.at} />
    </g>
  );
}

/** The lines of the beam as they look on the whole instrument: every fifth millimetre, each centimetre numbered. */
const SmallScale = memo(function SmallScale({ model }: { readonly model: CaliperModel }) {
  const per = model.inches ? 25.4 / 10 : 5;
  const marks = Array.from(
    { length: Math.round((Number(model.highest) * mmPerUnit(model)) / per) + 1 },
    (_, mark) => mark,
  );
  const numbered = (mark: number) => mark % (model.inches ? 10 : 2) === 0;
  return (
    <g>
      <Lines
        strokeWidth={0.3}
        lines={marks.map((mark) => [
          body.scaleFrom + mark * per,
          8,
          body.scaleFrom + mark * per,
          numbered(mark) ? 4.4 : 6,
        ])}
      />
      <g fontSize={3.6} textAnchor="middle" fill={ink.ink}>
        {marks.filter(numbered).map((mark) => (
          <text key={mark} x={body.scaleFrom + mark * per} y={3.8}>
            {model.inches ? mark / 10 : mark / 2}
          </text>
        ))}
      </g>
    </g>
  );
});

/** The window in the slide, with the scale of the beam in its upper half and the vernier along its lower one. */
const SmallVernier = memo(function SmallVernier({ model }: { readonly model: CaliperModel }) {
  const step = (model.spans * model.mainDivision * mmPerUnit(model)) / model.lines;
  const every = model.lines > 30 ? 5 : 1;
  const lines = Array.from({ length: Math.floor(model.lines / every) + 1 }, (_, line): Line => {
    const x = body.scaleFrom + line * every * step;
    return [x, 8, x, (line * every) % model.numberedEvery === 0 ? 11.4 : 10.2];
  });
  return (
    <g>
      <rect x={4} y={8} width={62} height={6.6} fill={satin.base} stroke={steel.edge} strokeWidth={0.25} />
      <Lines strokeWidth={0.28} lines={lines} />
    </g>
  );
});

/** The slide lies still, and the beam passes under it. */
function Scales({ model, at }: { readonly model: CaliperModel; readonly at: number }) {
  const { zeroX, seam, above, vernierWidth } = scales;
  const px = vernierWidth / (model.spans * model.mainDivision);
  return (
    <g>
      <rect x={0} y={seam - above} width={caliperView.width} height={above} fill={steel.base} />
      <rect x={0} y={seam - above} width={caliperView.width} height={5} fill={steel.light} />
      <g transform={`translate(${zeroX - at * px})`}>
        <MainScale model={model} px={px} />
      </g>
      <Vernier model={model} px={px} />
    </g>
  );
}

interface ScaleProps {
  readonly model: CaliperModel;
  readonly px: number;
}

/** Its lines are one thing to move, however many there are. */
const MainScale = memo(function MainScale({ model, px }: ScaleProps) {
  const { seam, vernierWidth } = scales;
  const end = Number(model.highest) + (vernierWidth + 100) / px;
  const perLabel = Math.round(Number(model.labelEvery) / model.mainDivision);
  const marks = Array.from({ length: Math.ceil(end / model.mainDivision) }, (_, mark) => mark);
  const at = (mark: number) => mark * model.mainDivision * px;
  return (
    <g>
      <Lines
        className="main-lines"
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
        lines={marks.map((mark): Line => {
          const middle = perLabel % 2 === 0 && mark % (perLabel / 2) === 0;
          return [at(mark), seam - (mark % perLabel === 0 ? 46 : middle ? 36 : 26), at(mark), seam];
        })}
      />
      <g textAnchor="middle" fontSize={20} fontWeight={600} fill={ink.ink}>
        {marks
          .filter((mark) => mark % perLabel === 0)
          .map((mark) => (
            <text key={mark} x={at(mark)} y={seam - 58}>
              {mainNumber(model, mark / perLabel)}
            </text>
          ))}
      </g>
    </g>
  );
});

const Vernier = memo(function Vernier({ model, px }: ScaleProps) {
  const { zeroX, seam, above, below } = scales;
  const step = ((model.spans * model.mainDivision) / model.lines) * px;
  const edge = zeroX - slideEdge * model.mainDivision * px;
  const end = caliperView.width + 20;
  const lines = Array.from({ length: model.lines + 1 }, (_, line) => line);
  const at = (line: number) => zeroX + line * step;
  const numbered = (line: number) => line % model.numberedEvery === 0;
  return (
    <g>
      {/* The slide goes around the beam: over it, and with its bevelled plate below. */}
      <rect x={edge} y={seam - above - 26} width={end - edge} height={26} fill={satin.base} />
      <path d={`M${edge} ${seam - above} H${end}`} stroke={satin.dark} strokeWidth={4} />
      <path d={`M${edge} ${seam - above - 25} H${end}`} stroke={satin.light} strokeWidth={3} />
      <path d={`M${edge} ${seam} H${end} v${below} H${edge} Z`} fill={satin.base} />
      <path d={`M${edge} ${seam + below - 4} H${end}`} stroke={satin.dark} strokeWidth={8} />
      <text x={edge + 12} y={seam - above - 8} fontSize={14} fontFamily={textFont} fill={ink.ink}>
        {model.inches ? 'inches' : 'cm, divided in mm'}
      </text>
      {/* Its left edge crosses the lines of the beam, but not the numbers above them. */}
      <path
        d={`M${edge} ${seam - above - 26} v26 M${edge} ${seam - 50} V${seam + below}`}
        stroke={satin.edge}
        strokeWidth={1.2}
      />
      <path
        d={`M${edge} ${seam} H${end}`}
        stroke={ink.ink}
        strokeWidth={0.8}
        vectorEffect="non-scaling-stroke"
      />
      <Lines
        className="vernier-lines"
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
        lines={lines.map((line): Line => [at(line), seam, at(line), seam + (numbered(line) ? 42 : 27)])}
      />
      <g textAnchor="middle" fontSize={20} fontWeight={600} fill={ink.ink}>
        {lines.filter(numbered).map((line) => (
          <text key={line} x={at(line)} y={seam + 66}>
            {shown(model.printed(line))}
          </text>
        ))}
      </g>
    </g>
  );
});

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
    edge: { x: jawX(picture), y: body.top + (picture.jaws === 'outside' ? 40 : -8) * body.px },
    spaces: {
      from: { x: zeroX, y: seam + 84 },
      to: { x: zeroX + vernierWidth, y: seam + 84 },
      count: model.lines,
    },
  };
}
