import { monteCarlo, parseExpression, seeded, spreadOf, termOf, type Input } from '../src';

/**
 * A million draws of a density of five inputs against a loop written by hand for the same draws and arithmetic, turn by turn
 * in one run. The sort for the interval is timed apart.
 */
const draws = 1_000_000;
const rounds = 5;
const inputs: readonly Input[] = [
  { name: 'm', value: 84.12, components: [{ source: 'm', kind: 'repeat', u: 0.05 }] },
  { name: 'a', value: 50.1, components: [{ source: 'a', kind: 'reading', u: 0.1 }] },
  { name: 'b', value: 60.2, components: [{ source: 'b', kind: 'reading', u: 0.1 }] },
  { name: 'g', value: 0, components: [{ source: 'g', kind: 'tolerance', u: 0.5 }] },
  { name: 'z', value: 0.02, components: [{ source: 'z', kind: 'offset', u: 0.01 }] },
];
const term = termOf(parseExpression('(m - z) / (b - a + g)'), (name) => ({ kind: 'input', name }));

/** Mean and standard deviation, by a loop that knows this formula alone. */
function byHand(): readonly [mean: number, sd: number] {
  const random = seeded(1);
  let [first, sum, squares] = [NaN, 0, 0];
  for (let draw = 0; draw < draws; draw += 1) {
    const m = 84.12 + 0.05 * random.normal();
    const a = 50.1 + 0.1 * (2 * random.next() - 1);
    const b = 60.2 + 0.1 * (2 * random.next() - 1);
    const g = 0.5 * (2 * random.next() - 1);
    const z = 0.02 + 0.01 * (2 * random.next() - 1);
    const density = (m - z) / (b - a + g);
    if (draw === 0) first = density;
    sum += density - first;
    squares += (density - first) ** 2;
  }
  const shift = sum / draws;
  return [first + shift, Math.sqrt((squares - draws * shift * shift) / (draws - 1))];
}

const times: { ours: number[]; hand: number[]; sort: number[] } = { ours: [], hand: [], sort: [] };
const values = new Float64Array(draws);
const timed = <T>(into: number[], work: () => T): T => {
  const began = performance.now();
  const result = work();
  into.push(performance.now() - began);
  return result;
};
for (let round = 0; round <= rounds; round += 1) {
  const ours = timed(times.ours, () => monteCarlo(term, inputs, { draws, seed: 1, standard: false }, values));
  const [, sd] = timed(times.hand, byHand);
  timed(times.sort, () => spreadOf(values));
  if (Math.abs(ours.standardDeviation / sd - 1) > 0.01) throw new Error('The two do not agree.');
}
const middle = (own: readonly number[]) => [...own.slice(1)].sort((a, b) => a - b)[rounds >> 1] ?? NaN;
console.table([
  {
    'a million draws': 'density of five inputs',
    'by hand, ms': middle(times.hand).toFixed(0),
    'ours, ms': middle(times.ours).toFixed(0),
    ratio: (middle(times.ours) / middle(times.hand)).toFixed(2),
    'sort apart, ms': middle(times.sort).toFixed(0),
  },
]);
