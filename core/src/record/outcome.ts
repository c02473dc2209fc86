import type { Conventions } from '../conventions';
import { percentError, type PercentError } from '../density/percentError';
import {
  Exact,
  inUnit,
  parseNumber,
  writeAtPlace,
  evaluateTree,
  type Quantity,
  type WrittenNumber,
} from '../figures';
import {
  fitLine,
  suspectOutlier,
  summarize,
  xWhere,
  yAt,
  type Line,
  type LinePoint,
  type Summary,
} from '../statistics';
import {
  budgetOf,
  dualOf,
  expanded,
  inBase,
  largestSmallest,
  monteCarlo,
  propagate,
  quadrature,
  worstCase,
  writePlusMinus,
  type BudgetLine,
  type Contribution,
  type Expanded,
  type PlusMinus,
} from '../uncertainty';
import { parseProduct } from '../units';
import { named, namesIn, parsedFormula, sentenceOf, sharesReadings } from './formula';
import { asStandard, Inputs, Unfinished, type Material, type ResultModel } from './inputs';
import {
  columnOf,
  kitOf,
  unitOf,
  type Investigation,
  type LinePlan,
  type MeanPlan,
  type ResultPlan,
  type ValuePlan,
} from './investigation';
import type { Cell } from './table';
import { meanOf, TrialReckoner, valueIn, writtenValue, type Trial } from './trials';
import { instrumentOf, modelOf } from '../instruments';

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
  readonly spreadText: string | null;
  /** By repeating; in the result's unit; null for one trial, or where trials share readings. */
  readonly repeatPart: number | null;
  readonly instrumentPart: number;
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
  /** What the means of the inputs give, where that parts from the mean of the results. */
  readonly otherAverage: string | null;
  readonly line: Line | null;
  readonly points: readonly (LinePoint & { readonly trial: number })[];
  /** For other ways of combining; null for a line. */
  readonly model: ResultModel | null;
  /** A value that lies apart, in words; only ever a suggestion. */
  readonly suspect: { readonly trial: number; readonly sentence: string } | null;
}

export type ResultState =
  | { readonly state: 'open'; readonly plan: ResultPlan; readonly why: string }
  | { readonly state: 'refused'; readonly plan: ResultPlan; readonly why: string }
  | { readonly state: 'reckoned'; readonly plan: ResultPlan; readonly result: Result };

export interface Outcome {
  /** Trials of every table, by its key. */
  readonly trials: Readonly<Record<string, readonly Trial[]>>;
  readonly results: readonly ResultState[];
  /** The mean of every column over the trials that count, by its key. */
  readonly means: Readonly<Record<string, Quantity>>;
  /** Complete trials that count, as far as they are wanted, and how many are still wanted, over all tables. */
  readonly complete: number;
  readonly trialsWanted: number;
}

/** Derives what a logbook amounts to. Keep one for a logbook: what did not change is not reckoned again. */
export class OutcomeReckoner {
  readonly #trials: TrialReckoner;

  constructor(
    private readonly investigation: Investigation,
    private readonly conventions: Conventions,
  ) {
    this.#trials = new TrialReckoner(investigation, conventions);
  }

  /** Never throws on what students write. */
  outcomeOf(cells: ReadonlyMap<string, Cell>): Outcome {
    const { investigation, conventions } = this;
    const trials: Record<string, readonly Trial[]> = {};
    const means: Record<string, Quantity> = {};
    for (const table of investigation.tables) {
      const keys = new Set(table.columns.map(({ key }) => key));
      const numbers = [...cells.values()].flatMap(({ current }) =>
        keys.has(current.column) ? current.trial : [],
      );
      const rows = this.#trials.trialsOf(
        table,
        cells,
        [...new Set(numbers)].sort((a, b) => a - b),
        means,
      );
      trials[table.key] = rows;
      for (const column of table.columns) {
        const mean = meanOf(rows, column);
        if (mean) means[column.key] = mean;
      }
    }
    const material: Material = { investigation, conventions, trials, means };
    const counted = (key: string) =>
      (trials[key] ?? []).filter(({ complete, standing }) => complete && standing === 'counts').length;
    return {
      trials,
      means,
      results: investigation.results.map((plan) => stateOf(plan, material)),
      complete: investigation.tables.reduce(
        (sum, { key, trials: wanted }) => sum + Math.min(wanted, counted(key)),
        0,
      ),
      trialsWanted: investigation.tables.reduce(
        (sum, { key, trials: wanted }) => sum + Math.max(0, wanted - counted(key)),
        0,
      ),
    };
  }
}

/** One look, where nothing is to be kept for the next. */
export const outcomeOf = (
  investigation: Investigation,
  cells: ReadonlyMap<string, Cell>,
  conventions: Conventions,
): Outcome => new OutcomeReckoner(investigation, conventions).outcomeOf(cells);

function stateOf(plan: ResultPlan, material: Material): ResultState {
  try {
    return { state: 'reckoned', plan, result: resultOf(plan, material) };
  } catch (error) {
    if (error instanceof Unfinished)
      return {
        state: 'open',
        plan,
        why: error.message || 'It appears here as soon as its readings are there.',
      };
    const why = sentenceOf(error);
    if (why === null) throw error;
    return { state: 'refused', plan, why };
  }
}

function resultOf(plan: ResultPlan, material: Material): Result {
  switch (plan.kind) {
    case 'mean':
      return meanResult(plan, material);
    case 'value':
      return valueResult(plan, material);
    case 'line':
      return lineResult(plan, material);
  }
}

