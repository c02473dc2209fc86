import {
  rulerEyeReachMm,
  rulerModel,
  rulerParallax,
  shown,
  type RulerModel,
  type RulerPicture,
} from '@green-beam/core';
import { memo, type SVGProps } from 'react';
import { Eye, eyeRail, sightLine } from './eye';
import { figureFont, ink, textFont } from './ink';
import { Lines, type Line } from './lines';
import { Flat, slate, Stroke, wood } from './matter';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const rulerView = { width: 770, height: 640 } as const;

const [left, ruleTop, ruleHeight, eyeHeight, tokenHeight] = [24, 296, 164, 76, 116] as const;
const eyePxPerMm = 1.4;
const endX = 500;
const whole = { left: 22, right: 748, top: 556, height: 46 } as const;

interface Laid {
  readonly model: RulerModel;
  readonly first: number;
  readonly px: number;
}

/** How far a stick goes on beyond its first and its last line, so that the numbers of both stand on it. */
export const stickEnd = ({ labelEvery }: RulerModel): number => 0.24 * Number(labelEvery);

/** The stretch of the scale that is drawn large: the object's end always stands under the middle of the eye's rail. */
function laid({ model: id, from, to }: RulerPicture): Laid {
  const model = rulerModel(id);
  const margin = Math.max(Number(model.labelEvery) * 0.6, (to - from) * 0.08);
  const first = Math.max(-1.3 * stickEnd(model), from - margin);
  return { model, first, px: (endX - left) / (to - first) };
}

const xOf = ({ first, px }: Laid, place: number): number => left + (place - first) * px;

/** Where the eye is drawn, over the object's end, and back. */
export const rulerEyeX = (eyeMm: number): number => endX + eyeMm * eyePxPerMm;
export const rulerEyeMmAt = (x: number): number =>
  Math.min(rulerEyeReachMm, Math.max(-rulerEyeReachMm, (x - endX) / eyePxPerMm));

/** A rule lying on a token, seen from above; the token's end is seen against the scale from where the eye is. */
export function Ruler({
  picture,
  eyeProps,
}: {
  readonly picture: RulerPicture;
  readonly eyeProps?: SVGProps<SVGGElement>;
}) {
  const place = laid(picture);
  const shift = rulerParallax(place.model, picture.eyeMm);
  const [fromX, toX] = [xOf(place, picture.from), xOf(place, picture.to + shift)];
  const eyeX = rulerEyeX(picture.eyeMm);
  return (
    <g fontFamily={figureFont}>
      <Token x={fromX} width={toX - fromX} y={ruleTop - tokenHeight} height={tokenHeight} />
      <Rule {...place} />
      <WholeRule {...place} from={picture.from} to={picture.to} />
      {eyeProps && (
        <g>
          <line
            x1={rulerEyeX(-rulerEyeReachMm)}
            x2={rulerEyeX(rulerEyeReachMm)}
            y1={eyeHeight}
            y2={eyeHeight}
            {...eyeRail}
          />
          <line x1={eyeX} y1={eyeHeight + 20} x2={toX} y2={ruleTop} {...sightLine} />
          <Eye x={eyeX} y={eyeHeight} handle={eyeProps} />
        </g>
      )}
    </g>
  );
}

/** A slate tally token: a slab with strokes cut into it. Its lower edge lies along the scale. */
function Token({
  x,
  width,
  y,
  height,
}: {
  readonly x: number;
  readonly width: number;
  readonly y: number;
  readonly height: number;
}) {
  const cuts = [0.12, 0.17, 0.22, 0.27].map((share) => x + share * width);
  return (
    <g className="token">
      <Flat x={x} y={y} width={width} height={height} of={slate} bevel={Math.min(6, height / 6)} />
      <Stroke
        d={cuts.map((at) => `M${at} ${y + height * 0.24} V${y + height * 0.7}`).join('')}
        colour={slate.edge}
        width={Math.min(4, width / 60)}
      />
      <Stroke
        d={`M${x + width * 0.09} ${y + height * 0.62} L${x + width * 0.3} ${y + height * 0.3}`}
        colour={slate.edge}
        width={Math.min(4, width / 60)}
      />
    </g>
  );
}

/** How long a line is: longer where it is numbered, half-way, or on a quarter. */
function lineLength(count: number, spaces: number): number {
  if (count % spaces === 0) return 52;
  if (spaces % 2 === 0 && count % (spaces / 2) === 0) return 40;
  return spaces % 4 === 0 && count % (spaces / 4) === 0 ? 32 : 24;
}

