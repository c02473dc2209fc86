import { seeded, type Random } from '../chance/random';

/** Somebody who is to sit at a bench, with the kinds of instruments that they read steadily and those that they misread. */
export interface Seated {
  readonly id: string;
  readonly steady: readonly string[];
  readonly shaky: readonly string[];
}

export interface DrawWishes {
  /** So many at a bench, at most. */
  readonly size: number;
  /** Pairs who do not sit together, by their ids. */
  readonly apart: readonly (readonly string[])[];
  /** By chance alone, or so that what one misreads another at the bench can explain. */
  readonly by: 'chance' | 'explaining';
}

const draws = 400;

/**
 * Benches as even as can be, drawn at random: of many draws in which all wishes are kept, the one in which most misreadings meet somebody
 * who reads the same steadily; the first where chance alone decides.
 * @returns the ids bench by bench; null where nobody could be kept apart so.
 */
export function drawBenches(
  students: readonly Seated[],
  { size, apart, by }: DrawWishes,
  seed: number,
): string[][] | null {
  const random = seeded(seed);
  let best: { readonly benches: Seated[][]; readonly met: number } | null = null;
  for (let draw = 0; draw < draws; draw += 1) {
    const benches = dealt(shuffled(students, random), size);
    if (benches.some((bench) => apart.some((pair) => pair.every((id) => bench.some((own) => own.id === id)))))
      continue;
    const met = benches.reduce((sum, bench) => sum + explained(bench), 0);
    if (!best || met > best.met) best = { benches, met };
    if (by === 'chance') break;
  }
  return best && best.benches.map((bench) => bench.map(({ id }) => id));
}

/** How many misreadings at a bench somebody there can explain. */
export const explained = (bench: readonly Seated[]): number =>
  bench.reduce(
    (sum, { shaky }) =>
      sum + shaky.filter((kind) => bench.some(({ steady }) => steady.includes(kind))).length,
    0,
  );

/** Dealt out so that no bench has more than one more than another. */
function dealt(students: readonly Seated[], size: number): Seated[][] {
  const count = Math.max(1, Math.ceil(students.length / Math.max(1, size)));
  return Array.from({ length: count }, (_, at) => students.filter((__, nth) => nth % count === at));
}

/** Fisher and Yates. */
function shuffled<T>(list: readonly T[], random: Random): T[] {
  const own = [...list];
  for (let at = own.length - 1; at > 0; at -= 1) {
    const other = random.whole(0, at);
    [own[at], own[other]] = [own[other] as T, own[at] as T];
  }
  return own;
}
