import type { Conventions } from '../conventions';
import { percentError, type PercentError } from '../density/percentError';
import { Decimal, parseNumber, withUnit, writeAtPlace, type Quantity, type WrittenNumber } from '../figures';
import { suspectOutlier, type Line, type LinePoint, type Summary } from '../statistics';
import {
  budgetOf,
  expanded,
  writePlusMinus,
  type BudgetLine,
  type Contribution,
  type Expanded,
  type PlusMinus,
} from '../uncertainty';
import type { ModelInputs, ResultModel } from './inputs';
import type { ResultPlan } from './investigation';
import { writtenValue } from './trials';
import { combineTypeAandB } from './combination';

/** A value of one trial that a result is made of. */
export interface TrialValue {
  readonly trial: number;
  readonly value: Quantity;
}

/** One result of a logbook: ± where the class writes it, else by figures. */
export interface Result {
  readonly plan: ResultPlan;
  readonly n: number;
  readonly values: readonly TrialValue[];
  /** Of the trials' values; null for what is no mean. */
  readonly summary: Summary | null;
  readonly value: Quantity;
  readonly valueText: string;
  /** The spread as the class states it, and what it is called; null for fewer than two values. */
  readonly spreadText: string | null;
  readonly spreadName: string;
  /** By repeating; in the result's unit; null for one trial, or where trials share readings. */
  readonly typeA: number | null;
  readonly typeB: number;
  readonly uncertainty: number | null;
  readonly plusMinus: PlusMinus | null;
  /** For 95 %, where the class works with standard uncertainties. */
  readonly expanded: (Expanded & { readonly text: string }) | null;
  /** What the logbook states: `(8.41 ± 0.06) g/cm³`, or `8.4 g/cm³` by figures. */
  readonly text: string;
  readonly percentError: PercentError | null;
  /** What each source adds to the uncertainty, the largest first; empty where the class works by figures. */
  readonly budget: readonly BudgetLine[];
  readonly contributions: readonly Contribution[];
  /** True where trials share readings, so that s/√n does not hold. */
  readonly shares: boolean;
  /** What the means of the inputs give, where that parts from the mean of the results by more than a fifth of the uncertainty. */
  readonly otherAverage: string | null;
  readonly line: Line | null;
  readonly points: readonly (LinePoint & { readonly trial: number })[];
  /** For other ways of combining; null for a line. */
  readonly model: ResultModel | null;
  /** A value that lies apart, in words; only ever a suggestion. */
  readonly suspect: { readonly trial: number; readonly sentence: string } | null;
}

export type Unwritten = Pick<
  Result,
  | 'values'
  | 'summary'
  | 'value'
  | 'shares'
  | 'model'
  | 'contributions'
  | 'typeB'
  | 'typeA'
  | 'line'
  | 'points'
> & {
  readonly degrees: number;
  /** What averaging the other way gives, and how far that is from the value. */
  readonly otherAverage: { readonly text: string; readonly apart: number } | null;
};

export function finish(
  plan: ResultPlan,
  { investigation, conventions }: ModelInputs,
  made: Unwritten,
): Result {
  const { value, summary, typeA, typeB, contributions, degrees, otherAverage } = made;
  const figuresOnly = conventions.combining === 'figures-only';
  const uncertainty = figuresOnly ? null : combineTypeAandB(typeA ?? 0, typeB, conventions);
  const plusMinus =
    uncertainty !== null && uncertainty > 0
      ? writePlusMinus(
          value.value,
          new Decimal(uncertainty),
          plan.unit,
          conventions.uncertaintyDigits,
          conventions.rounding,
        )
      : null;
  const repeat: Contribution[] =
    typeA === null ? [] : [{ source: 'scatter of the trials', kind: 'repeat', contribution: typeA, degrees }];
  const all = [...contributions, ...repeat];
  const valueText = writtenValue(value, conventions);
  const accepted = acceptedOf(plan);
  const error =
    accepted &&
    percentError(value, accepted, { ...conventions, bands: investigation.bands ?? conventions.bands });
  return {
    plan,
    values: made.values,
    summary,
    value,
    typeA,
    typeB,
    shares: made.shares,
    otherAverage: otherAverage && (uncertainty ?? 0) <= 5 * otherAverage.apart ? otherAverage.text : null,
    line: made.line,
    points: made.points,
    model: made.model,
    n: summary?.n ?? made.points.length,
    valueText,
    ...spreadOf(summary, conventions),
    uncertainty,
    plusMinus,
    expanded:
      plusMinus && conventions.plusMinus === 'standard' ? expandedText(all, plan, value, conventions) : null,
    text: plusMinus?.text ?? withUnit(valueText, plan.unit),
    percentError: error,
    budget: plusMinus ? budgetOf(all) : [],
    contributions: all,
    suspect: suspectOf(made.values, plan.unit),
  };
}

/** Sources that vanish from a result: a reason for measuring by difference. Rounding leaves less than a billionth of the value. */
export const cancelledIn = ({ contributions, value }: Pick<Result, 'contributions' | 'value'>): string[] =>
  contributions
    .filter(
      ({ kind, contribution: amount }) =>
        kind === 'offset' && Math.abs(amount) < 1e-9 * Math.abs(value.value.toNumber()),
    )
    .map(({ source }) => source);

function expandedText(
  all: readonly Contribution[],
  plan: ResultPlan,
  value: Quantity,
  conventions: Conventions,
) {
  const whole = expanded(all);
  const { text } = writePlusMinus(
    value.value,
    new Decimal(whole.size),
    plan.unit,
    conventions.uncertaintyDigits,
    conventions.rounding,
  );
  return { ...whole, text };
}

function suspectOf(values: readonly TrialValue[], unit: string): Result['suspect'] {
  const found = suspectOutlier(values.map(({ value }) => value.value));
  const value = found && values[found.at];
  if (!found || !value) return null;
  return {
    trial: value.trial,
    sentence:
      `Trial ${value.trial} (${value.value.value.toSignificantDigits(4).toString()} ${unit}) lies apart from the others by ${found.test}’s test ` +
      `(${found.statistic.toFixed(2)}, beyond ${found.critical.toFixed(2)}). Look for a cause; only you exclude it, with a reason.`,
  };
}

/** An accepted value of 0 has no percent error, and one that is not a number is none. */
function acceptedOf({ accepted }: ResultPlan): WrittenNumber | null {
  const parsed = accepted && parseNumber(accepted.value);
  return parsed?.ok && !parsed.number.value.isZero() ? parsed.number : null;
}

/** The spread of the trials, by the class's way of stating it. */
function spreadOf(
  summary: Summary | null,
  { spread }: Conventions,
): Pick<Result, 'spreadText' | 'spreadName'> {
  const rows: Record<Conventions['spread'], readonly [name: string, of: Decimal | null | undefined]> = {
    'standard-deviation': ['Standard deviation', summary?.standardDeviation],
    'sd-of-mean': ['Standard deviation of the mean', summary?.sdOfMean],
    'mean-absolute-deviation': ['Mean absolute deviation', summary?.meanAbsoluteDeviation],
    'half-range': ['Half the range', summary?.halfRange],
  };
  const [spreadName, of] = rows[spread];
  const stated = summary && summary.n >= 2 ? of : null;
  // Equal trials leave the noise of sixty digits behind.
  const none = stated?.abs().lt(summary?.mean.abs().times('1e-40') ?? 0) ?? true;
  return { spreadName, spreadText: stated ? (none ? '0' : writeAtPlace(stated, stated.e - 1)) : null };
}
