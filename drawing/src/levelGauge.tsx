import type { Deviation } from '@green-beam/core';
import { ink } from './ink';

/** How the gauge stands: coarsely while the answer is still to be found, exactly (in some unit) once it is told. */
export type Gauge =
  | { readonly shows: 'lean'; readonly lean: Deviation }
  | { readonly shows: 'exact'; readonly off: number; readonly accepted: number; readonly unit: string };

const coarse = { level: 0, 'just off': 0.3, 'well off': 0.62, 'far off': 0.92 } as const;
const width = 420;
const middle = width / 2;
const reach = 190;

/** A pointer on a short scale: level in the middle, leaning low or high. The words stand beside it on the page. */
export function LevelGauge({ gauge }: { readonly gauge: Gauge }) {
  const { place, band } = placed(gauge);
  const level = Math.abs(place) <= band;
  const x = middle + place * reach;
  const colour = level ? ink.beam : ink.vermilion;
  return (
    <svg
      viewBox={`0 0 ${width} 62`}
      width="100%"
      role="img"
      aria-label={inWords(gauge)}
      style={{ maxWidth: width }}
    >
      <line x1={middle - reach} x2={middle + reach} y1={30} y2={30} stroke={ink.rule} strokeWidth={2} />
      {Array.from({ length: 11 }, (_, at) => middle + ((at - 5) / 5) * reach).map((tick) => (
        <line key={tick} x1={tick} x2={tick} y1={24} y2={36} stroke={ink.rule} strokeWidth={2} />
      ))}
      <rect x={middle - band * reach} y={27} width={2 * band * reach} height={6} fill={ink.beam} />
      <path d={level ? `M${x} 34 l-9 15 h18 Z` : `M${x} 26 l-9 -15 h18 Z`} fill={colour} />
      <line x1={x} x2={x} y1={24} y2={36} stroke={colour} strokeWidth={3} />
    </svg>
  );
}

/** Where the pointer stands, from −1 to 1, and half the width of the level band. */
function placed(gauge: Gauge): { readonly place: number; readonly band: number } {
  if (gauge.shows === 'lean') {
    const side = { low: -1, level: 0, high: 1 }[gauge.lean.direction];
    return { place: side * coarse[gauge.lean.distance], band: 0.12 };
  }
  const span = Math.max(5 * gauge.accepted, Math.min(Math.abs(gauge.off) * 1.15, 20 * gauge.accepted));
  return { place: Math.max(-1, Math.min(1, gauge.off / span)), band: gauge.accepted / span };
}

/** What the gauge says, in words. */
export function inWords(gauge: Gauge): string {
  if (gauge.shows === 'lean') {
    const { direction, distance } = gauge.lean;
    return direction === 'level' ? 'level' : `reads ${direction}, ${distance}`;
  }
  const { off, accepted, unit } = gauge;
  if (Math.abs(off) <= accepted) return 'level';
  const size = Math.abs(off) >= 10 ? Math.round(Math.abs(off)).toString() : Math.abs(off).toFixed(1);
  return `reads ${off < 0 ? 'low' : 'high'} by ${size} ${unit}`;
}
