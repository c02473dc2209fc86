import type { Conventions } from '../../conventions';
import { decimalOf, inUnit, writeAtPlace, type Decimal, type Quantity } from '../../figures';
import { summarize, suspectOutlier, type Summary } from '../../statistics';
import { parseProduct } from '../../units';
import { inResultUnit, instrumentUncertainty, typeAOf } from '../combination';
import { planned } from '../byPlan';
import { sharesReadings } from '../formula';
import { dualOf, propagate, quadrature } from '../../uncertainty';
import { Inputs } from '../inputs';
import { Unfinished, type ModelInputs, type ResultModel } from '../modelInputs';
import { columnOf, type MeanPlan, type Replicates } from '../investigation';
import { scatterOfTrials, stated, type MeanResult, type TrialValue } from '../result';
import { meanOf, valueIn } from '../trials';
import { atMeans } from './atMeans';

/** The mean of a derived column over the trials that count, or over those of them that are concordant. */
export function meanResult(plan: MeanPlan, modelInputs: ModelInputs): MeanResult {
  const { column, table } = columnNamed(plan, modelInputs);
  if (plan.concordant === undefined) return meanOver(plan, modelInputs, 0);
  const spread = decimalOf(plan.concordant).toNumber();
  const unit = parseProduct(plan.unit);
  const rows = modelInputs.trials[table.key] ?? [];
  const values = rows.flatMap((trial) => {
    const value = trial.standing === 'counts' ? valueIn(trial, column) : undefined;
    return value ? [{ trial: trial.trial, value: inUnit(value, unit).value.toNumber() }] : [];
  });
  const near = concordantAmong(values, spread);
  if (near.length < 2)
    throw new Unfinished(
      `No two of its trials lie within ${plan.concordant} ${plan.unit} of each other yet: it appears here when they do.`,
    );
  const kept = new Set(near.map(({ trial }) => trial));
  const among = rows.filter(({ trial }) => kept.has(trial));
  const means = table.columns.flatMap((own) => {
    const mean = meanOf(among, own);
    return mean ? [[own.key, mean] as const] : [];
  });
  const made = meanOver(
    plan,
    {
      ...modelInputs,
      trials: { ...modelInputs.trials, [table.key]: among },
      means: { ...modelInputs.means, ...Object.fromEntries(means) },
    },
    // They were chosen for lying near: their own scatter tells too little. Anywhere in the spread, a rectangle of that width.
    spread / Math.sqrt(12 * near.length),
  );
  return { ...made, apart: values.flatMap(({ trial }) => (kept.has(trial) ? [] : trial)) };
}

/**
 * The most values that lie within a spread of each other; of as many, those that lie nearest together.
 * @param spread the largest less the smallest, at most.
 */
export function concordantAmong<V extends { readonly value: number }>(
  values: readonly V[],
  spread: number,
): readonly V[] {
  const sorted = [...values].sort((a, b) => a.value - b.value);
  // A difference of decimals is that to a billionth.
  const within = spread * (1 + 1e-9) + Number.MIN_VALUE;
  const width = (some: readonly V[]) => (some.at(-1)?.value ?? 0) - (some[0]?.value ?? 0);
  return sorted
    .map((first, at) => sorted.slice(at).filter(({ value }) => value - first.value <= within))
    .reduce<readonly V[]>(
      (best, some) =>
        some.length > best.length || (some.length === best.length && width(some) < width(best)) ? some : best,
      [],
    );
}

function columnNamed({ column: key }: MeanPlan, { investigation }: ModelInputs) {
  const found = columnOf(investigation, key);
  if (!found) throw new RangeError(`There is no column “${key}”.`);
  return found;
}