function meanResult(plan: MeanPlan, material: Material): Result {
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
    ...partsOf(model, conventions),
    repeatPart: shares ? null : repeatPartOf(summary, conventions),
    degrees: summary.n - 1,
    otherAverage:
      other && lastPlace !== null && writeAtPlace(other, lastPlace) !== writeAtPlace(chosen, lastPlace)
        ? `${writeAtPlace(other, lastPlace)} ${plan.unit}`
        : null,
    line: null,
    points: [],
  });
}

/** A formula with the means of all its columns. */
function atMeans(
  formula: string,
  own: Parameters<typeof named>[1],
  { investigation, conventions, means }: Material,
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
    return evaluateTree(expression, { rounding: conventions.rounding, roundWhen: 'end' }, names).result;
  };
  return resolve(formula, own);
}

function valueResult(plan: ValuePlan, material: Material): Result {
  const model = inResultUnit(new Inputs(material).atMeans(plan.formula, null), plan);
  const value = inUnit(atMeans(plan.formula, null, material), parseProduct(plan.unit));
  return finish(plan, material, {
    values: [],
    summary: null,
    value,
    shares: false,
    model,
    ...partsOf(model, material.conventions),
    repeatPart: null,
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
function lineResult(plan: LinePlan, material: Material): Result {
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
    return [{ source: `tolerance of ${column.tag}`, kind: 'tolerance', amount: Math.abs(amount) }];
  };
  const contributions = [...tilt(y.column, 1), ...tilt(x.column, line.slope)];
  const lastPlaces = both.map((point) => point.y.lastPlace ?? 0);
  const value: Quantity = {
    value: new Exact(raw.value * factor),
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
    instrumentPart:
      conventions.combining === 'worst-case' ? worstCase(contributions) : quadrature(contributions),
    repeatPart: raw.sd * factor,
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

type Unwritten = Pick<
  Result,
  | 'values'
  | 'summary'
  | 'value'
  | 'shares'
  | 'model'
  | 'contributions'
  | 'instrumentPart'
  | 'repeatPart'
  | 'otherAverage'
  | 'line'
  | 'points'
> & { readonly degrees: number };

function finish(plan: ResultPlan, { investigation, conventions }: Material, made: Unwritten): Result {
  const { value, summary, repeatPart, instrumentPart, contributions, degrees } = made;
  const figuresOnly = conventions.combining === 'figures-only';
  const uncertainty = figuresOnly ? null : joined(repeatPart ?? 0, instrumentPart, conventions);
  const plusMinus =
    uncertainty !== null && uncertainty > 0
      ? writePlusMinus(
          value.value,
          new Exact(uncertainty),
          plan.unit,
          conventions.uncertaintyDigits,
          conventions.rounding,
        )
      : null;
  const repeat: Contribution[] =
    repeatPart === null
      ? []
      : [{ source: 'scatter of the trials', kind: 'repeat', amount: repeatPart, degrees }];
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
    repeatPart,
    instrumentPart,
    shares: made.shares,
    otherAverage: made.otherAverage,
    line: made.line,
    points: made.points,
    model: made.model,
    n: summary?.n ?? made.points.length,
    valueText,
    spreadText: summary?.standardDeviation ? spreadText(summary.standardDeviation) : null,
    uncertainty,
    plusMinus,
    expanded:
      plusMinus && conventions.plusMinus === 'standard' ? expandedText(all, plan, value, conventions) : null,
    text: plusMinus?.text ?? [valueText, plan.unit].filter(Boolean).join(' '),
    percentError: error,
    budget: plusMinus ? budgetOf(all) : [],
    contributions: all,
    suspect: suspectOf(made.values, plan.unit),
  };
}

function expandedText(
  all: readonly Contribution[],
  plan: ResultPlan,
  value: Quantity,
  conventions: Conventions,
) {
  const whole = expanded(all);
  const { text } = writePlusMinus(
    value.value,
    new Exact(whole.size),
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

/** A model whose term is in the unit of the result, no longer in base units. */
const inResultUnit = ({ term, inputs }: ResultModel, { unit }: ResultPlan): ResultModel => ({
  term: {
    kind: 'operation',
    operator: '÷',
    left: term,
    right: { kind: 'constant', value: inBase(parseProduct(unit)) },
  },
  inputs,
});

/** The instruments' part of a model, by the class's way of combining, in the result's unit. */
function partsOf(
  model: ResultModel,
  conventions: Conventions,
): { readonly contributions: readonly Contribution[]; readonly instrumentPart: number } {
  const { contributions } = propagate((input) => dualOf(model.term, input), model.inputs);
  return {
    contributions,
    instrumentPart: waysOf(model, contributions, conventions)[conventions.combining](),
  };
}

/** Draws of a result that is shown at once; enough for two digits of an uncertainty. */
export const quickDraws = 20_000;

type Way = Conventions['combining'];

/** The instruments' part by every way of combining. */
export const waysOf = (
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

function repeatPartOf(summary: Summary, { spread }: Conventions): number | null {
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
export function joined(repeat: number, instrument: number, { repeatAndInstrument }: Conventions): number {
  return {
    larger: Math.max(repeat, instrument),
    sum: repeat + instrument,
    'root-sum-square': Math.hypot(repeat, instrument),
  }[repeatAndInstrument];
}

/** An accepted value of 0 has no percent error, and one that is not a number is none. */
function acceptedOf({ accepted }: ResultPlan): WrittenNumber | null {
  const parsed = accepted && parseNumber(accepted.value);
  return parsed?.ok && !parsed.number.value.isZero() ? parsed.number : null;
}

const spreadText = (spread: Exact): string => (spread.isZero() ? '0' : writeAtPlace(spread, spread.e - 1));
