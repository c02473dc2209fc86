import { constant, type Dual } from './dual';
import type { Input } from './propagate';

type Model = (input: (name: string) => Dual) => Dual;

/** The most sources whose corners are all looked at: 2 to this power of them. */
const mostSources = 14;

/** The values of the inputs when each source stands at its share of its size, from −1 to 1. */
export function valueAt(model: Model, inputs: readonly Input[], shares: ReadonlyMap<string, number>): number {
  const values = new Map(
    inputs.map(({ name, value, components }) => [
      name,
      components.reduce((sum, { source, u: size }) => sum + (shares.get(source) ?? 0) * size, value),
    ]),
  );
  return model((name) => constant(values.get(name) ?? NaN)).value;
}

/** Every cause of an uncertainty, once. */
export const sourcesOf = (inputs: readonly Input[]): string[] => [
  ...new Set(inputs.flatMap(({ components }) => components.map(({ source }) => source))),
];

/**
 * Largest–smallest: the result with every source at one end of its size or the other, all corners; half of what lies between
 * the largest and the smallest. A source that inputs share moves them together.
 * @throws RangeError for more than 14 sources, or where the model does.
 */
export function largestSmallest(
  model: Model,
  inputs: readonly Input[],
): { readonly smallest: number; readonly largest: number; readonly half: number } {
  const sources = sourcesOf(inputs);
  if (sources.length > mostSources)
    throw new RangeError('There are too many sources to look at all corners.');
  let [smallest, largest] = [Infinity, -Infinity];
  for (let corner = 0; corner < 2 ** sources.length; corner += 1) {
    const shares = new Map(sources.map((source, at) => [source, (corner >> at) & 1 ? 1 : -1]));
    const value = valueAt(model, inputs, shares);
    smallest = Math.min(smallest, value);
    largest = Math.max(largest, value);
  }
  return { smallest, largest, half: (largest - smallest) / 2 };
}
