import type { Band } from '../conventions';
import type { InstrumentKind } from '../conventions/kinds';

/** The version of the open format in which an investigation is kept. */
export const formatVersion = 2;
/** Versions that can be read. What 2 added may be absent, so that a file of 1 is read as it stands. */
export const readableFormats = [1, 2] as const;

/** One piece of the kit of an investigation. */
export interface KitItem {
  readonly tag: string;
  readonly kind: InstrumentKind;
  readonly model: string;
  /** How far its zero may stand off, in its own unit, where it was not checked; it cancels in a difference. */
  readonly offset?: string | undefined;
  /** How far its scale may be too long or too short, in percent; it cancels in a ratio only. */
  readonly scalePercent?: string | undefined;
}

export interface MethodStep {
  readonly text: string;
  /** Protects the number; says which error it prevents. */
  readonly precaution?: string | undefined;
  /** Protects people. */
  readonly caution?: string | undefined;
  /** Minutes in which nothing is to be done but wait. */
  readonly waitMinutes?: number | undefined;
}

interface ColumnHead {
  /** Its name in formulas: a letter, then letters and digits. */
  readonly key: string;
  readonly heading: string;
  readonly symbol: string;
}
/** Read from an instrument of the kit, in its unit. */
export interface MeasuredColumn extends ColumnHead {
  readonly kind: 'measured';
  readonly unit: string;
  readonly tag: string;
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
  MeasuredColumn | ClockColumn | CountColumn | DerivedColumn | GivenColumn | ChoiceColumn | TextColumn;

export const replicateWays = ['afresh', 'one receiver', 'mark to mark'] as const;
export type Replicates = (typeof replicateWays)[number];

/** A row that is planned: a piece, a vessel, a bath. */
export interface NamedRow {
  readonly key: string;
  readonly name: string;
  /** What is accepted for its results, where these are reckoned for each row. */
  readonly accepted?: Accepted | undefined;
}

export interface Table {
  readonly key: string;
  readonly title: string;
  /** Complete trials that are wanted; of named rows, as many of each. */
  readonly trials: number;
  /** Rows with names, in place of trials that are all alike. */
  readonly rows?: readonly NamedRow[] | undefined;
  /** How its trials share: afresh, poured one after the other into one receiver, or from mark to mark in one vessel. */
  readonly replicates?: Replicates | undefined;
  readonly columns: readonly Column[];
}

export interface Accepted {
  readonly value: string;
  /** How far it may be off itself, as ±: the mark of a vessel is as good as its maker promises. */
  readonly tolerance?: string | undefined;
  readonly unit: string;
  readonly source: string;
}

interface ResultHead {
  readonly key: string;
  readonly name: string;
  readonly symbol: string;
  readonly unit: string;
  readonly accepted: Accepted | null;
  /** Results of one name here are the same quantity, by different routes. */
  readonly quantity?: string | undefined;
  /** The table for each of whose named rows it is reckoned; over all trials where none is said. */
  readonly perRow?: string | undefined;
}
/** The mean of a derived column over the trials. */
export interface MeanPlan extends ResultHead {
  readonly kind: 'mean';
  readonly column: string;
}
/** A formula over the means of columns. */
export interface ValuePlan extends ResultHead {
  readonly kind: 'value';
  readonly formula: string;
}
/** A straight line through the trials: its slope, its height at an x, or where it reaches a y. */
export interface LinePlan extends ResultHead {
  readonly kind: 'line';
  readonly x: string;
  readonly y: string;
  readonly throughOrigin: boolean;
  readonly gives: 'slope' | 'y' | 'x';
  /** The x or the y at which it is asked, in the unit of that column. */
  readonly at?: string | undefined;
}
export type ResultPlan = MeanPlan | ValuePlan | LinePlan;

export interface AskedQuestion {
  readonly key: string;
  readonly when: 'before' | 'after';
  readonly text: string;
  /** A statement is called true, or put right. */
  readonly kind: 'text' | 'statement';
}

export interface AskedPrediction {
  readonly key: string;
  readonly text: string;
  readonly unit: string;
  /** The result that it is compared with. */
  readonly result: string;
}

/** What a class sets out to measure, as plain data. The first result is what it is about; others are other routes. */
export interface Investigation {
  readonly format: (typeof readableFormats)[number];
  readonly title: string;
  readonly aim: string;
  readonly object: string;
  /** Why this way and not another. */
  readonly route: string;
  readonly kit: readonly KitItem[];
  readonly steps: readonly MethodStep[];
  readonly tables: readonly Table[];
  readonly results: readonly ResultPlan[];
  readonly predictions: readonly AskedPrediction[];
  readonly questions: readonly AskedQuestion[];
  /** Causes of error that belong to the method, by their codes. */
  readonly causes: readonly string[];
  /** Words for a percent error here, in place of the class's own. */
  readonly bands: readonly Band[] | null;
  /** Whether numbers supplied by the teacher may stand in a trial. */
  readonly supplied: boolean;
  /** Whether students see the second look before they hand in. */
  readonly secondLook: 'students' | 'teacher';
  /** A trial worked by the teacher, as a model: texts by column, and a word on it. */
  readonly model: { readonly cells: Readonly<Record<string, string>>; readonly words: string } | null;
}

/** The kit item behind a tag. @throws RangeError when the kit does not hold it. */
export function kitOf({ kit }: Investigation, tag: string): KitItem {
  const item = kit.find((candidate) => candidate.tag === tag);
  if (!item) throw new RangeError(`The kit holds nothing tagged “${tag}”.`);
  return item;
}

/** A column with its table, by its key; undefined where there is none. */
export function columnOf(
  { tables }: Investigation,
  key: string,
): { readonly table: Table; readonly column: Column } | undefined {
  for (const table of tables) {
    const column = table.columns.find((candidate) => candidate.key === key);
    if (column) return { table, column };
  }
  return undefined;
}

export const unitOf = (column: Column): string =>
  column.kind === 'clock' ? 'min' : isWords(column) ? '' : column.unit;

/** A column that holds words, no number. */
export const isWords = (column: Column): column is ChoiceColumn | TextColumn =>
  column.kind === 'choice' || column.kind === 'text';

/** Trials of one logbook at most, in each table. */
export const mostTrials = 200;
