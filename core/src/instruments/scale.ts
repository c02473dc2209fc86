import type { Random } from '../chance/random';
import type { Misreading, Make, Setting } from './instrument';

/** Float arithmetic on scale places is trusted to this fraction of a division. */
export const slack = 1e-9;

/** A straight, evenly divided scale, in numbers. */
export interface Scale {
  readonly d: number;
  readonly labelEvery: number;
  readonly lowest: number;
  readonly highest: number;
}

export const scaleOf = (model: Make): Scale => ({
  d: Number(model.division),
  labelEvery: Number(model.labelEvery),
  lowest: Number(model.lowest),
  highest: Number(model.highest),
});

/** The numbered line at or below a place. */
export const labelBelow = ({ labelEvery, d }: Scale, at: number): number =>
  Math.floor(at / labelEvery + (slack * d) / labelEvery) * labelEvery;

/** Lines between two numbered ones, as spaces: 10 means that each is worth a tenth of the interval. */
export const spacesPerLabel = ({ labelEvery, d }: Scale): number => Math.round(labelEvery / d);

/** Tidies binary noise from a scale number before it is shown. */
export const shown = (value: number): string => String(Number(value.toPrecision(12)));

/**
 * A place on the scale that covers it with its awkward spots: anywhere, dead on a line, just under and just over
 * a numbered line, near both ends. Hundredths of a division.
 */
export function samplePlace({ d, labelEvery, lowest, highest }: Scale, random: Random): number {
  const span = highest - lowest;
  const labels = Math.floor(span / labelEvery);
  const firstLabel = Math.ceil(lowest / labelEvery) * labelEvery;
  const label = firstLabel + random.whole(0, Math.max(0, labels - 1)) * labelEvery;
  const places: readonly (() => number)[] = [
    () => random.between(lowest, highest),
    () => random.between(lowest, highest),
    () => random.between(lowest, highest),
    () => lowest + random.whole(0, Math.round(span / d)) * d,
    () => label - random.between(0.2, 0.9) * d,
    () => label + random.between(0, 0.9) * d,
    () => lowest + random.between(0, 2) * d,
    () => highest - random.between(0, 3) * d,
  ];
  const place = random.pick(places)();
  const hundredth = d / 100;
  return Number(
    (Math.round(Math.min(highest, Math.max(lowest, place)) / hundredth) * hundredth).toPrecision(12),
  );
}

/** Each line taken for something it is not worth: one unit of its place, or a tenth of the label interval. */
export function miscountedDivision<S extends Setting>(scaleFor: (setting: S) => Scale): Misreading<S> {
  return {
    code: 'miscounted-division',
    stage: 'count',
    skill: 'd',
    point: 'spaces',
    title: 'You counted the lines for something they are not worth.',
    predict: (setting, seen) => {
      const scale = scaleFor(setting);
      const label = labelBelow(scale, seen);
      const lines = (seen - label) / scale.d;
      const unitOfPlace = 10 ** Math.floor(Math.log10(scale.d) + slack);
      return [unitOfPlace, scale.labelEvery / 10]
        .filter((worth) => Math.abs(worth - scale.d) > slack)
        .map((worth) => label + lines * worth);
    },
    hint: (setting) => {
      const scale = scaleFor(setting);
      return `Count the spaces between two numbered lines: there are ${spacesPerLabel(scale)} for ${shown(
        scale.labelEvery,
      )}. So what is one space worth?`;
    },
  };
}

/** The pointer read against the numbered line one too far along. */
export function nextLabel<S extends Setting>(scaleFor: (setting: S) => Scale, unit: string): Misreading<S> {
  return {
    code: 'next-label',
    stage: 'count',
    skill: 'd',
    point: 'label',
    title: 'You counted on from the wrong numbered line.',
    predict: (setting, seen) => [seen + scaleFor(setting).labelEvery],
    hint: (setting) =>
      `Find the numbered line just below the level and start from that one. The numbered lines are ${shown(
        scaleFor(setting).labelEvery,
      )} ${unit} apart.`,
  };
}
