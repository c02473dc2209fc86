interface ColumnHead {
  /** Its name in formulas: a letter, then letters and digits. */
  readonly key: string;
  readonly heading: string;
  readonly symbol: string;
}
/**
 * How a cell is read, where it is not one number: the instrument’s own zero, which may be less than nothing; several readings of one
 * thing that is turned between them, `14.02; 14.04`; the main scale and the line that meets one, `14 + 7`.
 */
export const manners = ['zero', 'turned', 'parts'] as const;
export type Manner = (typeof manners)[number];

/** Read from an instrument of the kit, in its unit. */
export interface MeasuredColumn extends ColumnHead {
  readonly kind: 'measured';
  readonly unit: string;
  readonly tag: string;
  readonly manner?: Manner | undefined;
  /** The column of its table whose reading is made here once more, by somebody else who has not seen it. */
  readonly secondOf?: string | undefined;
  /** What was planned to be there: a reading is not to be replaced by it. */
  readonly planned?: string | undefined;
  /** True where one and the same thing is carried through all trials. */
  readonly carried?: boolean | undefined;
  /** True where its values differ by plan: amounts, pieces, rising levels. Then they have neither scatter nor mean. */
  readonly differs?: boolean | undefined;
}
/** A time of day, `14:05` or `14:05:30`; in formulas, minutes since the first time that was written, across midnight. */
export interface ClockColumn extends ColumnHead {
  readonly kind: 'clock';
}
/** A whole number, exact. */
export interface CountColumn extends ColumnHead {
  readonly kind: 'count';
  readonly unit: string;
  /** As for a measured column. */
  readonly differs?: boolean | undefined;
}
/** A formula over the columns before it. */
export interface DerivedColumn extends ColumnHead {
  readonly kind: 'derived';
  readonly unit: string;
  readonly formula: string;
  /** Whether Green Beam reckons it, or the student does and is checked. */
  readonly by: 'app' | 'student';
  /** For a difference: whether it must come out positive. */
  readonly rises?: boolean | undefined;
}
/** A value that is looked up or supplied, with how far it may be off. */
export interface GivenValue {
  readonly value: string;
  readonly plusMinus?: string | undefined;
  readonly source: string;
}
/** Given, not measured: one value for all rows, or one for each named row. */
export interface GivenColumn extends ColumnHead {
  readonly kind: 'given';
  readonly unit: string;
  readonly values: readonly GivenValue[];
}
/** A correction by judgement, ± by judgement, with its reason: a drop that was lost, wax on a rim. It is never folded into a reading. */
export interface AllowanceColumn extends ColumnHead {
  readonly kind: 'allowance';
  readonly unit: string;
}
/** One of several words. */
export interface ChoiceColumn extends ColumnHead {
  readonly kind: 'choice';
  readonly options: readonly string[];
}
/** Words. */
export interface TextColumn extends ColumnHead {
  readonly kind: 'text';
}
export type Column =
  | MeasuredColumn
  | ClockColumn
  | CountColumn
  | DerivedColumn
  | GivenColumn
  | AllowanceColumn
  | ChoiceColumn
  | TextColumn;

export const unitOf = (column: Column): string =>
  column.kind === 'clock' ? 'min' : isWords(column) ? '' : column.unit;

/** A column that holds words, no number. */
export const isWords = (column: Column): column is ChoiceColumn | TextColumn =>
  column.kind === 'choice' || column.kind === 'text';
