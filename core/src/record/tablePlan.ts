import type { Column } from './column';
import type { Accepted } from './resultPlan';

/** What may stand under a column that repeats: how many, their mean, how they scatter, what is off of instruments, the whole ±. */
export const footKinds = [
  'n',
  'mean',
  's',
  's of the mean',
  'mean deviation',
  'range',
  'instruments',
  'plus minus',
] as const;
export type FootKind = (typeof footKinds)[number];

export const replicateWays = ['afresh', 'one receiver', 'mark to mark'] as const;
export type Replicates = (typeof replicateWays)[number];

/** A row that is planned: a piece, a vessel, a bath. */
export interface NamedRow {
  readonly key: string;
  readonly name: string;
  /** What is accepted for its results, where these are reckoned for each row. */
  readonly accepted?: Accepted | undefined;
}

/** A row that the teacher measured: it stands in every logbook, unalterable, and is left to be worked. */
export interface SuppliedRow {
  readonly reader: string;
  /** The day, `2026-10-12`. */
  readonly on: string;
  /** Texts as they were read, by the key of their column. */
  readonly cells: Readonly<Record<string, string>>;
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
  /** What stands under its columns, in this order; the mean alone where none is said. */
  readonly foot?: readonly FootKind[] | undefined;
  readonly columns: readonly Column[];
  /** Its first trials, where these were measured by the teacher. */
  readonly supplied?: readonly SuppliedRow[] | undefined;
}

/** Trials of one logbook at most, in each table. */
export const mostTrials = 200;
