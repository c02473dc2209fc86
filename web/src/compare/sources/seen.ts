import type { Comparison } from '@green-beam/core';

/** What is seen at an address where groups are compared. */
export interface Seen {
  readonly comparison: Comparison;
  /** What the place is called. */
  readonly name: string;
  /** Names the trials, of those of one logbook, reading or piece: the same for groups that may be of the same ones. */
  readonly trials: string;
  /** Codes of the causes of error that belong to the method. */
  readonly causes: readonly string[];
}
