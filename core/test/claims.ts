import {
  biases,
  differ,
  moreAccurate,
  morePrecise,
  type ClaimKind,
  type Sample,
  type ComparisonVerdict,
} from '../src/compare';
import { seeded, type Random } from '../src/chance/random';
import { withoutStructure } from '../src/statistics';

/** A class whose truth is known: what its groups are off, in steps, and how they scatter. */
export interface ClaimCell {
  readonly name: string;
  readonly claim: ClaimKind;
  readonly groups: readonly { readonly off: number; readonly sd: number; readonly n?: number }[];
  /** Trials of a group that does not say. */
  readonly n: number;
  readonly tails: 'normal' | 'heavy';
  /** True for a cell with a real difference: then it is power that is counted. */
  readonly real?: boolean;
}

const judges: Readonly<Record<ClaimKind, (samples: readonly Sample[]) => ComparisonVerdict[]>> = {
  biased: biases,
  'more accurate': moreAccurate,
  'more precise': morePrecise,
  differ,
};

/** Normal, or Student’s with three degrees of freedom, brought to a standard deviation of 1. */
function draw(random: Random, tails: ClaimCell['tails']): number {
  const z = random.normal();
  if (tails === 'normal') return z;
  const chi = random.normal() ** 2 + random.normal() ** 2 + random.normal() ** 2;
  return z / Math.sqrt(chi / 3) / Math.sqrt(3);
}

/** One group of one class, read to a step of 1 whose lines stand anywhere. */
function sampled(key: string, group: ClaimCell['groups'][number], cell: ClaimCell, random: Random): Sample {
  const { off, sd, n = cell.n } = group;
  const lines = random.next();
  const values = Array.from({ length: n }, () => {
    const value = off + sd * draw(random, cell.tails);
    return Math.round(value + lines) - lines;
  });
  const mean = values.reduce((sum, value) => sum + value, 0) / n;
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (n - 1);
  const sorted = [...values].sort((a, b) => a - b);
  const median = ((sorted[(n - 1) >> 1] ?? 0) + (sorted[n >> 1] ?? 0)) / 2;
  return {
    key,
    n,
    mean,
    error: mean,
    variance,
    // Whole steps apart: what rounding of binary numbers leaves is none.
    distances: withoutStructure(values.map((value) => Math.round(2 * Math.abs(value - median)) / 2)),
    step: 1,
    uRef: 0,
    shared: null,
  };
}

/** Whether a claim is true of the groups that it is of. */
function isTrue({ claim, of }: ComparisonVerdict, { groups }: ClaimCell): boolean {
  const own = of.map((key) => groups[Number(key)] ?? { off: 0, sd: 1 });
  const [a, b] = own;
  if (!a) return false;
  if (claim === 'biased') return a.off !== 0;
  if (claim === 'more accurate') return b !== undefined && Math.abs(a.off) < Math.abs(b.off);
  if (claim === 'more precise') return b !== undefined && a.sd < b.sd;
  return own.some(({ off }) => off !== a.off);
}

/** In how many classes at least one claim is false, and in how many at least one is true. */
export function claimsIn(
  cell: ClaimCell,
  classes: number,
  seed: number,
): { readonly wrong: number; readonly right: number } {
  const random = seeded(seed);
  let [wrong, right] = [0, 0];
  for (let at = 0; at < classes; at += 1) {
    const samples = cell.groups.map((group, key) => sampled(String(key), group, cell, random));
    const carried = judges[cell.claim](samples).filter((verdict) => verdict.carried);
    const truths = carried.map((verdict) => isTrue(verdict, cell));
    if (truths.includes(false)) wrong += 1;
    if (truths.includes(true)) right += 1;
  }
  return { wrong, right };
}

const alike = (k: number, off: number, sd: number) => Array.from({ length: k }, () => ({ off, sd }));
const signs = (k: number, off: number, sd: number) =>
  Array.from({ length: k }, (_, at) => ({ off: at % 2 === 0 ? off : -off, sd }));
const spreads = (k: number, off: number, sd: number) =>
  Array.from({ length: k }, (_, at) => ({ off, sd: at % 2 === 0 ? sd : 4 * sd }));

/** Groups of which one has few trials and the next many. */
const unlike = (ns: readonly number[], off: number, sds: readonly number[] = [1]) =>
  ns.map((n, at) => ({ off, sd: sds[at % sds.length] ?? 1, n }));

const cell = (
  claim: ClaimKind,
  what: string,
  groups: ClaimCell['groups'],
  n: number,
  tails: ClaimCell['tails'] = 'normal',
  real = false,
): ClaimCell => ({
  name: `${claim}: ${what}, ${groups.length} of ${[...new Set(groups.map((own) => own.n ?? n))].join(' and ')}${tails === 'heavy' ? ', heavy tails' : ''}`,
  claim,
  groups,
  n,
  tails,
  ...(real ? { real } : {}),
});

