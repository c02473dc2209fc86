import type { Conventions } from '../conventions';
import type { Summary } from '../statistics';
import {
  dualOf,
  inBase,
  largestSmallest,
  monteCarlo,
  propagate,
  quadrature,
  worstCase,
  type Contribution,
} from '../uncertainty';
import { parseProduct } from '../units';
import type { ResultModel } from './modelInputs';
import type { ResultPlan } from './investigation';

/** A model whose term is in the unit of the result, no longer in base units. */
export const inResultUnit = ({ term, inputs }: ResultModel, { unit }: ResultPlan): ResultModel => ({
  term: {
    kind: 'operation',
    operator: '÷',
    left: term,
    right: { kind: 'constant', value: inBase(parseProduct(unit)) },
  },
  inputs,
});

/** The instruments' part of a model, by the class's way of combining, in the result's unit. */
export function instrumentUncertainty(
  model: ResultModel,
  conventions: Conventions,
): { readonly contributions: readonly Contribution[]; readonly typeB: number } {
  const { contributions } = propagate((input) => dualOf(model.term, input), model.inputs);
  return {
    contributions,
    typeB: combinations(model, contributions, conventions)[conventions.combining](),
  };
}

/** Draws of a result that is shown at once; enough for two digits of an uncertainty. */
export const quickDraws = 20_000;

type Way = Conventions['combining'];

/** The instruments' part by every way of combining. */
export const combinations = (
  { term, inputs }: ResultModel,
  contributions: readonly Contribution[],
  { plusMinus }: Conventions,
): Readonly<Record<Way, () => number>> => ({
  'figures-only': () => quadrature(contributions),
  'worst-case': () => worstCase(contributions),
  quadrature: () => quadrature(contributions),
  'largest-smallest': () => largestSmallest((input) => dualOf(term, input), inputs).half,
  'monte-carlo': () =>
    monteCarlo(term, inputs, { draws: quickDraws, seed: 1, standard: plusMinus === 'standard' })
      .standardDeviation,
});

export function typeAOf(summary: Summary, { spread }: Conventions): number | null {
  if (summary.n < 2) return null;
  const parts = {
    'standard-deviation': summary.sdOfMean,
    'sd-of-mean': summary.sdOfMean,
    'mean-absolute-deviation': summary.meanAbsoluteDeviation,
    'half-range': summary.halfRange,
  };
  return parts[spread]?.toNumber() ?? null;
}

/** The repeat part and the instruments' part, joined as the class does. */
export function combineTypeAandB(
  repeat: number,
  instrument: number,
  { repeatAndInstrument }: Conventions,
): number {
  return {
    larger: Math.max(repeat, instrument),
    sum: repeat + instrument,
    'root-sum-square': Math.hypot(repeat, instrument),
  }[repeatAndInstrument];
}
