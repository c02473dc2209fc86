import { presetNamed } from '../src/conventions';
import type {
  Investigation,
  KitItem,
  MeanPlan,
  ResultPlan,
  Table,
  ValuePlan,
} from '../src/record/investigation';
import { outcomeOf } from '../src/record/outcome';
import { plain } from '../src/record/readyMade/plain';
import type { Result } from '../src/record/result';
import { tableOf, type Entry } from '../src/record/table';
import { withPieces } from '../src/record/pieces';

// A small investigation to be worked out by hand, and what it comes to in standard uncertainties.

export const metrology = presetNamed('Metrology');

const head = { key: 'result', name: 'Result', symbol: 'x', accepted: null };

export const mean = (column: string, unit: string, rest: Partial<MeanPlan> = {}): MeanPlan => ({
  ...head,
  kind: 'mean',
  unit,
  column,
  ...rest,
});
export const value = (formula: string, unit: string): ValuePlan => ({
  ...head,
  kind: 'value',
  unit,
  formula,
});

const kit: readonly KitItem[] = [
  { tag: 'R-01', kind: 'ruler', model: 'ruler-mm' },
  { tag: 'U-01', kind: 'burette', model: 'burette-50-0_1' },
  { tag: 'E-01', kind: 'electronic-balance', model: 'electronic-0_01' },
  { tag: 'C-01', kind: 'graduated-cylinder', model: 'cylinder-100-1' },
];

/** One table of three trials, with one result at most. */
export const about = (
  columns: Table['columns'],
  result: ResultPlan | null,
  table: Partial<Table> = {},
  rest: Partial<Investigation> = {},
): Investigation => ({
  ...plain,
  title: 'A case',
  aim: 'To see.',
  object: 'case',
  kit,
  steps: [],
  tables: [{ key: 'table', title: 'Readings', trials: 3, columns, ...table }],
  results: result ? [result] : [],
  ...rest,
});

/** A result of a logbook. @throws Error with why there is none yet */
export function resultOf(what: Investigation, entries: readonly Entry[], key = 'result'): Result {
  const cells = tableOf(entries);
  const { results } = outcomeOf(withPieces(what, cells), cells, metrology);
  const state = results.find(({ plan }) => plan.key === key);
  if (state?.state !== 'reckoned') throw new Error(`${state?.state}: ${state?.why}`);
  return state.result;
}
