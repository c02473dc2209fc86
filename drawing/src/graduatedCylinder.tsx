import {
  cylinderModel,
  eyeReachMm,
  mmPerMl,
  parallaxMm,
  riseMm,
  shown,
  type CylinderModel,
  type CylinderPicture,
} from '@green-beam/core';
import type { SVGProps } from 'react';
import { Eye, eyeRail, sightLine } from './eye';
import { figureFont, ink, textFont } from './ink';

/** Size of the drawing, in its own units. */
export const cylinderView = { width: 770, height: 640 } as const;

const divisionPx = 24;
const levelY = 330;
const middleX = 300;
const eyeX = 700;
const eyePxPerMm = 1.9;

/** Where the eye is drawn for a height above the level, and back. */
export const eyeY = (eyeMm: number): number => levelY - eyeMm * eyePxPerMm;
export const eyeMmAt = (y: number): number =>
  Math.min(eyeReachMm, Math.max(-eyeReachMm, (levelY - y) / eyePxPerMm));

/** The part of a cylinder around the level, true to scale: one division is 24 units high on every model. */
export function GraduatedCylinder({
  picture,
  card,
  eyeProps,
}: {
  readonly picture: CylinderPicture;
  /** True with a half-dark card held behind, which sharpens the curve. */
  readonly card: boolean;
  /** What the page adds to the eye to make it a handle; no eye is drawn without it. */
  readonly eyeProps?: SVGProps<SVGGElement>;
}) {
  const model = cylinderModel(picture.model);
  const pxPerMm = divisionPx / (Number(model.division) * mmPerMl(model));
  const geometry: Geometry = {
    model,
    pxPerMm,
    radius: (model.boreMm / 2) * pxPerMm,
    yOf: (mm) => levelY - (mm - picture.heightMm) * pxPerMm,
    lift: parallaxMm(model, picture.eyeMm) * pxPerMm,
  };
  return (
    <g fontFamily={figureFont}>
      {card && <Card {...geometry} />}
      <Liquid {...geometry} picture={picture} card={card} />
      <Glass {...geometry} />
      <Marks {...geometry} />
      {eyeProps && <EyeOnRail eyeMm={picture.eyeMm} lift={geometry.lift} {...eyeProps} />}
    </g>
  );
}

interface Geometry {
  readonly model: CylinderModel;
  readonly pxPerMm: number;
  /** Half the bore, in drawing units. */
  readonly radius: number;
  /** Height on the front wall, in millimetres above the scale's zero, to a place in the drawing. */
  readonly yOf: (mm: number) => number;
  /** How far the middle of the surface is seen above its height on the front wall, in drawing units. */
  readonly lift: number;
}

function Card({ radius, lift }: Geometry) {
  const [left, width] = [middleX - radius - 44, 2 * radius + 88];
  return (
    <g>
      <rect x={left} y={levelY - lift - 92} width={width} height={100} fill="#f2f4ee" />
      <rect x={left} y={levelY - lift + 8} width={width} height={96} fill="#0b1411" />
    </g>
  );
}

/**
 * The liquid with its surface, seen at the height of the eye. Level on, the ring of its rim closes to a line; from
 * above the front of the ring is its lower half, from below its upper one, and the liquid begins there.
 */
function Liquid({
  model,
  pxPerMm,
  radius,
  lift,
  picture,
  card,
}: Geometry & { readonly picture: CylinderPicture; readonly card: boolean }) {
  const [left, right] = [middleX - radius, middleX + radius];
  const rise = riseMm(model) * pxPerMm * { concave: 1, convex: -1, flat: 0 }[picture.surface];
  const middle = levelY - lift;
  const edge = middle - rise;
  const bend = Math.min(radius * 0.62, Math.abs(rise) * 2.4);
  const curve =
    `M${left} ${edge} C${left + bend * 0.12} ${edge + rise * 0.72} ${left + bend * 0.5} ${middle} ${left + bend} ${middle} ` +
    `L${right - bend} ${middle} C${right - bend * 0.5} ${middle} ${right - bend * 0.12} ${edge + rise * 0.72} ${right} ${edge}`;
  const opening = Math.abs(lift);
  const front = `M${left} ${edge} A${radius} ${opening} 0 0 ${lift > 0 ? 0 : 1} ${right} ${edge}`;
  const level = opening < 0.5;
  return (
    <g>
      <path
        d={`${level ? curve : front} L${right} ${cylinderView.height} L${left} ${cylinderView.height} Z`}
        fill={ink.water}
        fillOpacity={0.62}
      />
      {!level && (
        <ellipse
          cx={middleX}
          cy={edge}
          rx={radius}
          ry={opening}
          fill={lift > 0 ? '#9cc4e8' : '#5b93c6'}
          fillOpacity={0.45}
          stroke="#cfe4f6"
          strokeWidth={1.2}
        />
      )}
      <path
        d={curve}
        fill="none"
        stroke={card ? '#08131d' : '#1c466f'}
        strokeOpacity={card ? 0.95 : 0.75}
        strokeWidth={card ? 5 : 3.5}
        transform={`translate(0 ${card ? 2.5 : 1.75})`}
      />
      <path d={curve} fill="none" stroke="#d8eaf8" strokeOpacity={card ? 0.9 : 0.5} strokeWidth={1} />
    </g>
  );
}

