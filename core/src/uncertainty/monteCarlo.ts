import { seeded, type Random } from '../chance/random';
import type { Component, Input } from './propagate';
import { compiled, type Block, type ModelEquation } from './term';

/** What many draws of the inputs make of a result. */
export interface Drawn {
  readonly draws: number;
  readonly mean: number;
  readonly standardDeviation: number;
}

/** How the draws lie. */
export interface Spread {
  /** The shortest symmetric-in-probability interval that holds 95 of 100. */
  readonly low: number;
  readonly high: number;
  /** Counts in equally wide bins from the smallest draw but one in a thousand to the largest but one. */
  readonly bins: readonly number[];
  readonly from: number;
  readonly to: number;
}

export interface Draws {
  readonly draws: number;
  /** The same draws for the same seed. */
  readonly seed: number;
  /** True where sizes of bounds are standard uncertainties already: the rectangle is then √3 wider. */
  readonly standard: boolean;
}

const blockSize = 2048;

/**
 * Monte Carlo (JCGM 101:2008): each source is drawn once and moves all inputs that share it. A repeat part is drawn from
 * Student's distribution with its degrees of freedom, or a normal one; what bounds (a half-width, a tolerance) from a
 * rectangle.
 * @param values filled with the draws where they are wanted.
 * @param told after every block, with how many are drawn.
 */
export function monteCarlo(
  term: ModelEquation,
  inputs: readonly Input[],
  { draws, seed, standard }: Draws,
  values?: Float64Array,
  told?: (drawn: number) => void,
): Drawn {
  const random = seeded(seed);
  const sources = new Map<string, Component>();
  for (const { components } of inputs)
    for (const component of components)
      if (!sources.has(component.source)) sources.set(component.source, component);
  const shares = new Map([...sources.keys()].map((source) => [source, new Float64Array(blockSize)]));
  const blocks = new Map(inputs.map(({ name }) => [name, new Float64Array(blockSize)]));
  const reckon = compiled(term, blockSize);
  // Deviations are taken from the first value, so that a tiny spread on a large mean survives.
  let first = NaN;
  let [sum, squares] = [0, 0];
  for (let done = 0; done < draws; done += blockSize) {
    const count = Math.min(blockSize, draws - done);
    for (const [source, component] of sources) draw(random, component, standard, shares.get(source));
    for (const { name, value, components } of inputs) lay(blocks.get(name), value, components, shares);
    const results = reckon(blocks);
    if (done === 0) first = results[0] ?? NaN;
    for (let at = 0; at < count; at += 1) {
      const off = (results[at] as number) - first;
      sum += off;
      squares += off * off;
    }
    values?.set(count === blockSize ? results : results.subarray(0, count), done);
    told?.(done + count);
  }
  const shift = sum / draws;
  return {
    draws,
    mean: first + shift,
    standardDeviation: Math.sqrt(Math.max(0, squares - draws * shift * shift) / (draws - 1)),
  };
}

/** One block of a source's shares of its size. */
function draw(random: Random, component: Component, standard: boolean, block: Block | undefined): void {
  if (!block) return;
  const { kind, degrees = Infinity } = component;
  const shape = component.shape ?? (kind === 'repeat' ? 'normal' : 'rectangular');
  const one: Record<typeof shape, () => number> = {
    normal: Number.isFinite(degrees) ? () => student(random, degrees) : () => random.normal(),
    rectangular: standard ? () => Math.sqrt(3) * (2 * random.next() - 1) : () => 2 * random.next() - 1,
    triangular: standard
      ? () => Math.sqrt(6) * (random.next() - random.next())
      : () => random.next() - random.next(),
  };
  const next = one[shape];
  for (let at = 0; at < blockSize; at += 1) block[at] = next();
}

/** Student's distribution with few degrees of freedom: a normal over the root of a mean of squares. */
function student(random: Random, degrees: number): number {
  let squares = 0;
  for (let one = 0; one < Math.min(degrees, 200); one += 1) squares += random.normal() ** 2;
  return random.normal() / Math.sqrt(squares / Math.min(degrees, 200));
}

function lay(
  block: Block | undefined,
  value: number,
  components: readonly Component[],
  shares: ReadonlyMap<string, Block>,
): void {
  if (!block) return;
  block.fill(value);
  for (const { source, u: size } of components) {
    const share = shares.get(source);
    if (!share) continue;
    for (let at = 0; at < blockSize; at += 1)
      block[at] = (block[at] as number) + size * (share[at] as number);
  }
}

/** The interval and the histogram of the draws. It sorts them in place. */
export function spreadOf(values: Float64Array, bins = 40): Spread {
  const sorted = values.sort();
  const share = (p: number) =>
    sorted[Math.min(sorted.length - 1, Math.max(0, Math.round(p * sorted.length)))] ?? NaN;
  const [from, to] = [share(0.001), share(0.999)];
  const counts = Array.from({ length: bins }, () => 0);
  const width = (to - from) / bins;
  for (const value of sorted) {
    const bin = width > 0 ? Math.floor((value - from) / width) : 0;
    if (bin >= 0 && bin < bins) counts[bin] = (counts[bin] ?? 0) + 1;
  }
  return { low: share(0.025), high: share(0.975), bins: counts, from, to };
}
