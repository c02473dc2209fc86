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
  /** The column of words for each of which it is reckoned: which vessel, what colour. */
  readonly perWord?: string | undefined;
}
/** The mean of a derived column over the trials. */
export interface MeanPlan extends ResultHead {
  readonly kind: 'mean';
  readonly column: string;
  /** How far values may lie apart, in the result’s unit, to be averaged; the others are kept and marked. All of them where none is said. */
  readonly concordant?: string | undefined;
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