/** Two edges of glass and a highlight; brim and foot where they come into view. */
function Glass({ model, radius, yOf }: Geometry) {
  const brim = Math.max(-40, yOf(Number(model.highest) * mmPerMl(model)) - 90);
  const [left, right] = [middleX - radius, middleX + radius];
  return (
    <g>
      {[left - 4, right].map((x) => (
        <rect
          key={x}
          x={x}
          y={brim}
          width={4}
          height={cylinderView.height - brim}
          fill="#bcd2ca"
          fillOpacity={0.75}
        />
      ))}
      <rect
        x={left + radius * 0.1}
        y={brim}
        width={radius * 0.07}
        height={cylinderView.height - brim}
        fill="#ffffff"
        fillOpacity={0.08}
      />
      {brim > -40 && (
        <path
          d={`M${left - 12} ${brim - 8} Q${middleX} ${brim + 4} ${right + 12} ${brim - 8}`}
          fill="none"
          stroke="#bcd2ca"
          strokeWidth={4}
        />
      )}
    </g>
  );
}

/** Lines on the front wall, longest where they are numbered. The rising numbers stand right of their lines. */
function Marks({ model, radius, yOf }: Geometry) {
  const [d, labelEvery] = [Number(model.division), Number(model.labelEvery)];
  const [lowest, highest] = [Number(model.lowest), Number(model.highest)];
  const spaces = Math.round(labelEvery / d);
  const lines = Array.from({ length: Math.round((highest - lowest) / d) + 1 }, (_, at) => lowest + at * d);
  const short = Math.min(44, radius * 0.36);
  const start = middleX - radius * 0.3;
  return (
    <g fill="#ffffff" stroke="#ffffff">
      {lines.map((ml) => {
        const y = yOf(ml * mmPerMl(model));
        if (y < -12 || y > cylinderView.height + 12) return null;
        const count = Math.round(ml / d);
        const numbered = count % spaces === 0;
        const middle = spaces % 2 === 0 && count % (spaces / 2) === 0;
        const length = numbered ? short * 1.7 : middle && spaces > 4 ? short * 1.32 : short;
        return (
          <g key={count}>
            {/* A dark edge under each line keeps it visible against the white of a card. */}
            <line
              className="edge"
              x1={start - 1}
              x2={start + length + 1}
              y1={y}
              y2={y}
              stroke="#0b1411"
              strokeOpacity={0.7}
              strokeWidth={4}
            />
            <line x1={start} x2={start + length} y1={y} y2={y} strokeWidth={numbered ? 2 : 1.4} />
            {numbered && (
              <text
                x={start + length + 8}
                y={y + 6}
                fontSize={19}
                fontWeight={600}
                stroke="#0b1411"
                strokeWidth={5}
                paintOrder="stroke"
              >
                {shown(ml)}
              </text>
            )}
            {numbered && model.falling && (
              <text
                x={start - 10}
                y={y + 6}
                fontSize={19}
                textAnchor="end"
                stroke="#0b1411"
                strokeWidth={5}
                paintOrder="stroke"
              >
                {shown(highest - ml)}
              </text>
            )}
          </g>
        );
      })}
      <text
        x={middleX + radius + 14}
        y={26}
        fontSize={15}
        fontFamily={textFont}
        stroke="none"
        fill={ink.faintChalk}
      >
        mL, 20 °C
      </text>
    </g>
  );
}

/** The reader's eye on its rail, and the line along which it looks at the middle of the surface. */
function EyeOnRail({
  eyeMm,
  lift,
  ...handle
}: { readonly eyeMm: number; readonly lift: number } & SVGProps<SVGGElement>) {
  return (
    <g>
      <line x1={eyeX} x2={eyeX} y1={eyeY(eyeReachMm)} y2={eyeY(-eyeReachMm)} {...eyeRail} />
      <line x1={middleX} y1={levelY - lift} x2={eyeX - 24} y2={eyeY(eyeMm)} {...sightLine} />
      <Eye x={eyeX} y={eyeY(eyeMm)} handle={handle} />
    </g>
  );
}
