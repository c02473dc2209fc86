import type { Conventions } from '../conventions';
import type { Quantity } from '../figures';
import { sentenceOf } from './formula';
import { Unfinished, type ModelInputs } from './modelInputs';
import type { Column, Investigation, ResultPlan, Table } from './investigation';
import { plannedResults, type PlannedResult } from './namedRows';
import { resultOf } from './plans';
import type { Result } from './result';
import type { Cell } from './table';
import { tablesBehind } from './tablesBehind';
import { TrialEvaluator } from './trialEvaluator';
import { meanOf, valueIn, type Trial } from './trials';

type Reckoning =
  | { readonly state: 'open'; readonly plan: ResultPlan; readonly why: string }
  | { readonly state: 'refused'; readonly plan: ResultPlan; readonly why: string }
  | { readonly state: 'reckoned'; readonly plan: ResultPlan; readonly result: Result };

/** How far a result has come. */
export type ResultState = Reckoning & {
  /** How many trials of its own tables are still wanted before it counts. */
  readonly trialsWanted: number;
};

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
export class OutcomeEvaluator {
  readonly #trials: TrialEvaluator;
  #last: Outcome | undefined;

  constructor(
    private readonly investigation: Investigation,
    private readonly conventions: Conventions,
  ) {
    this.#trials = new TrialEvaluator(investigation, conventions);
  }

  /** Never throws on what students write. Gives the last outcome again where nothing that it rests on has changed. */
  outcomeOf(cells: ReadonlyMap<string, Cell>): Outcome {
    const { investigation, conventions } = this;
    const last = this.#last;
    let changed = last === undefined;
    const trials: Record<string, readonly Trial[]> = {};
    const means: Record<string, Quantity> = {};
    for (const table of investigation.tables) {
      const keys = new Set(table.columns.map(({ key }) => key));
      const numbers = [...cells.values()].flatMap(({ current }) =>
        current.kind === 'reading' && keys.has(current.column) ? current.trial : [],
      );
      const rows = this.#trials.trialsOf(
        table,
        cells,
        [...new Set(numbers)].sort((a, b) => a - b),
        means,
      );
      const before = last?.trials[table.key];
      const same = before?.length === rows.length && rows.every((row, at) => row === before[at]);
      trials[table.key] = rows;
      changed ||= !same;
      for (const column of table.columns) {
        const mean = sameValues(rows, before, column) ? last?.means[column.key] : meanOf(rows, column);
        if (mean) means[column.key] = mean;
      }
    }
    if (last && !changed) return last;
    const modelInputs: ModelInputs = { investigation, conventions, trials, means };
    const inputsOf = ({ investigation: own, only }: PlannedResult): ModelInputs => {
      if (!only) return modelInputs;
      const { table, takes } = only;
      const rows = (trials[table.key] ?? []).filter(takes);
      const ownMeans = table.columns.flatMap((column) => {
        const mean = meanOf(rows, column);
        return mean ? [[column.key, mean] as const] : [];
      });
      const others = Object.entries(means).filter(([key]) => !table.columns.some((own) => own.key === key));
      return {
        investigation: own,
        conventions,
        trials: { ...trials, [table.key]: rows },
        means: Object.fromEntries([...others, ...ownMeans]),
      };
    };
    const counted = (key: string, among = trials as ModelInputs['trials']) =>
      (among[key] ?? []).filter(({ complete, standing }) => complete && standing === 'counts').length;
    const wantedOf = (tables: readonly Table[], among: ModelInputs['trials']) =>
      tables.reduce((sum, { key, trials: wanted }) => sum + Math.max(0, wanted - counted(key, among)), 0);
    return (this.#last = {
      trials,
      means,
      results: plannedResults(investigation).map((planned) => {
        const own = inputsOf(planned);
        return {
          ...stateOf(planned.plan, own),
          trialsWanted: wantedOf(tablesBehind(own.investigation, planned.plan), own.trials),
        };
      }),
      complete: investigation.tables.reduce(
        (sum, { key, trials: wanted }) => sum + Math.min(wanted, counted(key)),
        0,
      ),
      trialsWanted: wantedOf(investigation.tables, trials),
    });
  }
}

/** Whether a column has the values that it had. */
const sameValues = (rows: readonly Trial[], before: readonly Trial[] | undefined, column: Column): boolean =>
  rows.length === before?.length &&
  rows.every((row, at) => {
    const earlier = before[at];
    if (row === earlier) return true;
    const [now, then] = [valueIn(row, column), valueIn(earlier, column)];
    return (
      row.standing === earlier?.standing &&
      now?.lastPlace === then?.lastPlace &&
      (now === then || (now !== undefined && then !== undefined && now.value.eq(then.value)))
    );
  });

/** One look, where nothing is to be kept for the next. */
export const outcomeOf = (
  investigation: Investigation,
  cells: ReadonlyMap<string, Cell>,
  conventions: Conventions,
): Outcome => new OutcomeEvaluator(investigation, conventions).outcomeOf(cells);

/** What is set as the student's own work is covered until it is written: a heading of it that is not, in some trial. */
function stillToWork(plan: ResultPlan, { investigation, trials }: ModelInputs): string | null {
  for (const table of tablesBehind(investigation, plan)) {
    const own = table.columns.find((column) => column.kind === 'derived' && column.by === 'student');
    const waits = (trials[table.key] ?? []).some(
      ({ standing, complete, derived }) =>
        standing === 'counts' &&
        !complete &&
        Object.values(derived).every(({ state }) => state === 'reckoned'),
    );
    if (own && waits) return own.heading;
  }
  return null;
}

function stateOf(plan: ResultPlan, modelInputs: ModelInputs): Reckoning {
  const work = stillToWork(plan, modelInputs);
  if (work !== null)
    return {
      state: 'open',
      plan,
      why: `Work out your own columns first, from ${work.charAt(0).toLowerCase()}${work.slice(1)} on: then it appears here.`,
    };
  try {
    return { state: 'reckoned', plan, result: resultOf(plan, modelInputs) };
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
