import type { Conventions } from '../../conventions';
import { inUnit, writeAtPlace, type Decimal, type Quantity } from '../../figures';
import { summarize, suspectOutlier, type Summary } from '../../statistics';
import { parseProduct } from '../../units';
import { inResultUnit, instrumentUncertainty, typeAOf } from '../combination';
import { sharesReadings } from '../formula';
import { Inputs, Unfinished, type ModelInputs } from '../inputs';
import { columnOf, type MeanPlan } from '../investigation';
import { stated, type MeanResult, type TrialValue } from '../result';
import { valueIn } from '../trials';
import { atMeans } from './atMeans';

/** The mean of a derived column over the trials that count. */
export function meanResult(plan: MeanPlan, modelInputs: ModelInputs): MeanResult {
  const { investigation, conventions } = modelInputs;
  const found = columnOf(investigation, plan.column);
  if (!found) throw new RangeError(`There is no column “${plan.column}”.`);
  const { column, table } = found;
  const rows = modelInputs.trials[table.key] ?? [];
  const counting = rows.filter(({ standing }) => standing === 'counts');
  const unit = parseProduct(plan.unit);
  const values = counting.flatMap((trial): TrialValue[] => {
    const value = valueIn(trial, column);
    return value ? [{ trial: trial.trial, value: inUnit(value, unit) }] : [];
  });
  if (values.length === 0) throw new Unfinished('It appears here as soon as one trial is complete.');
  const summary = summarize(values.map(({ value }) => value.value));
  const places = values.flatMap(({ value }) => value.lastPlace ?? []);
  const lastPlace = places.length === 0 ? null : Math.max(...places);
  const shares = column.kind === 'derived' && sharesReadings(investigation, column, table);
  const formula = column.kind === 'derived' ? column.formula : column.key;
  const inputs = new Inputs(modelInputs);
  const model = inResultUnit(
    shares ? inputs.overTrials(formula, table, counting) : inputs.atMeans(formula, table),
    plan,
  );
  // The result of the mean inputs, by the same formula.
  const ofMeans =
    column.kind === 'derived' && !shares ? inUnit(atMeans(formula, table, modelInputs), unit) : null;
  const chosen = conventions.averaging === 'inputs' && ofMeans ? ofMeans.value : summary.mean;
  const value: Quantity = { value: chosen, lastPlace, unit, point: false };
  const other = conventions.averaging === 'inputs' ? summary.mean : (ofMeans?.value ?? null);
  const made = stated(plan, modelInputs, {
    value,
    ...instrumentUncertainty(model, conventions),
    typeA: shares ? null : typeAOf(summary, conventions),
    degrees: summary.n - 1,
  });
  return {
    kind: 'mean',
    plan,
    n: summary.n,
    values,
    summary,
    shares,
    model,
    ...spreadOf(summary, conventions),
    ...made,
    otherAverage: otherAverage(plan, value, other, made.uncertainty),
    suspect: suspectOf(values, plan.unit),
  };
}

/** What the other way of averaging gives, where that parts from the value by more than a fifth of the uncertainty. */
function otherAverage(
  { unit }: MeanPlan,
  { value, lastPlace }: Quantity,
  other: Decimal | null,
  uncertainty: number | null,
): string | null {
  if (other === null || lastPlace === null) return null;
  const text = writeAtPlace(other, lastPlace);
  const apart = other.minus(value).abs().toNumber();
  return text !== writeAtPlace(value, lastPlace) && (uncertainty ?? 0) <= 5 * apart
    ? `${text} ${unit}`
    : null;
}

function suspectOf(values: readonly TrialValue[], unit: string): MeanResult['suspect'] {
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

/** The spread of the trials, by the class's way of stating it. */
function spreadOf(summary: Summary, { spread }: Conventions): Pick<MeanResult, 'spreadText' | 'spreadName'> {
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