/** @param least what the scatter of the mean is at least, in the result’s unit. */
function meanOver(plan: MeanPlan, modelInputs: ModelInputs, least: number): MeanResult {
  const { conventions } = modelInputs;
  const { column, table } = columnNamed(plan, modelInputs);
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
  const way = wayOf(plan, modelInputs);
  const shares = way !== 'afresh';
  const formula = column.kind === 'derived' ? column.formula : column.key;
  const inputs = new Inputs(modelInputs);
  const whole = inResultUnit(
    shares ? inputs.overTrials(formula, table, counting) : inputs.alongRows(formula, table),
    plan,
  );
  const { model, readings } = shares ? withoutReadings(whole) : { model: whole, readings: 0 };
  // The result of the mean inputs, by the same formula.
  const ofMeans =
    column.kind === 'derived' && !shares && !planned(table)
      ? inUnit(atMeans(formula, table, modelInputs), unit)
      : null;
  const chosen = conventions.averaging === 'inputs' && ofMeans ? ofMeans.value : summary.mean;
  const value: Quantity = { value: chosen, lastPlace, unit, point: false };
  const other = conventions.averaging === 'inputs' ? summary.mean : (ofMeans?.value ?? null);
  const repeated = ofPortions(way, typeAOf(summary, conventions), readings, summary.n);
  const typeA = repeated === null ? null : Math.max(repeated, least);
  const made = stated(plan, modelInputs, {
    value,
    ...instrumentUncertainty(model, conventions),
    typeA,
    repeats: shares && typeA === readings ? 'readings that the portions share' : scatterOfTrials,
    degrees: summary.n - 1,
  });
  return {
    kind: 'mean',
    plan,
    table: table.key,
    n: summary.n,
    values,
    apart: [],
    summary,
    way,
    readings,
    model,
    ...spreadOf(summary, conventions),
    ...made,
    otherAverage: otherAverage(plan, value, other, made.uncertainty),
    suspect: suspectOf(values, summary, plan.unit),
  };
}

/** How the trials behind a mean share. What reaches back to the trial before is never afresh. */
function wayOf({ column: key }: MeanPlan, { investigation }: ModelInputs): Replicates {
  const found = columnOf(investigation, key);
  if (!found) return 'afresh';
  const { column, table } = found;
  const way = table.replicates ?? 'afresh';
  const reachesBack = column.kind === 'derived' && sharesReadings(investigation, column, table);
  return way === 'afresh' && reachesBack ? 'one receiver' : way;
}

/** A model without how its readings were read, and what they amount to by themselves: Σ (C·u)², C over all trials. */
function withoutReadings({ term, inputs }: ResultModel): {
  readonly model: ResultModel;
  readonly readings: number;
} {
  const { contributions } = propagate((input) => dualOf(term, input), inputs);
  return {
    readings: quadrature(contributions.filter(({ kind }) => kind === 'reading')),
    model: {
      term,
      inputs: inputs.map((input) => ({
        ...input,
        components: input.components.filter(({ kind }) => kind !== 'reading'),
      })),
    },
  };
}

/**
 * The repeat part of a mean. Portions that follow each other share readings: their scatter is real and holds how they were
 * read, so that the larger of the two counts, never both. From mark to mark nothing but marks and readings scatters, and
 * the inner ones cancel in the mean: s²/(n(n + 1)).
 */
function ofPortions(way: Replicates, ofMean: number | null, readings: number, n: number): number | null {
  if (way === 'afresh') return ofMean;
  const scatter = (ofMean ?? 0) * (way === 'mark to mark' ? 1 / Math.sqrt(n + 1) : 1);
  return Math.max(scatter, readings);
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

function suspectOf(values: readonly TrialValue[], summary: Summary, unit: string): MeanResult['suspect'] {
  // Where they differ in the last digit alone, rounding is enough of a cause.
  const place = Math.max(...values.map(({ value }) => value.lastPlace ?? -Infinity));
  if (summary.halfRange.toNumber() <= 10 ** place) return null;
  const found = suspectOutlier(
    values.map(({ value }) => value.value),
    summary,
  );
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
  return {
    spreadName,
    spreadText: stated ? (stated.isZero() ? '0' : writeAtPlace(stated, stated.e - 1)) : null,
  };
}
