import type { Compared } from './judged';
import type { Shown } from './shown';
import type { ComparisonVerdict } from './verdict';

/** Every verdict, in the order in which they are told. */
export const verdictsOf = ({ moreAccurate, morePrecise, biases, differ }: Compared): ComparisonVerdict[] => [
  ...moreAccurate,
  ...morePrecise,
  ...biases,
  ...differ,
];

/**
 * What is told at once: whatever is carried, and of the rest only what the best group might have claimed. That groups differ is told
 * where nothing says which of them is right.
 */
export function toldOf(all: Compared): ComparisonVerdict[] {
  const { nearest, closest } = all;
  const best = new Set([nearest?.key, closest?.key]);
  return verdictsOf(all).filter(
    ({ carried, claim, of: [first] }) =>
      (carried && (claim !== 'differ' || nearest === null)) ||
      (claim === 'more accurate' && first === nearest?.key) ||
      (claim === 'more precise' && first === closest?.key) ||
      (claim === 'biased' && best.has(first)),
  );
}

/** The groups from best to worst, those of which a size is known. */
const ranked = (shown: readonly Shown[], by: (one: Shown) => number | null): Shown[] =>
  shown
    .flatMap((one) => {
      const size = by(one);
      return size === null ? [] : [{ one, size }];
    })
    .sort((a, b) => a.size - b.size)
    .map(({ one }) => one);

/** From the smallest error on. */
export const byTrueness = (shown: readonly Shown[]): Shown[] =>
  ranked(shown, ({ error }) => (error === null ? null : Math.abs(error)));

/** From the smallest spread on. */
export const byPrecision = (shown: readonly Shown[]): Shown[] => ranked(shown, ({ sd }) => sd);
