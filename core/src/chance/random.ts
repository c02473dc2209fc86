import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';

/** Chance that can be replayed: the same seed gives the same draws. */
export interface Random {
  /** Uniform in [0, 1). */
  next(): number;
  /** Uniform in [low, high). */
  between(low: number, high: number): number;
  /** A whole number, both ends included. */
  whole(low: number, high: number): number;
  chance(probability: number): boolean;
  /** @throws RangeError for an empty list. */
  pick<T>(list: readonly T[]): T;
  /** Normal with mean 0 and standard deviation 1 (Box and Muller, 1958). */
  normal(): number;
}

/** Spreads neighbouring seeds over all 32-bit numbers, one to one (the finalizer of MurmurHash3). */
function spread(seed: number): number {
  const once = Math.imul(seed ^ (seed >>> 16), 0x85ebca6b);
  const twice = Math.imul(once ^ (once >>> 13), 0xc2b2ae35);
  return twice ^ (twice >>> 16);
}

/** @param seed any whole number; only its lowest 32 bits count. Neighbouring seeds give unrelated draws. */
export function seeded(seed: number): Random {
  const generator = xoroshiro128plus(spread(seed | 0));
  const next = (): number => uniformFloat64(generator);
  return {
    next,
    between: (low, high) => low + (high - low) * next(),
    whole: (low, high) => low + Math.floor(next() * (high - low + 1)),
    chance: (probability) => next() < probability,
    pick: (list) => {
      const picked = list[Math.floor(next() * list.length)];
      if (picked === undefined) throw new RangeError('There is nothing to pick from.');
      return picked;
    },
    normal: () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
  };
}

/** A seed from any text, so that a name always leads to the same draws (FNV-1a, 32 bits). */
export function seedFrom(text: string): number {
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at += 1) {
    hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193);
  }
  return hash | 0;
}
