import type { Component } from '../uncertainty';
import type { Named } from './formula';
import { unitOf, type Table } from './investigation';
import { perUnit, type ModelInputs } from './modelInputs';
import { valueIn } from './trials';

/** A mean that scatters, with the name of the input that brings it in and what it is called in a budget. */
export interface Repeated extends Named {
  readonly name: string;
  readonly called: string;
}

/**
 * Columns of one table scatter together: over its complete rows z = Σ c·(x − x̄), c the sensitivity of the result to each
 * column’s mean; their part is s(z)/√n, once (JCGM 100:2008, H.2).
 * @param by what the result gains by one base unit more of an input, by its name.
 * @returns the component of the input that carries what the columns of its table do together, by its name.
 */
export function jointScatter(
  repeated: readonly Repeated[],
  by: ReadonlyMap<string, number>,
  trials: ModelInputs['trials'],
): ReadonlyMap<string, Component> {
  const carried = new Map<string, Component>();
  const byTable = new Map<Table, Repeated[]>();
  for (const one of repeated) byTable.set(one.table, [...(byTable.get(one.table) ?? []), one]);
  for (const [table, columns] of byTable) {
    // The first column that the result feels carries them all.
    const carrier = columns.find(({ name }) => (by.get(name) ?? 0) !== 0);
    const z = alongRows(columns, by, trials[table.key] ?? []);
    const n = z.length;
    if (!carrier || n < 2) continue;
    const mean = z.reduce((sum, value) => sum + value, 0) / n;
    const ofMean = Math.sqrt(z.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (n - 1) / n);
    carried.set(carrier.name, {
      source: `scatter of ${columns.map(({ called }) => called).join(' and ')}${columns.length > 1 ? ', row by row' : ''}`,
      kind: 'repeat',
      u: ofMean / (by.get(carrier.name) ?? 1),
      degrees: n - 1,
    });
  }
  return carried;
}

/** z of each complete row, from the first one on, so that a tiny spread on a large mean survives. */
function alongRows(
  columns: readonly Repeated[],
  by: ReadonlyMap<string, number>,
  trials: ModelInputs['trials'][string],
): number[] {
  const rows = trials.flatMap((trial) => {
    if (trial.standing !== 'counts') return [];
    const values = columns.flatMap(({ column }) => valueIn(trial, column)?.value ?? []);
    return values.length === columns.length ? [values] : [];
  });
  const sizes = columns.map(({ name, column }) => (by.get(name) ?? 0) * perUnit(unitOf(column)));
  return rows.map((values) =>
    values.reduce(
      (sum, value, at) => sum + (sizes[at] ?? 0) * value.minus(rows[0]?.[at] ?? value).toNumber(),
      0,
    ),
  );
}
