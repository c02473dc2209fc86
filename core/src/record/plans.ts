import { evaluateTree, Decimal, inUnit, writeAtPlace, type Quantity, namesIn } from '../figures';
import { instrumentOf, modelOf } from '../instruments';
import { fitLine, summarize, xWhere, yAt } from '../statistics';
import { inBase, quadrature, worstCase, type Contribution } from '../uncertainty';
import { parseProduct } from '../units';
import { named, parsedFormula, sharesReadings } from './formula';
import { asStandard, Inputs, Unfinished, type ModelInputs } from './inputs';
import {
  columnOf,
  kitOf,
  unitOf,
  type LinePlan,
  type MeanPlan,
  type ResultPlan,
  type ValuePlan,
} from './investigation';
import { finish, type Result, type TrialValue } from './result';
import { valueIn } from './trials';
import { inResultUnit, instrumentUncertainty, typeAOf } from './combination';

type Reckoned<K extends ResultPlan['kind']> = (
  plan: Extract<ResultPlan, { kind: K }>,
  inputs: ModelInputs,
) => Result;

/** How each kind of result is reckoned; a new kind is a row. */
const byKind: { readonly [K in ResultPlan['kind']]: Reckoned<K> } = {
  mean: (plan, inputs) => meanResult(plan, inputs),
  value: (plan, inputs) => valueResult(plan, inputs),
  line: (plan, inputs) => lineResult(plan, inputs),
};

/** @throws Unfinished while something is missing; RangeError for what cannot be reckoned. */
export const resultOf = <K extends ResultPlan['kind']>(
  plan: Extract<ResultPlan, { kind: K }>,
  inputs: ModelInputs,
): Result => (byKind[plan.kind as K] as Reckoned<K>)(plan, inputs);

function meanResult(plan: MeanPlan, material: ModelInputs): Result {
  const { investigation, conventions } = material;
  const found = columnOf(investigation, plan.column);
  if (!found) throw new RangeError(`There is no column “${plan.column}”.`);
  const { column, table } = found;
  const rows = material.trials[table.key] ?? [];
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
  const inputs = new Inputs(material);
  const model = inResultUnit(
    shares ? inputs.overTrials(formula, table, counting) : inputs.atMeans(formula, table),
    plan,
  );
  // The result of the mean inputs, by the same formula.
  const ofMeans =
    column.kind === 'derived' && !shares ? inUnit(atMeans(formula, table, material), unit) : null;
  const chosen = conventions.averaging === 'inputs' && ofMeans ? ofMeans.value : summary.mean;
  const value: Quantity = { value: chosen, lastPlace, unit, point: false };
  const other = conventions.averaging === 'inputs' ? summary.mean : (ofMeans?.value ?? null);
  return finish(plan, material, {
    values,
    summary,
    value,
    shares,
    model,
    ...instrumentUncertainty(model, conventions),
    typeA: shares ? null : typeAOf(summary, conventions),
    degrees: summary.n - 1,
    otherAverage:
      other && lastPlace !== null && writeAtPlace(other, lastPlace) !== writeAtPlace(chosen, lastPlace)
        ? {
            text: `${writeAtPlace(other, lastPlace)} ${plan.unit}`,
            apart: other.minus(chosen).abs().toNumber(),
          }
        : null,
    line: null,
    points: [],
  });
}

/** A formula with the means of all its columns. */
function atMeans(
  formula: string,
  own: Parameters<typeof named>[1],
  { investigation, conventions, means }: ModelInputs,
): Quantity {
  const resolve = (of: string, table: typeof own): Quantity => {
    const expression = parsedFormula(of);
    const names: Record<string, Quantity> = {};
    for (const name of namesIn(expression)) {
      const found = named(investigation, table, name);
      if (found?.of === 'trial' && found.column.kind === 'derived')
        names[name] = inUnit(resolve(found.column.formula, found.table), parseProduct(found.column.unit));
      else {
        const mean = found && means[found.column.key];
        if (!mean) throw new Unfinished();
        names[name] = mean;
      }
    }
    return evaluateTree(expression, { ...conventions, roundWhen: 'end' }, names).result;
  };
  return resolve(formula, own);
}

