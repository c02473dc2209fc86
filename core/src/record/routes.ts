import { agreement } from '../statistics';
import { dualOf, effectiveDegrees, propagate, type Contribution } from '../uncertainty';
import { scatterOfTrials, type MeanResult, type Result, type ValueResult } from './result';

/** Two results that ought to be the same, and how far they are. */
export interface RouteAgreement {
  readonly first: Result;
  readonly other: Result;
  /** Their difference over its uncertainty. */
  readonly times: number;
  readonly verdict: ReturnType<typeof agreement>['verdict'];
  readonly surer: Result;
}

/** Every pair of results that are declared to be the same quantity, held against each other by the uncertainty of their difference. */
export const agreementOfRoutes = (results: readonly Result[]): RouteAgreement[] =>
  pairsOf(results).flatMap(([first, other]): RouteAgreement[] => {
    if (first.uncertainty === null || other.uncertainty === null) return [];
    const parts = partsOfDifference(first, other);
    const { times, verdict } = agreement(
      other.value.value.minus(first.value.value).toNumber(),
      Math.hypot(...parts.map(({ contribution }) => contribution)),
      effectiveDegrees(parts),
    );
    return [{ first, other, times, verdict, surer: first.uncertainty <= other.uncertainty ? first : other }];
  });

/** Results of which nobody said that they are the same quantity are never held against each other, whatever their unit. */
const pairsOf = (results: readonly Result[]): (readonly [Result, Result])[] =>
  results.flatMap((first, at) =>
    results
      .slice(at + 1)
      .filter(
        ({ plan }) =>
          plan.quantity !== undefined &&
          plan.quantity === first.plan.quantity &&
          plan.unit === first.plan.unit,
      )
      .map((other) => [first, other] as const),
  );

/**
 * Of the difference of two results, as one model: what they share enters with its own sign, cancelling or adding
 * (JCGM 100:2008, 5.2). Trials of one table scatter row by row.
 */
export const uncertaintyOfDifference = (first: Result, other: Result): number =>
  Math.hypot(...partsOfDifference(first, other).map(({ contribution }) => contribution));

function partsOfDifference(first: Result, other: Result): Pick<Contribution, 'contribution' | 'degrees'>[] {
  const rows = rowByRow(first, other) ?? throughReadings(first, other) ?? throughReadings(other, first);
  const parts = new Map<string, Pick<Contribution, 'contribution' | 'degrees'>>();
  const add = (result: Result, sign: 1 | -1) => {
    for (const part of result.contributions) {
      if (rows !== null && (ownScatter(part) || (result.kind === 'value' && part.kind === 'repeat')))
        continue;
      // What scatters by itself in each of them is not one cause, though it is called alike.
      const source = ownScatter(part) ? `${result.plan.key}: ${part.source}` : part.source;
      const contribution = (parts.get(source)?.contribution ?? 0) + sign * part.contribution;
      parts.set(source, { contribution, ...(part.degrees === undefined ? {} : { degrees: part.degrees }) });
    }
  };
  add(other, 1);
  add(first, -1);
  return [...parts.values(), ...(rows ? [rows] : [])];
}

const ownScatter = ({ kind, source }: Contribution): boolean =>
  kind === 'repeat' && source === scatterOfTrials;

/** The scatter of the mean difference of two results of the same trials; null where they have none in common. */
function rowByRow(first: Result, other: Result): Pick<Contribution, 'contribution' | 'degrees'> | null {
  const [a, b] = [first, other].map((result) => (isAfresh(result) ? result : null));
  if (!a || !b || a.table !== b.table) return null;
  const z = a.values.flatMap(({ trial, value }) => {
    const match = b.values.find((candidate) => candidate.trial === trial);
    return match ? [match.value.value.minus(value.value).toNumber()] : [];
  });
  const n = z.length;
  if (n < 2 || n < a.n || n < b.n) return null;
  const mean = z.reduce((sum, value) => sum + value, 0) / n;
  const squares = z.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return { contribution: Math.sqrt(squares / (n - 1) / n), degrees: n - 1 };
}

/**
 * A line against what the same readings give another way: one standard deviation s for each reading, s·√Σ(c₁ − c₂)²; null where
 * they have none in common.
 */
function throughReadings(line: Result, other: Result): Pick<Contribution, 'contribution' | 'degrees'> | null {
  if (line.kind !== 'line' || !line.carried || (other.kind === 'value' && repeatsIn(other) > 1)) return null;
  const { by, sd } = line.carried;
  const otherBy = other.kind === 'line' ? other.carried?.by : sensitivitiesOf(other);
  if (!otherBy || ![...by.keys()].some((name) => otherBy.has(name))) return null;
  const apart = [...by].map(([name, amount]) => amount - (otherBy.get(name) ?? 0));
  return { contribution: sd * Math.hypot(...apart), degrees: line.line.degrees };
}

const repeatsIn = ({ contributions }: Result): number =>
  contributions.filter(({ kind }) => kind === 'repeat').length;

const sensitivitiesOf = ({ model }: MeanResult | ValueResult): ReadonlyMap<string, number> =>
  propagate((input) => dualOf(model.term, input), model.inputs).sensitivities;

const isAfresh = (result: Result): result is MeanResult => result.kind === 'mean' && result.way === 'afresh';