/** Every cell: no true difference, a partial null, and true differences for the power. SDs in steps. */
export const claimCells: readonly ClaimCell[] = [
  // A bias that is not there.
  ...[3, 5, 10].flatMap((n) => [0.5, 1, 2].map((sd) => cell('biased', `none, SD ${sd}`, alike(4, 0, sd), n))),
  cell('biased', 'none, SD 1', alike(10, 0, 1), 5),
  cell('biased', 'none, SD 1', alike(1, 0, 1), 5, 'heavy'),
  cell('biased', 'none, SD 1', alike(4, 0, 1), 5, 'heavy'),
  cell('biased', 'half of them', [...alike(3, 0, 1), ...alike(3, 4, 1)], 5),
  // As near as each other.
  ...[0.5, 1, 2].map((sd) => cell('more accurate', `all right, SD ${sd}`, alike(2, 0, sd), 4)),
  ...[3, 5, 10].flatMap((n) => [
    cell('more accurate', 'off alike by 10', alike(5, 10, 1), n),
    cell('more accurate', 'off by 10 either way', signs(5, 10, 1), n),
  ]),
  cell('more accurate', 'all right, spreads 1 to 4', spreads(2, 0, 0.5), 5),
  cell('more accurate', 'off alike by 10, spreads 1 to 4', spreads(4, 10, 0.5), 5),
  cell('more accurate', 'off by 10 either way', signs(10, 10, 1), 5),
  cell('more accurate', 'off by 10 either way', signs(4, 10, 1), 5, 'heavy'),
  cell('more accurate', 'off alike by 10', alike(4, 10, 1), 8, 'heavy'),
  cell('more accurate', 'half of them nearer', [...alike(3, 0, 1), ...alike(3, 6, 1)], 5),
  // The same where one has many trials and another few.
  cell('more accurate', 'off alike by 10', unlike([2, 20], 10), 2),
  cell('more accurate', 'off alike by 10, SD 4 and 1', unlike([2, 20], 10, [4, 1]), 2),
  cell('more accurate', 'off alike by 10, SD 1 and 4', unlike([2, 20], 10, [1, 4]), 2),
  cell('more accurate', 'off alike by 10', unlike([2, 2, 2, 12, 12, 12], 10), 2),
  cell('differ', 'alike, SD 1', unlike([2, 20], 0), 2),
  cell('differ', 'alike, SD 2 and 0.5', unlike([3, 12], 0, [2, 0.5]), 3),
  cell('differ', 'alike, SD 1', unlike([2, 2, 2, 12, 12, 12], 0), 2),
  cell('differ', 'alike, SD 1', unlike([6, 6, 12, 12], 0), 6),
  // As near to each other.
  ...[5, 6, 8, 12].flatMap((n) =>
    [0.7, 1, 2].map((sd) => cell('more precise', `alike, SD ${sd}`, alike(2, 0, sd), n)),
  ),
  cell('more precise', 'alike, SD 1', alike(5, 0, 1), 5),
  cell('more precise', 'alike, SD 1', alike(5, 0, 1), 8),
  cell('more precise', 'alike, SD 2', alike(10, 0, 2), 6),
  cell('more precise', 'half of them', [...alike(3, 0, 0.8), ...alike(3, 0, 3.2)], 8),
  // All the same.
  ...[3, 5, 10].map((n) => cell('differ', 'alike, SD 1', alike(4, 0, 1), n)),
  cell('differ', 'alike, SD 1', alike(2, 0, 1), 4),
  cell('differ', 'alike, spreads 1 to 4', spreads(4, 0, 0.5), 5),
  cell('differ', 'alike, SD 0.5', alike(8, 0, 0.5), 5),
  cell('differ', 'alike, SD 1', alike(4, 0, 1), 5, 'heavy'),
  cell('differ', 'half of them', [...alike(2, 0, 1), ...alike(2, 5, 1)], 5),
  // What is there, and how often it is found.
  cell('biased', 'all by 1 SD', alike(3, 1, 1), 10, 'normal', true),
  cell('biased', 'all by 2 SD', alike(3, 2, 1), 5, 'normal', true),
  cell(
    'more accurate',
    '0 and 2 SD',
    [
      { off: 0, sd: 1 },
      { off: 2, sd: 1 },
    ],
    8,
    'normal',
    true,
  ),
  cell(
    'more precise',
    '1 to 4',
    [
      { off: 0, sd: 1 },
      { off: 0, sd: 4 },
    ],
    8,
    'normal',
    true,
  ),
  cell('differ', 'one of four by 2 SD', [...alike(3, 0, 1), { off: 2, sd: 1 }], 8, 'normal', true),
];

/** The largest share of classes with a false claim that is still 5 %, by four errors of the simulation. */
export const mostFalse = (classes: number): number => 0.05 + 4 * Math.sqrt((0.05 * 0.95) / classes);
