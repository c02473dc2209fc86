import { seeded } from '../chance/random';
import {
  anovaOf,
  behrensFisher,
  holm,
  meansDifferP,
  studentQuantile,
  trialsFor,
  welchOf,
  type FisherTest,
  type Test,
} from '../statistics';
import { ofMean, varianceAtLeast, type Sample } from './sample';
import { claimLevel, type ClaimKind, type Settles, type ComparisonVerdict } from './verdict';

// The rules by which a claim is carried at the sample sizes of a classroom; docs/statistics.md shows by simulation that they keep their promise.

type Pair = readonly [Sample, Sample];
const pairsOf = (samples: readonly Sample[]): Pair[] =>
  samples.flatMap((a, at) => samples.slice(at + 1).map((b): Pair => [a, b]));

/** What is found before the correction for how many claims there are. */
interface Found {
  readonly of: readonly string[];
  readonly size: number;
  readonly test: (Test | FisherTest) | null;
  /** Where it is not tested: why. */
  readonly open?: Settles;
  /** How many trials in each group would show it, at a level. */
  readonly trials: (level: number) => number | null;
  readonly n: number;
}

function verdicts(claim: ClaimKind, test: string, found: readonly Found[]): ComparisonVerdict[] {
  const tested = found.flatMap((own) => (own.test ? own.test.p : []));
  const corrected = holm(tested);
  let at = 0;
  return found.map((own): ComparisonVerdict => {
    const { of, size, n } = own;
    if (!own.test)
      return { claim, of, size, carried: false, evidence: null, settles: own.open ?? { by: 'never' } };
    const p = corrected[at] ?? 1;
    at += 1;
    const df = 'df' in own.test ? [own.test.df] : [own.test.df1, own.test.df2];
    const evidence = { test, statistic: own.test.statistic, df, p };
    const carried = p < claimLevel;
    return {
      claim,
      of,
      size,
      carried,
      evidence,
      // Asked for less often than whether it is carried, and dear.
      get settles(): Settles {
        if (carried) return { by: 'these' };
        const needed = own.trials(claimLevel / tested.length);
        return needed === null ? { by: 'never' } : { by: 'trials', more: Math.max(1, needed - n) };
      },
    };
  });
}

const never = () => null;
const twoTrials = (n: number): Settles => ({ by: 'trials', more: Math.max(1, 2 - n) });

/** Which groups lean one way: t = error/√(s²/n + step²/12 + u_ref²), by Holm over all of them. */
export const biases = (samples: readonly Sample[]): ComparisonVerdict[] =>
  verdicts(
    'biased',
    'one-sample t',
    samples.flatMap((sample): Found[] => {
      const { key, n, error, step, uRef, variance, shared } = sample;
      if (error === null) return [];
      const of = [key];
      const mean = shared
        ? { of: shared.u ** 2, df: shared.df }
        : variance === null
          ? null
          : { of: variance / n, df: n - 1 };
      const floor = step ** 2 / 12 + uRef ** 2;
      if (!mean || mean.of + floor === 0)
        return [{ of, n, size: error, test: null, open: twoTrials(n), trials: never }];
      const whole = mean.of + floor;
      return [
        {
          of,
          n,
          size: error,
          // By ν of the mean alone: what else there is makes it no surer.
          test: { ...welchOf(error, [{ of: whole, df: mean.df }]), df: mean.df },
          trials: (at) => trialsFor(error, mean.of * n, floor, at),
        },
      ];
    }),
  );

/**
 * Which of two groups lies nearer to what it should be: only where the tests of both ē_A − ē_B and ē_A + ē_B reject, which
 * |ē_A| < |ē_B| is made of; p is the larger of the two. By Holm over all pairs.
 */
export const moreAccurate = (samples: readonly Sample[]): ComparisonVerdict[] =>
  verdicts(
    'more accurate',
    't of difference and sum',
    pairsOf(samples).flatMap((pair): Found[] => {
      const [a, b] = [...pair].sort((one, other) => Math.abs(one.error ?? 0) - Math.abs(other.error ?? 0));
      if (!a || !b || a.error === null || b.error === null) return [];
      const of = [a.key, b.key];
      const n = Math.min(a.n, b.n);
      const size = Math.abs(b.error) - Math.abs(a.error);
      const [ofA, ofB] = [ofMean(a), ofMean(b)];
      if (!ofA || !ofB || ofA.of + ofB.of === 0)
        return [{ of, n, size, test: null, open: twoTrials(n), trials: never }];
      // One reference for both enters the sum alone, with twice its uncertainty: with the surer of the two.
      const reference = (a.uRef + b.uRef) ** 2;
      const difference = behrensFisher(a.error - b.error, ofA, ofB);
      const sum =
        ofA.df === ofB.df
          ? welchOf(a.error + b.error, [ofA, ofB, { of: reference, df: Infinity }])
          : ofA.df > ofB.df
            ? behrensFisher(a.error + b.error, { ...ofA, of: ofA.of + reference }, ofB)
            : behrensFisher(a.error + b.error, ofA, { ...ofB, of: ofB.of + reference });
      const weaker = difference.p > sum.p ? difference : sum;
      const least = Math.min(Math.abs(a.error - b.error), Math.abs(a.error + b.error));
      const variance = ofA.of * a.n + ofB.of * b.n;
      return [{ of, n, size, test: weaker, trials: (at) => trialsFor(least, variance, reference, at, 2) }];
    }),
  );

