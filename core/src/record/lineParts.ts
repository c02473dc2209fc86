import type { Contribution, Input } from '../uncertainty';
import type { Column, Table } from './investigation';
import type { Trial } from './trials';

/** A column of the points of a line. */
export interface PointColumn {
  readonly column: Column;
  readonly table: Table;
  readonly trials: readonly Trial[];
  /** What is given by one of its values more, in base units. */
  readonly by: readonly number[];
}

/** What stands behind the points of a line, in the base unit of what is given. */
export interface LineParts {
  /** How they were read, as one habit over all of them: Σ c. */
  readonly habits: readonly Contribution[];
  /** The same, each reading by itself: √Σ c². */
  readonly readings: readonly Contribution[];
  readonly others: readonly Contribution[];
}

/** Adds up the components of inputs by their cause. @param by what is given by one base unit more of an input. */
export function partsOf(by: ReadonlyMap<string, number>, inputs: ReadonlyMap<string, Input>): LineParts {
  const together = new Map<string, Contribution>();
  const apart = new Map<string, number>();
  for (const [name, amount] of by)
    for (const { source, kind, u, degrees } of inputs.get(name)?.components ?? []) {
      const contribution = (together.get(source)?.contribution ?? 0) + amount * u;
      together.set(source, { source, kind, contribution, ...(degrees === undefined ? {} : { degrees }) });
      if (kind === 'reading') apart.set(source, Math.hypot(apart.get(source) ?? 0, amount * u));
    }
  const all = [...together.values()];
  return {
    habits: all.filter(({ kind }) => kind === 'reading'),
    readings: [...apart].map(([source, contribution]) => ({ source, kind: 'reading', contribution })),
    others: all.filter(({ kind }) => kind !== 'reading'),
  };
}
