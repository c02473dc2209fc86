/**
 * p-values of several claims of one kind, corrected so that together they are false as seldom as one alone: the k-th smallest of m
 * times m − k + 1, none smaller than one before it (S. Holm, Scand. J. Stat. 6, 1979). In the order in which they came.
 */
export function holm(values: readonly number[]): number[] {
  const order = values.map((p, at) => ({ p, at })).sort((a, b) => a.p - b.p);
  const corrected = new Array<number>(values.length).fill(1);
  let largest = 0;
  for (const [rank, { p, at }] of order.entries()) {
    largest = Math.max(largest, Math.min(1, p * (values.length - rank)));
    corrected[at] = largest;
  }
  return corrected;
}
