import { endpoints, type PoolAnswer } from '@green-beam/contract';
import {
  cellsIn,
  comparable,
  comparisonOf,
  groupingsOf,
  outcomeOf,
  withPieces,
  type Grouping,
  type Investigation,
  type MeanPlan,
  type PooledBook,
} from '@green-beam/core';
import { queryOptions } from '@tanstack/react-query';
import { call } from '../../api';
import { named } from '../named';
import type { Seen } from './seen';

/** How often a class's logbooks are asked for while somebody looks. */
const everyMs = 4000;

/** The logbooks of a class for one investigation, pooled while they are written. */
export const poolOf = (classId: string, investigationId: string) =>
  queryOptions({
    queryKey: ['pool', classId, investigationId],
    queryFn: () => call(endpoints.pool, { params: { classId, investigationId } }),
    refetchInterval: everyMs,
  });

const reckoned = new WeakMap<PoolAnswer, readonly PooledBook[]>();

/** The logbooks as they enter comparisons. Reckoned once: several groups may come from them. */
export function booksIn(answer: PoolAnswer): readonly PooledBook[] {
  const before = reckoned.get(answer);
  if (before) return before;
  const { investigation, conventions, books } = answer;
  const own = books.map(({ id, readers, entries }): PooledBook => {
    const cells = cellsIn(investigation, entries);
    const whole = withPieces(investigation, cells);
    return {
      ...{ id, cells, investigation: whole, bench: readers.join(', ') },
      outcome: outcomeOf(whole, cells, conventions),
    };
  });
  reckoned.set(answer, own);
  return own;
}

/** What an address says is compared, and between what; the usual where it does not say. */
export function chosenIn(
  search: URLSearchParams,
  plans: readonly MeanPlan[],
  tables: Investigation['tables'],
  usual: Grouping,
) {
  const plan =
    plans.find(({ key }) => key === search.get('of')) ??
    plans.find(({ perRow, perWord }) => perRow ?? perWord) ??
    plans[0];
  const possible = plan ? groupingsOf(plan) : [];
  const asked = possible.find((own) => own === search.get('by'));
  const by: Grouping = asked ?? (possible.includes(usual) ? usual : (possible[0] ?? 'bench'));
  const rows = tables.find(({ key }) => key === plan?.perRow)?.rows ?? [];
  const row =
    by === 'row' ? null : (rows.find(({ key }) => key === search.get('row'))?.key ?? rows[0]?.key ?? null);
  return { plan, by, row, rows, possible };
}

/** The groups of which an address speaks. */
export function logbooksSeen(answer: PoolAnswer, search: URLSearchParams): Seen {
  const { investigation } = answer;
  const plans = comparable(investigation);
  const { plan, by, row, rows } = chosenIn(search, plans, investigation.tables, 'row');
  const key = plan?.key ?? '';
  // As much as it takes to tell what else could come from there.
  const parts = [plans.length > 1 && plan?.name, rows.find((own) => own.key === row)?.name];
  return {
    comparison: named(comparisonOf(booksIn(answer), key, by, row), by),
    name: [investigation.title, ...parts].filter(Boolean).join(', '),
    trials: key,
    causes: investigation.causes ?? [],
  };
}
