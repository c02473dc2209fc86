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
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const rulerView = { width: 770, height: 640 } as const;

const [left, right, ruleTop, ruleHeight, eyeHeight] = [40, 730, 330, 120, 130] as const;
const eyePxPerMm = 1.4;
const endX = 520;

interface Laid {
  readonly model: RulerModel;
  readonly first: number;
  readonly px: number;
}

/** The stretch of the scale that is drawn: the object's end always stands under the middle of the eye's rail. */
function laid({ model: id, from, to }: RulerPicture): Laid {
  const model = rulerModel(id);
  const margin = Math.max(Number(model.labelEvery) * 0.6, (to - from) * 0.08);
  const first = Math.max(-0.15 * Number(model.labelEvery), from - margin);
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
      <rect x={fromX} y={ruleTop - 88} width={toX - fromX} height={88} fill="#6f7a86" stroke="#3e4750" />
      <path d={`M${fromX + 6} ${ruleTop - 78} H${toX - 6}`} stroke="#98a3ae" strokeWidth={3} />
      <Rule {...place} />
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

const Rule = memo(function Rule(place: Laid) {
  const { model, first, px } = place;
  const [d, labelEvery] = [Number(model.division), Number(model.labelEvery)];
  const last = Math.min(Number(model.highest), first + (right - left + 40) / px);
  const spaces = Math.round(labelEvery / d);
  const lines = Array.from({ length: Math.floor(last / d + 1e-6) + 1 }, (_, count) => count).filter(
    (count) => count * d >= first - 40 / px,
  );
  const start = Math.max(0, xOf(place, -0.12 * labelEvery));
  return (
    <g>
      <rect
        x={start}
        y={ruleTop}
        width={rulerView.width - start}
        height={ruleHeight}
        fill="#e6d7ae"
        stroke="#9b8450"
      />
      {lines.map((count) => {
        const x = xOf(place, count * d);
        const numbered = count % spaces === 0;
        const middle = spaces % 2 === 0 && count % (spaces / 2) === 0;
        const quarter = spaces % 4 === 0 && count % (spaces / 4) === 0;
        const length = numbered ? 48 : middle ? 38 : quarter ? 30 : 22;
        return (
          <g key={count}>
            <line
              className="ruler-line"
              x1={x}
              x2={x}
              y1={ruleTop}
              y2={ruleTop + length}
              stroke={ink.ink}
              strokeWidth={numbered ? 1.6 : 1.1}
              vectorEffect="non-scaling-stroke"
            />
            {numbered && (
              <text x={x} y={ruleTop + 72} textAnchor="middle" fontSize={19} fontWeight={600} fill={ink.ink}>
                {shown((count * d) / model.numberedBy)}
              </text>
            )}
          </g>
        );
      })}
      <text
        x={rulerView.width - 20}
        y={ruleTop + 106}
        textAnchor="end"
        fontSize={14}
        fontFamily={textFont}
        fill="#5d4f2c"
      >
        {model.metric ? (model.numberedBy === 100 ? 'dm' : 'cm') : 'inches'}
      </text>
    </g>
  );
});

/** Where its parts lie. */
export function rulerSpots(picture: RulerPicture): Spots {
  const place = laid(picture);
  const [d, labelEvery] = [Number(place.model.division), Number(place.model.labelEvery)];
  const label = Math.floor(picture.to / labelEvery + 1e-9) * labelEvery;
  const y = ruleTop + ruleHeight - 8;
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