const Rule = memo(function Rule(place: Laid) {
  const { model, first, px } = place;
  const [d, labelEvery, highest] = [Number(model.division), Number(model.labelEvery), Number(model.highest)];
  const last = Math.min(highest, first + (rulerView.width + 40) / px);
  const spaces = Math.round(labelEvery / d);
  const lines = Array.from({ length: Math.floor(last / d + 1e-6) + 1 }, (_, count) => count).filter(
    (count) => count * d >= first - 40 / px,
  );
  const start = Math.max(-10, xOf(place, -stickEnd(model)));
  const end = Math.min(rulerView.width + 10, xOf(place, highest + stickEnd(model)));
  return (
    <g>
      <rect x={start} y={ruleTop} width={end - start} height={ruleHeight} fill={wood.base} />
      <rect x={start} y={ruleTop} width={end - start} height={56} fill={wood.light} fillOpacity={0.55} />
      <rect x={start} y={ruleTop + ruleHeight - 12} width={end - start} height={12} fill={wood.dark} />
      <path
        d={[0.5, 0.62, 0.78]
          .map(
            (share) =>
              `M${start} ${ruleTop + ruleHeight * share} C${start + 200} ${ruleTop + ruleHeight * share + 7} ${end - 260} ${ruleTop + ruleHeight * share - 8} ${end} ${ruleTop + ruleHeight * share + 3}`,
          )
          .join('')}
        fill="none"
        stroke={wood.dark}
        strokeOpacity={0.35}
      />
      <rect
        x={start}
        y={ruleTop}
        width={end - start}
        height={ruleHeight}
        fill="none"
        stroke={wood.edge}
        strokeWidth={1.2}
      />
      {lines.map((count) => {
        const x = xOf(place, count * d);
        const numbered = count % spaces === 0;
        return (
          <g key={count}>
            <line
              className="ruler-line"
              x1={x}
              x2={x}
              y1={ruleTop}
              y2={ruleTop + lineLength(count, spaces)}
              stroke={ink.ink}
              strokeWidth={numbered ? 1.6 : 1.1}
              vectorEffect="non-scaling-stroke"
            />
            {numbered && (
              <text x={x} y={ruleTop + 76} textAnchor="middle" fontSize={21} fontWeight={600} fill={ink.ink}>
                {shown((count * d) / model.numberedBy)}
              </text>
            )}
          </g>
        );
      })}
      <text
        x={Math.min(rulerView.width, end) - 18}
        y={ruleTop + 136}
        textAnchor="end"
        fontSize={17}
        fontFamily={textFont}
        fill="#4a3c1c"
      >
        {unitName(model)}
      </text>
    </g>
  );
});

const unitName = ({ metric, numberedBy }: RulerModel): string => {
  if (!metric) return 'inches';
  return numberedBy === 100 ? 'dm' : 'cm';
};

/** The whole stick on its token, small, with the stretch that is drawn large. */
const WholeRule = memo(function WholeRule({
  model,
  first,
  px,
  from,
  to,
}: Laid & { readonly from: number; readonly to: number }) {
  const [labelEvery, highest, over] = [Number(model.labelEvery), Number(model.highest), stickEnd(model)];
  const small = (whole.right - whole.left) / (highest + 2 * over);
  const x = (place: number) => whole.left + (place + over) * small;
  const count = Math.round(highest / labelEvery);
  // Numbers stand at least thirty units apart.
  const every = [1, 2, 5, 10, 20].find((step) => step * labelEvery * small >= 30) ?? 50;
  const numbers = Array.from({ length: count + 1 }, (_, at) => at).filter(
    (at) => at % every === 0 || at === count,
  );
  const half = (labelEvery / 2) * small >= 5;
  const lines = Array.from({ length: half ? 2 * count + 1 : count + 1 }, (_, at): Line => {
    const place = x(half ? (at * labelEvery) / 2 : at * labelEvery);
    return [place, whole.top, place, whole.top + (!half || at % 2 === 0 ? 14 : 8)];
  });
  const seen = [
    Math.max(whole.left - 6, x(first)),
    Math.min(whole.right + 6, x(first + rulerView.width / px)),
  ] as const;
  return (
    <g>
      <Token x={x(from)} width={Math.max(2, (to - from) * small)} y={whole.top - 26} height={26} />
      <Flat x={whole.left} y={whole.top} width={whole.right - whole.left} height={whole.height} of={wood} />
      <Lines lines={lines} strokeWidth={1} />
      <g fontSize={13} fontWeight={600} textAnchor="middle" fill={ink.ink}>
        {numbers.map((at) => (
          <text key={at} x={x(at * labelEvery)} y={whole.top + 30}>
            {shown((at * labelEvery) / model.numberedBy)}
          </text>
        ))}
      </g>
      <path
        d={`M${seen[0]} ${whole.top - 36} V${whole.top + whole.height + 10} H${seen[1]} V${whole.top - 36} Z`}
        fill="none"
        stroke="#f0d59a"
        strokeWidth={1.5}
      />
    </g>
  );
});

/** Where its parts lie. */
export function rulerSpots(picture: RulerPicture): Spots {
  const place = laid(picture);
  const [d, labelEvery] = [Number(place.model.division), Number(place.model.labelEvery)];
  const label = Math.floor(picture.to / labelEvery + 1e-9) * labelEvery;
  const y = ruleTop + ruleHeight - 30;
  return {
    level: { x: endX, y: ruleTop },
    edge: { x: xOf(place, picture.from), y: ruleTop },
    label: { x: xOf(place, label), y: ruleTop + 40 },
    spaces: {
      from: { x: xOf(place, label), y },
      to: { x: xOf(place, label + labelEvery), y },
      count: Math.round(labelEvery / d),
    },
  };
}