function valueResult(plan: ValuePlan, material: ModelInputs): Result {
  const model = inResultUnit(new Inputs(material).atMeans(plan.formula, null), plan);
  const value = inUnit(atMeans(plan.formula, null, material), parseProduct(plan.unit));
  return finish(plan, material, {
    values: [],
    summary: null,
    value,
    shares: false,
    model,
    ...instrumentUncertainty(model, material.conventions),
    typeA: null,
    degrees: Infinity,
    otherAverage: null,
    line: null,
    points: [],
  });
}

/**
 * A straight line. What shifts all readings alike goes to the intercept. The scatter of the points holds how they were read;
 * what the makers allow tilts the line by its tolerance over the stretch that was measured.
 */
function lineResult(plan: LinePlan, material: ModelInputs): Result {
  const { investigation, conventions } = material;
  const [x, y] = [columnOf(investigation, plan.x), columnOf(investigation, plan.y)];
  if (!x || !y || x.table !== y.table) throw new RangeError('A line needs two columns of one table.');
  const rows = (material.trials[x.table.key] ?? []).filter(({ standing }) => standing === 'counts');
  const both = rows.flatMap((trial) => {
    const [atX, atY] = [valueIn(trial, x.column), valueIn(trial, y.column)];
    return atX && atY ? [{ trial: trial.trial, x: atX, y: atY }] : [];
  });
  const wanted = plan.throughOrigin ? 1 : 2;
  if (both.length <= wanted)
    throw new Unfinished(`A line with its uncertainty needs ${wanted + 1} points; ${both.length} are there.`);
  const points = both.map((point) => ({ trial: point.trial, x: point.x.value, y: point.y.value }));
  const line = fitLine(points, plan.throughOrigin);
  const [perX, perY, perResult] = [unitOf(x.column), unitOf(y.column), plan.unit].map((unit) =>
    inBase(parseProduct(unit)),
  ) as [number, number, number];
  const at = Number(plan.at ?? 0);
  const predicted = plan.gives === 'x' ? xWhere(line, at) : yAt(line, at);
  // From the units of the columns to that of the result.
  const factor = { slope: perY / perX, y: perY, x: perX }[plan.gives] / perResult;
  const raw = plan.gives === 'slope' ? { value: line.slope, sd: line.slopeSd } : predicted;
  const xs = points.map(({ x: own }) => own.toNumber());
  const stretch = Math.max(...xs) - Math.min(...xs);
  const reach =
    plan.gives === 'slope' ? 1 : plan.gives === 'y' ? at : predicted.value / Math.abs(line.slope || 1);
  const tilt = (column: typeof x.column, perSlope: number): Contribution[] => {
    if (column.kind !== 'measured' || stretch === 0) return [];
    const item = kitOf(investigation, column.tag);
    const tolerance = asStandard(Number(modelOf(instrumentOf(item.kind), item.model).tolerance), conventions);
    const amount = ((tolerance * perSlope) / stretch) * reach * factor;
    return [{ source: `tolerance of ${column.tag}`, kind: 'tolerance', contribution: Math.abs(amount) }];
  };
  const contributions = [...tilt(y.column, 1), ...tilt(x.column, line.slope)];
  const lastPlaces = both.map((point) => point.y.lastPlace ?? 0);
  const value: Quantity = {
    value: new Decimal(raw.value * factor),
    lastPlace: placeOf(raw.value * factor, raw.sd * factor, Math.max(...lastPlaces)),
    unit: parseProduct(plan.unit),
    point: false,
  };
  return finish(plan, material, {
    values: [],
    summary: null,
    value,
    shares: false,
    model: null,
    contributions,
    typeB: conventions.combining === 'worst-case' ? worstCase(contributions) : quadrature(contributions),
    typeA: raw.sd * factor,
    degrees: line.degrees,
    otherAverage: null,
    line,
    points,
  });
}

/** A slope has the place of the first digit of its own uncertainty. */
const placeOf = (value: number, sd: number, fallback: number): number =>
  sd > 0 && Number.isFinite(sd)
    ? Math.floor(Math.log10(sd))
    : value === 0
      ? fallback
      : Math.floor(Math.log10(Math.abs(value))) - 2;
