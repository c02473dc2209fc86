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
  /** The same, each reading by itself: √Σ c². The first look at a clock is the zero of all of them: c − Σ c. */
  readonly readings: readonly Contribution[];
  readonly others: readonly Contribution[];
  /** What is given by one base unit more of each reading, by the name of its input. */
  readonly by: ReadonlyMap<string, number>;
}

/**
 * Adds up the components of inputs by their cause.
 * @param by what is given by one base unit more of an input.
 * @param looks the inputs that are looks at a clock.
 */
export function partsOf(
  by: ReadonlyMap<string, number>,
  inputs: ReadonlyMap<string, Input>,
  looks: ReadonlySet<string>,
): LineParts {
  const together = new Map<string, Contribution>();
  const apart = new Map<string, number>();
  const first = [...looks].find((name) => inputs.get(name)?.value === 0);
  const shift = [...looks].reduce((sum, name) => sum + (by.get(name) ?? 0), 0);
  for (const [name, amount] of by)
    for (const { source, kind, u, degrees } of inputs.get(name)?.components ?? []) {
      const contribution = (together.get(source)?.contribution ?? 0) + amount * u;
      together.set(source, { source, kind, contribution, ...(degrees === undefined ? {} : { degrees }) });
      const alone = name === first ? amount - shift : amount;
      if (kind === 'reading') apart.set(source, Math.hypot(apart.get(source) ?? 0, alone * u));
    }
  const all = [...together.values()];
  return {
    habits: all.filter(({ kind }) => kind === 'reading'),
    readings: [...apart].map(([source, contribution]) => ({ source, kind: 'reading', contribution })),
    others: all.filter(({ kind }) => kind !== 'reading'),
    by,
  };
}
