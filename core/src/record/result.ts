import { percentError, type PercentError } from '../density/percentError';
import type { Conventions } from '../conventions';
import { Decimal, parseNumber, withUnit, type Quantity, type WrittenNumber } from '../figures';
import type { Line, LinePoint, Summary } from '../statistics';
import {
  budgetOf,
  expanded,
  writePlusMinus,
  type BudgetLine,
  type Contribution,
  type Expanded,
  type PlusMinus,
} from '../uncertainty';
import { combineTypeAandB } from './combination';
import type { ModelInputs, ResultModel } from './modelInputs';
import type { LinePlan, MeanPlan, Replicates, ResultPlan, ValuePlan } from './investigation';
import { writtenValue } from './trials';

/** A value of one trial that a result is made of. */
export interface TrialValue {
  readonly trial: number;
  readonly value: Quantity;
}

/** What is stated of any result: ± where the class writes it, else by figures. */
export interface Stated {
  readonly value: Quantity;
  readonly valueText: string;
  /** By repeating, in the result's unit; null for one trial. */
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
}

/** The mean of trials. */
export interface MeanResult extends Stated {
  readonly kind: 'mean';
  readonly plan: MeanPlan;
  /** The table whose trials it averages. */
  readonly table: string;
  readonly n: number;
  readonly values: readonly TrialValue[];
  /** Trials that count and are not averaged, because they do not lie near enough to the others. */
  readonly apart: readonly number[];
  readonly summary: Summary;
  /** The spread as the class states it, and what it is called; null for fewer than two values. */
  readonly spreadText: string | null;
  readonly spreadName: string;
  /** How the trials share. */
  readonly way: Replicates;
  /** Where they share: what the readings amount to by themselves, in the result's unit; else 0. */
  readonly readings: number;
  /** What the means of the inputs give, where that parts from the mean of the results by more than a fifth of the uncertainty. */
  readonly otherAverage: string | null;
  /** A value that lies apart, in words; only ever a suggestion. */
  readonly suspect: { readonly trial: number; readonly sentence: string } | null;
  /** For other ways of combining. */
  readonly model: ResultModel;
}

/** A formula over means. */
export interface ValueResult extends Stated {
  readonly kind: 'value';
  readonly plan: ValuePlan;
  readonly model: ResultModel;
}

/** A straight line through the trials, and what is asked of it. */
export interface LineResult extends Stated {
  readonly kind: 'line';
  readonly plan: LinePlan;
  /** How many points it goes through. */
  readonly n: number;
  readonly line: Line;
  readonly points: readonly (LinePoint & { readonly trial: number })[];
  /**
   * Its scatter by the readings that carry it: what the result gains by one base unit more of each, by the name of its input,
   * and the standard deviation of one of them; null where the readings by themselves count for more.
   */
  readonly carried: { readonly by: ReadonlyMap<string, number>; readonly sd: number } | null;
}

/** One result of a logbook. */
export type Result = MeanResult | ValueResult | LineResult;
export type ResultOf<Kind extends Result['kind']> = Extract<Result, { readonly kind: Kind }>;

/** What a budget calls the trials’ own scatter. */
export const scatterOfTrials = 'scatter of the trials';

/** What a result comes to before it is stated. */
type Unstated = Pick<Stated, 'value' | 'contributions' | 'typeA' | 'typeB'> & {
  readonly degrees: number;
  /** What the repeat part is called in a budget. */
  readonly repeats?: string;
  /** The same uncertainty looked at another way: of the two expanded ones the larger is stated. */
  readonly rival?: readonly Contribution[];
};

/** States a result as the class does. */
export function stated(
  plan: ResultPlan,
  { investigation, conventions }: Pick<ModelInputs, 'investigation' | 'conventions'>,
  { value, typeA, typeB, contributions, degrees, repeats = scatterOfTrials, rival = [] }: Unstated,
): Stated {
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
    typeA === null ? [] : [{ source: repeats, kind: 'repeat', contribution: typeA, degrees }];
  const all = [...contributions, ...repeat];
  const valueText = writtenValue(value, conventions);
  const accepted = acceptedOf(plan);
  return {
    value,
    typeA,
    typeB,
    valueText,
    uncertainty,
    plusMinus,
    expanded:
      plusMinus && conventions.plusMinus === 'standard'
        ? expandedText([all, rival], plan, value, conventions)
        : null,
    text: plusMinus?.text ?? withUnit(valueText, plan.unit),
    percentError:
      accepted &&
      percentError(value, accepted, { ...conventions, bands: investigation.bands ?? conventions.bands }),
    budget: plusMinus ? budgetOf(all) : [],
    contributions: all,
  };
}

/** Sources that vanish from a result: a reason for measuring by difference. Rounding leaves less than a billionth of the value. */
export const cancelledIn = ({ contributions, value }: Pick<Stated, 'contributions' | 'value'>): string[] =>
  contributions
    .filter(
      ({ kind, contribution: amount }) =>
        kind === 'offset' && Math.abs(amount) < 1e-9 * Math.abs(value.value.toNumber()),
    )
    .map(({ source }) => source);

function expandedText(
  ways: readonly (readonly Contribution[])[],
  plan: ResultPlan,
  value: Quantity,
  conventions: Conventions,
) {
  const whole = ways.map(expanded).reduce((largest, other) => (other.size > largest.size ? other : largest));
  const { text } = writePlusMinus(
    value.value,
    new Decimal(whole.size),
    plan.unit,
    conventions.uncertaintyDigits,
    conventions.rounding,
  );
  return { ...whole, text };
}

/** An accepted value of 0 has no percent error, and one that is not a number is none. */
function acceptedOf({ accepted }: ResultPlan): WrittenNumber | null {
  const parsed = accepted && parseNumber(accepted.value);
  return parsed?.ok && !parsed.number.value.isZero() ? parsed.number : null;
}
