import type { Random } from '../chance/random';
import type { Make, Setting } from './instrument';
import { slack } from './scale';

/** One beam of a balance, with its rider's reach and the distance of its notches, in grams. */
export interface Beam {
  readonly key: string;
  readonly name: string;
  readonly top: number;
  /** Null where the rider slides freely. */
  readonly notch: number | null;
}

export interface BeamModel extends Make {
  /** Heaviest rider first; the last one slides freely. */
  readonly beams: readonly Beam[];
  /** The keys of the beams as the maker put them, from the back to the front. */
  readonly order: readonly string[];
}

/** Where the riders stand on their beams, in grams. */
export type Riders = Readonly<Record<string, number>>;

export type BeamBalanceKind = 'three-beam-balance' | 'four-beam-balance';

export interface BalanceSetting extends Setting {
  readonly kind: BeamBalanceKind;
  readonly riders: Riders;
  /** Mass of the object, in grams. */
  readonly loadGrams: number;
  readonly onPan: boolean;
  /** What the balance shows too much when empty with the zero screw as it stands, in grams. */
  readonly zeroErrorGrams: number;
  /** True once somebody has the apparatus in hand: then the pointer tells whether the riders mean anything. */
  readonly handled: boolean;
}

/** Grams, without binary noise. */
export const tidy = (grams: number): number => Number(grams.toFixed(4));
/** The notch nearest to a rider. */
export const nearest = (grams: number, notch: number): number => Math.round(grams / notch) * notch;

/** What each rider says, in grams, when a notched one is taken at its nearest notch; heaviest first. */
export const says = ({ beams }: BeamModel, riders: Riders): readonly number[] =>
  beams.map(({ key, notch }) => (notch === null ? (riders[key] ?? 0) : nearest(riders[key] ?? 0, notch)));

export const total = (model: BeamModel, riders: Riders): number =>
  tidy(says(model, riders).reduce((sum, grams) => sum + grams, 0));

/** How far a rider rides from its notch, in grams, summed over the beams. */
export const turning = ({ beams }: BeamModel, riders: Riders): number =>
  beams.reduce((sum, { key }) => sum + (riders[key] ?? 0), 0);

/** True when a notched rider rides on a ridge. */
export const offNotch = ({ beams }: BeamModel, riders: Riders): boolean =>
  beams.some(
    ({ key, notch }) =>
      notch !== null && Math.abs((riders[key] ?? 0) - nearest(riders[key] ?? 0, notch)) > slack * notch,
  );

/** Where the riders stand when a set and level balance carries this load. */
export function levelRiders({ beams }: BeamModel, loadGrams: number): Riders {
  let rest = loadGrams;
  return Object.fromEntries(
    beams.map(({ key, top, notch }) => {
      const grams = notch === null ? rest : Math.min(top, Math.floor(rest / notch + slack) * notch);
      rest = tidy(rest - grams);
      return [key, tidy(grams)];
    }),
  );
}

/** 207.4 written 27.4; 230.4 written 23.4; 30.4 written 3.4: an empty place left out. */
export const droppedPlaces = (grams: number): number[] =>
  [10, 1].flatMap((place) => {
    const heavier = Math.floor(grams / (10 * place) + slack);
    const empty = Math.floor(grams / place + slack) % 10 === 0;
    return heavier > 0 && empty ? [tidy(heavier * place + (grams - heavier * 10 * place))] : [];
  });

/** Riders anywhere, awkward places as often as plain ones: empty beams, the last notch, dead on a line, near both ends. */
export function sampleRiders(model: BeamModel, random: Random): Riders {
  const sliding = model.beams.at(-1)?.top ?? 1;
  const d = Number(model.division);
  const places: readonly (() => number)[] = [
    () => random.between(0, sliding),
    () => random.between(0, sliding),
    () => random.whole(0, Math.round(sliding / d) - 1) * d,
    () => (random.whole(0, 9) * sliding) / 10,
    () => random.between(0, 0.09 * sliding),
    () => random.between(0.9 * sliding, sliding),
  ];
  return Object.fromEntries(
    model.beams.map(({ key, top, notch }, at) => {
      if (notch === null)
        return [key, tidy(Math.min(sliding - d / 10, round(random.pick(places)(), d / 10)))];
      const last = Math.min(9, Math.round(top / notch));
      const digit =
        at === 0
          ? random.chance(0.15)
            ? 0
            : random.whole(1, last)
          : random.pick([0, last, random.whole(0, last), random.whole(0, last), random.whole(0, last)]);
      return [key, digit * notch];
    }),
  );
}

const round = (grams: number, step: number): number => Math.round(grams / step) * step;
