import { seeded } from '../chance/random';
import { sourcesOf, valueAt } from './corners';
import type { Dual } from './dual';
import type { ComponentKind, Input } from './propagate';

/** What many draws of the inputs make of a result. */
export interface Drawn {
  readonly draws: number;
  readonly mean: number;
  readonly standardDeviation: number;
  /** The shortest symmetric-in-probability interval that holds 95 of 100. */
  readonly low: number;
  readonly high: number;
}

/**
 * Monte Carlo: each source is drawn once and moves all inputs that share it (JCGM 101:2008). A repeat part is drawn from a
 * normal distribution with its size as standard deviation; what bounds (a half-width, a tolerance) from a rectangle.
 * @param standard true where sizes of bounds are standard uncertainties already: the rectangle is then √3 wider.
 * @param seed the same draws for the same seed.
 */
export function monteCarlo(
  model: (input: (name: string) => Dual) => Dual,
  inputs: readonly Input[],
  { draws, seed, standard }: { readonly draws: number; readonly seed: number; readonly standard: boolean },
): Drawn {
  const random = seeded(seed);
  const kinds = new Map<string, ComponentKind>(
    inputs.flatMap(({ components }) => components.map(({ source, kind }) => [source, kind] as const)),
  );
  const sources = sourcesOf(inputs);
  const stretch = standard ? Math.sqrt(3) : 1;
  const values = new Float64Array(draws);
  const shares = new Map<string, number>();
  for (let draw = 0; draw < draws; draw += 1) {
    for (const source of sources)
      shares.set(source, kinds.get(source) === 'repeat' ? random.normal() : stretch * random.between(-1, 1));
    values[draw] = valueAt(model, inputs, shares);
  }
  // Deviations are taken from the first value, so that a tiny spread on a large mean survives.
  const first = values[0] ?? NaN;
  const shift = values.reduce((sum, value) => sum + (value - first), 0) / draws;
  const mean = first + shift;
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  const sorted = values.sort();
  return {
    draws,
    mean,
    standardDeviation: Math.sqrt(squares / (draws - 1)),
    low: sorted[Math.floor(0.025 * draws)] ?? NaN,
    high: sorted[Math.ceil(0.975 * draws) - 1] ?? NaN,
  };
}