/** Fewer trials than this say nothing of a spread. */
export const leastForSpread = 5;
/** Values that scatter less than this share of their step are limited by it. */
const ofStep = 0.6;

/** Which of two groups scatters less, by the distances from the median. By Holm over all pairs. */
export const morePrecise = (samples: readonly Sample[]): ComparisonVerdict[] =>
  verdicts(
    'more precise',
    'Brown–Forsythe, modified',
    pairsOf(samples).flatMap((pair): Found[] => {
      const [a, b] = [...pair].sort((one, other) => (one.variance ?? 0) - (other.variance ?? 0));
      if (!a || !b || a.shared || b.shared) return [];
      const of = [a.key, b.key];
      const n = Math.min(a.n, b.n);
      const [sA, sB] = [a, b].map(({ variance }) => Math.sqrt(variance ?? 0));
      const size = (sB ?? 0) / (sA ?? 0);
      const nothing = { of, n, size, test: null, trials: never };
      if (n < leastForSpread) return [{ ...nothing, open: { by: 'five' } }];
      if ([a, b].some((own) => Math.sqrt(own.variance ?? 0) < ofStep * own.step) || sA === 0)
        return [{ ...nothing, open: { by: 'resolution' } }];
      // So coarse that all distances of a group are alike.
      if ([a, b].every(({ distances: [first, ...others] }) => others.every((one) => one === first)))
        return [{ ...nothing, open: { by: 'resolution' } }];
      const test = anovaOf([a.distances, b.distances]);
      return [{ of, n, size, test, trials: (at) => trialsForSpread(size, at) }];
    }),
  );

/** How many trials in each group would show a ratio of spreads in 80 of 100 cases: ln s is normal with variance 1/(2(n − 1)). */
function trialsForSpread(ratio: number, at: number): number | null {
  const far = Math.abs(Math.log(ratio));
  const needed = 1 + ((studentQuantile(1 - at / 2, Infinity) + studentQuantile(0.8, Infinity)) / far) ** 2;
  return needed < 10_000 ? Math.max(leastForSpread, Math.ceil(needed)) : null;
}

/** A pair of groups that do not differ as a whole. */
const withdrawn = ({ claim, of, size, evidence }: ComparisonVerdict): ComparisonVerdict => ({
  claim,
  of,
  size,
  evidence,
  carried: false,
  settles: { by: 'never' },
});

/** Groups whose numbers are not alike have so many trials at least for the bootstrap over all of them. */
const leastUnlike = 6;

/** Draws of the bootstrap, and where it begins: the same trials always give the same verdict. */
const bootstrap = { draws: 4000, seed: 20 } as const;

/**
 * Whether groups differ at all: from four on by a parametric bootstrap, of two or three by their pairs. Then which do: their pairs,
 * by Holm. The first verdict is of all of them where there are four or more, alike in number or of six trials at least: for others
 * the bootstrap does not keep its promise, and they differ where a pair does.
 */
export function differ(samples: readonly Sample[]): ComparisonVerdict[] {
  const known = samples.flatMap((sample) => {
    const mean = ofMean(sample);
    return mean && mean.of > 0 ? [{ sample, mean }] : [];
  });
  const centre = ({ mean, error }: Sample) => error ?? mean;
  const pairs = verdicts(
    'differ',
    't of two means',
    pairsOf(samples).map(([a, b]): Found => {
      const [ofA, ofB] = [ofMean(a), ofMean(b)];
      const [of, n, size] = [[a.key, b.key], Math.min(a.n, b.n), centre(a) - centre(b)];
      if (!ofA || !ofB || ofA.of + ofB.of === 0)
        return { of, n, size, test: null, open: twoTrials(n), trials: never };
      return {
        of,
        n,
        size,
        test: behrensFisher(size, ofA, ofB),
        trials: (at) => trialsFor(size, varianceAtLeast(a) + varianceAtLeast(b), 0, at, 2),
      };
    }),
  );
  if (samples.length < 4 || known.length < 4) return pairs;
  const numbers = known.map(({ mean }) => mean.df + 1);
  if (Math.min(...numbers) < leastUnlike && numbers.some((n) => n !== numbers[0])) return pairs;
  const p = meansDifferP(
    // In an order of their own, so that neither names nor rows decide which draws they get.
    known
      .map(({ sample, mean }) => ({
        mean: centre(sample),
        variance: mean.of * (mean.df + 1),
        n: mean.df + 1,
      }))
      .sort((a, b) => a.n - b.n || a.variance - b.variance || a.mean - b.mean),
    seeded(bootstrap.seed),
    bootstrap.draws,
  );
  const centres = known.map(({ sample }) => centre(sample));
  const all: ComparisonVerdict = {
    claim: 'differ',
    of: known.map(({ sample }) => sample.key),
    size: Math.max(...centres) - Math.min(...centres),
    carried: p < claimLevel,
    evidence: { test: 'parametric bootstrap', statistic: NaN, df: [], p },
    settles: p < claimLevel ? { by: 'these' } : { by: 'never' },
  };
  // Which of them differ is only asked once it is known that they do.
  return [all, ...(p < claimLevel ? pairs : pairs.map((own) => withdrawn(own)))];
}
