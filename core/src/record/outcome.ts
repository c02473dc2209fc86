import type { Conventions } from '../conventions';
import {
  densityByDisplacement,
  percentError,
  percentErrorWorking,
  resultWorking,
  trialDensity,
  trialWorking,
  type DisplacementDensity,
  type DisplacementTrial,
  type Gauge,
  type PercentError,
  type TrialDensity,
  type WorkingStep,
} from '../density';
import type { Exact } from '../figures';
import { parseNumber, writeTracked, writeAtPlace, type WrittenNumber } from '../figures';
import { instrumentOf, modelOf } from '../instruments';
import type { Summary } from '../statistics';
import { budgetOf, writePlusMinus, type BudgetLine, type PlusMinus } from '../uncertainty';
import { columnKeys, kitOf, type ColumnKey, type Investigation } from './investigation';
import { cellKey, type Cell } from './table';

/** What can be derived of one trial as it stands. */
export type TrialState =
  | { readonly trial: number; readonly state: 'open'; readonly missing: readonly ColumnKey[] }
  | { readonly trial: number; readonly state: 'refused'; readonly reason: string }
  | {
      readonly trial: number;
      readonly state: 'complete';
      readonly volumeText: string;
      readonly densityText: string;
      readonly working: readonly WorkingStep[];
    };

/** The result of a logbook: ± where the class writes it, else by figures. */
export interface Result {
  readonly n: number;
  readonly summary: Summary;
  readonly meanText: string;
  readonly spreadText: string | null;
  readonly plusMinus: PlusMinus | null;
  /** What the logbook states: `(8.41 ± 0.06) g/cm³`, or `8.4 g/cm³` by figures. */
  readonly text: string;
  readonly percentError: PercentError | null;
  /** What each source adds to the uncertainty, the largest first; empty where the class works by figures. */
  readonly budget: readonly BudgetLine[];
  readonly working: readonly WorkingStep[];
}

export interface Outcome {
  readonly trials: readonly TrialState[];
  /** Null until a trial is complete. */
  readonly result: Result | null;
  /** Complete trials still wanted. */
  readonly trialsWanted: number;
}

const unit = 'g/cm³';

/** Derives everything that a logbook's table amounts to. Never throws on what students write. */
export function outcomeOf(
  investigation: Investigation,
  table: ReadonlyMap<string, Cell>,
  conventions: Conventions,
): Outcome {
  const trialNumbers = [...new Set([...table.values()].map(({ current }) => current.trial))].sort(
    (a, b) => a - b,
  );
  const derived = trialNumbers.map((trial) => deriveTrial(trial, table, conventions));
  const complete = derived.flatMap((item) => ('readings' in item ? [item.readings] : []));
  return {
    trials: derived.map(({ state }) => state),
    result: complete.length === 0 ? null : resultOf(complete, investigation, conventions),
    trialsWanted: Math.max(0, investigation.trials - complete.length),
  };
}

type Derived =
  { readonly state: TrialState } | { readonly state: TrialState; readonly readings: DisplacementTrial };

function deriveTrial(trial: number, table: ReadonlyMap<string, Cell>, conventions: Conventions): Derived {
  const read = (column: ColumnKey): WrittenNumber | undefined => {
    const cell = table.get(cellKey(trial, column));
    const parsed = cell && parseNumber(cell.current.text, conventions.trailingZeros);
    return parsed?.ok ? parsed.number : undefined;
  };
  const [mass, before, after] = [read('mass'), read('before'), read('after')];
  if (!mass || !before || !after) {
    const missing = columnKeys.filter((column) => read(column) === undefined);
    return { state: { trial, state: 'open', missing } };
  }
  const readings = { trial, mass, before, after };
  let density: TrialDensity;
  try {
    density = trialDensity(readings);
  } catch (error) {
    if (error instanceof RangeError) return { state: { trial, state: 'refused', reason: error.message } };
    throw error;
  }
  return {
    readings,
    state: {
      trial,
      state: 'complete',
      volumeText: writeTracked(density.volume.result, conventions.rounding),
      densityText: writeTracked(density.density.result, conventions.rounding),
      working: trialWorking(density, conventions),
    },
  };
}

function resultOf(
  readings: readonly DisplacementTrial[],
  investigation: Investigation,
  conventions: Conventions,
): Result {
  const gauge = (column: ColumnKey): Gauge => {
    const tag = investigation.columns.find(({ key }) => key === column)?.tag ?? '';
    const item = kitOf(investigation, tag);
    const model = modelOf(instrumentOf(item.kind), item.model);
    return {
      kind: item.kind,
      model: item.model,
      division: model.division,
      reads: model.reads,
      tag,
      tolerance: model.tolerance,
    };
  };
  const density = densityByDisplacement(readings, gauge('mass'), gauge('after'), conventions);
  const { summary, mean, uncertainty } = density;
  const plusMinus =
    uncertainty &&
    writePlusMinus(summary.mean, uncertainty, unit, conventions.uncertaintyDigits, conventions.rounding);
  const meanText = writeTracked(mean, conventions.rounding);
  const accepted = acceptedOf(investigation);
  const error = accepted && percentError(mean, accepted, conventions);
  return {
    n: summary.n,
    summary,
    meanText,
    spreadText: summary.standardDeviation && spreadText(summary.standardDeviation),
    plusMinus,
    text: plusMinus?.text ?? `${meanText} ${unit}`,
    percentError: error,
    budget: uncertainty ? budgetOf(sources(density)) : [],
    working: [
      ...resultWorking(density, plusMinus, conventions),
      ...(error && accepted ? [percentErrorWorking(error, accepted.text, meanText, conventions)] : []),
    ],
  };
}

/** The instruments' parts, and the scatter of the trials beside them. */
const sources = ({ instrument, repeatPart }: DisplacementDensity) => [
  ...instrument.contributions,
  ...(repeatPart ? [{ source: 'scatter of the trials', amount: repeatPart.toNumber() }] : []),
];

/** An accepted value of 0 has no percent error, and one that is not a number is none. */
function acceptedOf({ accepted }: Investigation): WrittenNumber | null {
  const parsed = accepted && parseNumber(accepted.value);
  return parsed?.ok && !parsed.number.value.isZero() ? parsed.number : null;
}

const spreadText = (spread: Exact): string => (spread.isZero() ? '0' : writeAtPlace(spread, spread.e - 1));
