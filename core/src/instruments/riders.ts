import type { Random } from '../chance/random';
import { slack } from './scale';

/** Where the three riders stand, in grams. The first two belong in notches; the last slides freely. */
export interface Riders {
  readonly hundreds: number;
  readonly tens: number;
  readonly ones: number;
}

/** Capacity and notch spacing of the three beams, in grams. */
export const beams = [
  { key: 'hundreds', name: 'hundreds', top: 500, notch: 100 },
  { key: 'tens', name: 'tens', top: 90, notch: 10 },
  { key: 'ones', name: '0 to 10 g', top: 10, notch: null },
] as const;

/** Grams to the hundredth. */
export const tidy = (grams: number): number => Number(grams.toFixed(2));
/** The notch nearest to a rider. */
export const nearest = (grams: number, notch: number): number => Math.round(grams / notch) * notch;

/** What the riders say, in grams, when each notched one is taken at its nearest notch. */
export const total = ({ hundreds, tens, ones }: Riders): number =>
  nearest(hundreds, 100) + nearest(tens, 10) + ones;

/** True when a notched rider rides on a ridge. */
export function offNotch({ hundreds, tens }: Riders): boolean {
  return Math.abs(hundreds - nearest(hundreds, 100)) > slack || Math.abs(tens - nearest(tens, 10)) > slack;
}

/** Where the riders stand when a set and level balance carries this load. */
export function levelRiders(loadGrams: number): Riders {
  const hundreds = Math.floor(loadGrams / 100) * 100;
  const tens = Math.floor((loadGrams - hundreds) / 10) * 10;
  return { hundreds, tens, ones: tidy(loadGrams - hundreds - tens) };
}

/** 207.4 written 27.4; 230.4 written 23.4; 30.4 written 3.4. */
export function droppedPlaces({ hundreds, tens, ones }: Riders): number[] {
  const [h, t] = [nearest(hundreds, 100) / 100, nearest(tens, 10) / 10];
  const whole = Math.floor(ones + slack);
  const parts = ones - whole;
  return [
    ...(h > 0 && t === 0 ? [h * 10 + ones] : []),
    ...(h + t > 0 && whole === 0 ? [h * 10 + t + parts] : []),
  ];
}

/** Riders anywhere, awkward places as often as plain ones: empty beams, the last notch, dead on a line, near both ends. */
export function sampleRiders(random: Random): Riders {
  const hundreds = random.chance(0.15) ? 0 : random.whole(1, 5) * 100;
  const tens = random.pick([0, 9, random.whole(0, 9), random.whole(0, 9), random.whole(0, 9)]) * 10;
  const places: readonly (() => number)[] = [
    () => random.between(0, 10),
    () => random.between(0, 10),
    () => random.whole(0, 99) / 10,
    () => random.whole(0, 9),
    () => random.between(0, 0.9),
    () => random.between(9, 10),
  ];
  const ones = tidy(Math.min(9.99, random.pick(places)()));
  return { hundreds, tens, ones };
}
