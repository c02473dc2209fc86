import type { Comparison, Group } from './observation';

/** A first reading at the bench, beside what the instrument truly indicated. Numbers are in the instrument’s unit. */
export interface ReadOnce {
  readonly id: string;
  readonly who: string;
  readonly bench: string;
  /** The day, as `2026-11-03`. */
  readonly day: string;
  readonly make: string;
  readonly value: number;
  readonly truth: number;
  readonly division: number;
  /** What it is read to. */
  readonly step: number;
}

/** Farther off is a misreading to be talked about, and says nothing of how a reader scatters. */
export const farthestOff = 5;

/** Readings that lie off by more divisions than scatter does. */
export const isSlip = ({ value, truth, division }: ReadOnce): boolean =>
  Math.abs(value - truth) > farthestOff * division * (1 + 1e-9);

/** What readings are grouped by. */
export const readingGroupings = ['reader', 'bench', 'make', 'day'] as const;
export type ReadingGrouping = (typeof readingGroupings)[number];

const groupOf: Readonly<Record<ReadingGrouping, (own: ReadOnce) => string>> = {
  reader: ({ who }) => who,
  bench: ({ bench }) => bench,
  make: ({ make }) => make,
  day: ({ day }) => day,
};

/** How far each reading lay off, in divisions of its scale: settings that differ are then of one kind, and the reference is 0. */
export const readersCompared = (readings: readonly ReadOnce[], by: ReadingGrouping): Comparison =>
  comparedBy(readings, by, 'divisions', ({ value, truth, division, step }) => ({
    value: (value - truth) / division,
    reference: 0,
    step: step / division,
  }));

/** Readings of one and the same setting, in its unit, held against what it indicated. */
export const sameTruth = (readings: readonly ReadOnce[], by: ReadingGrouping, unit: string): Comparison =>
  comparedBy(readings, by, unit, ({ value, truth, step }) => ({ value, reference: truth, step }));

function comparedBy(
  readings: readonly ReadOnce[],
  by: ReadingGrouping,
  unit: string,
  seen: (own: ReadOnce) => { readonly value: number; readonly reference: number; readonly step: number },
): Comparison {
  const keys = [...new Set(readings.map(groupOf[by]))].filter((key) => key !== '').sort();
  return {
    unit,
    groups: keys.map((key): Group => {
      const own = readings.filter((reading) => groupOf[by](reading) === key);
      const numbers = own.map(seen);
      return {
        key,
        name: key,
        reference: { value: plain(numbers[0]?.reference ?? 0) },
        step: Math.max(...numbers.map(({ step }) => step)),
        observations: own.map(({ id, who, bench }, at) => ({
          value: plain(numbers[at]?.value ?? 0),
          who,
          bench,
          book: id,
        })),
      };
    }),
  };
}

/** Without the noise of binary numbers. */
const plain = (value: number): string => String(Number(value.toPrecision(12)));
