import { presetNamed, seeded, type Conventions } from '../src';
import { rowOf } from '../src/record/namedRows';
import { OutcomeEvaluator } from '../src/record/outcome';
import type { Result } from '../src/record/result';
import { tableOf, type Entry } from '../src/record/table';
import { classroom, matched, matchedReadings, observe, type Rows } from '../src/world';
import { byRule, derivative, rules } from './byRule';
import type { Case } from './benches';
import { entry } from './entry';

export type WorldName = 'matched' | 'classroom';

/** How often the stated 95 % held the truth, and the mean u² over the mean squared error. */
export interface Coverage {
  readonly held: number;
  readonly ratio: number;
  readonly times: number;
}

const metrology = presetNamed('Metrology');
const sharing = (of: Case) => of.way === 'receiver' || of.way === 'marks';

/** What science asks of a case in a world; for fewer logbooks the limits are wider. */
export function limits(of: Case, world: WorldName, few = false) {
  const [least, low, high] =
    world === 'classroom'
      ? [0.93, 0.85, 5]
      : of.asks === 'height'
        ? [0.93, 0.85, 5]
        : of.way === 'line'
          ? [0.93, 0.85, 1.7]
          : sharing(of)
            ? [0.93, 0.85, 3]
            : [0.92, 0.85, 1.15];
  return few ? { least: 0.89, low: 0.6, high: 1.3 * high } : { least, low, high };
}

/** Logbooks of one case in one world, each from its readings to what is stated. */
export function coverage(of: Case, name: WorldName, times: number, seed: number): Coverage {
  const random = seeded(seed);
  const world =
    name === 'classroom' ? classroom : of.way === 'line' || sharing(of) ? matchedReadings : matched;
  const scatter = name === 'classroom' ? of.classroomScatter : matchedScatter(of);
  let [held, squares, errors] = [0, 0, 0];
  for (let time = 0; time < times; time += 1) {
    const { value, uncertainty, expanded } = stated(of, observe(of, world, scatter, random), metrology);
    const error = value.value.toNumber() - of.value;
    if (Math.abs(error) <= (expanded?.size ?? 0)) held += 1;
    squares += (uncertainty ?? 0) ** 2;
    errors += error ** 2;
  }
  return { held: held / times, ratio: squares / errors, times };
}

/** A scatter for which s/√n is as large as the part of the instruments. */
function matchedScatter(of: Case): number {
  if (of.way === 'line' || Object.keys(of.scatters).length === 0) return 0;
  const truth = of.truth(seeded(1));
  const part = byRule(of, truth, { ...metrologyRule, combining: 'quadrature' });
  const n = of.each?.(truth, metrologyRule).length ?? 1;
  // What the mean does when one row moves by 1, the root of the sum over the rows.
  const rows = Object.values(of.scatters)[0]?.length ?? 0;
  const each = Array.from(
    { length: rows },
    (_, row) =>
      derivative((share) =>
        of.result(
          Object.fromEntries(
            Object.entries(truth).map(([column, values]) => [
              column,
              values.map((value, at) =>
                at === row || (of.running && at > row)
                  ? value + share * 1e-2 * (of.scatters[column]?.[row] ?? 0)
                  : value,
              ),
            ]),
          ),
          metrologyRule,
        ),
      ) / 1e-2,
  );
  const by = Math.hypot(...each);
  return of.way === 'marks' ? (part / by) * Math.sqrt((n + 1) / n) : part / by;
}

const metrologyRule = rules['Metrology'] as (typeof rules)[string];

/** What the product states of these readings. */
export function stated(of: Case, rows: Rows, conventions: Conventions): Result {
  const { investigation, key } = alone(of);
  const written = new Set(
    investigation.tables.flatMap(({ columns }) =>
      columns.flatMap((own) => (own.kind === 'given' ? [] : own.key)),
    ),
  );
  const entries = Object.entries(rows).flatMap(([column, values]) =>
    !written.has(column)
      ? []
      : values.flatMap((value, row): Entry[] =>
          concerns(of, column, row + 1)
            ? [entry(row + 1, column, textOf(of, column, value), { tag: of.readOn[column] ?? '' })]
            : [],
        ),
  );
  const missing = unread(of, rows);
  const evaluator = new OutcomeEvaluator(investigation, conventions);
  const state = evaluator
    .outcomeOf(tableOf([...entries, ...missing]))
    .results.find(({ plan }) => plan.key === key);
  if (state?.state !== 'reckoned') throw new Error(`${of.name}: ${state?.why}`);
  return state.result;
}

/** The investigation with this one result, so that no other is reckoned beside it. */
function alone({ investigation, plan }: Case): {
  readonly investigation: Case['investigation'];
  readonly key: string;
} {
  const [own] = plan.split('.');
  return {
    investigation: {
      ...investigation,
      results: investigation.results.filter(({ key }) => key === own),
      predictions: [],
    },
    key: plan,
  };
}

/** Whether a reading has to do with the result: of other named rows of its table it does not know. */
function concerns({ investigation, plan }: Case, column: string, trial: number): boolean {
  const [, row] = plan.split('.');
  const table = investigation.tables.find(({ columns }) => columns.some(({ key }) => key === column));
  return row === undefined || !table?.rows || rowOf(table, trial)?.key === row;
}

function textOf(of: Case, column: string, value: number): string {
  const piece = of.pieces[of.readOn[column] ?? ''];
  if (piece?.shows !== 'clock') return piece ? value.toFixed(12) : String(value);
  const seconds = 8 * 3600 + Math.round(value * 60);
  const two = (number: number) => String(number).padStart(2, '0');
  const minutes = `${two(Math.floor(seconds / 3600))}:${two(Math.floor(seconds / 60) % 60)}`;
  return piece.step < 1 ? `${minutes}:${two(seconds % 60)}` : minutes;
}

/** Columns that a student works: they are written as they come out, so that no result waits for them. */
const unread = (of: Case, rows: Rows): Entry[] =>
  of.investigation.tables.flatMap(({ columns }) =>
    columns.flatMap((column) =>
      column.kind === 'derived' && column.by === 'student'
        ? (Object.values(rows)[0] ?? []).map((_, row) => entry(row + 1, column.key, '1'))
        : [],
    ),
  );
