import type { Conventions } from '../conventions';
import { Decimal, writeTracked, type EvaluationStep, type Quantity } from '../figures';
import type { Column } from './investigation';

export type Standing = 'counts' | 'abandoned' | 'excluded';

/** What a derived cell comes to. */
export type Derived =
  | { readonly state: 'open'; readonly missing: readonly string[] }
  | {
      readonly state: 'refused';
      readonly reason: string;
      /** True where it comes out the wrong way round; else it cannot be worked at all. */
      readonly wrongWay: boolean;
    }
  | {
      readonly state: 'reckoned';
      readonly value: Quantity;
      /** Rounded as the class does. */
      readonly text: string;
      readonly steps: readonly EvaluationStep[];
    };

/** One trial of one table as it stands. */
export interface Trial {
  readonly table: string;
  readonly trial: number;
  readonly standing: Standing;
  /** Why it does not count, in the words of who said so. */
  readonly reason: string | null;
  /** Values of the columns that are written, by key. */
  readonly read: Readonly<Record<string, Quantity>>;
  /** The words that were chosen, by the key of their column; empty for none of them. */
  readonly words?: Readonly<Record<string, string>>;
  /** How far its allowances may be off, by the key of their column, in its unit. */
  readonly allowed?: Readonly<Record<string, number>>;
  /** How far what was turned may be off by where it was turned to, by the key of its column, in its unit. */
  readonly spread?: Readonly<Record<string, number>>;
  /** On what its columns were read, by key, where that is another piece of the kit than their own. */
  readonly readOn?: Readonly<Record<string, string>>;
  readonly derived: Readonly<Record<string, Derived>>;
  /** True when everything that is to be written is there, and nothing is refused. */
  readonly complete: boolean;
}

export const valueIn = (trial: Trial | undefined, { key }: Column): Quantity | undefined => {
  const cell = trial?.derived[key];
  return trial?.read[key] ?? (cell?.state === 'reckoned' ? cell.value : undefined);
};

/** Every value of a trial, read or reckoned, by the key of its column. */
export const valuesOf = ({
  read,
  derived,
}: Pick<Trial, 'read' | 'derived'>): Readonly<Record<string, Quantity>> => ({
  ...read,
  ...Object.fromEntries(
    Object.entries(derived).flatMap(([key, cell]) => (cell.state === 'reckoned' ? [[key, cell.value]] : [])),
  ),
});

/** As the class writes it: by the data, or to a fixed count of figures. */
export function writtenValue(value: Quantity, { rounding, resultDigits, fixedFigures }: Conventions): string {
  if (resultDigits === 'data' || value.lastPlace === null || value.value.isZero())
    return value.lastPlace === null
      ? value.value.toSignificantDigits(12).toString()
      : writeTracked(value, rounding);
  return writeTracked({ value: value.value, lastPlace: value.value.e - fixedFigures + 1 }, rounding);
}

/** A mean of a column; that of counts is no count and gets a decimal of its own. */
export const writtenMean = (mean: Quantity, conventions: Conventions): string =>
  writtenValue(mean.lastPlace === null ? { ...mean, lastPlace: -1 } : mean, conventions);

/** The mean of a column over the trials that count, to the coarsest last place among them; null for none. */
export function meanOf(trials: readonly Trial[], column: Column): Quantity | null {
  const values = trials.flatMap((trial) =>
    trial.standing === 'counts' ? (valueIn(trial, column) ?? []) : [],
  );
  const [first] = values;
  if (!first) return null;
  const sum = values.reduce((total, { value }) => total.plus(value), new Decimal(0));
  const places = values.flatMap(({ lastPlace }) => lastPlace ?? []);
  return {
    ...first,
    value: sum.div(values.length),
    lastPlace: places.length === 0 ? null : Math.max(...places),
  };
}
