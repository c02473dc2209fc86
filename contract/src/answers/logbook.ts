import type { Conventions, Entry, Investigation } from '@green-beam/core';
import type { ClassName } from './session';
import type { CalculationAnswer } from './figures';

/** What a second look finds in a logbook, for the staff: how many findings, and the weightiest of them. */
export interface FoundIn {
  readonly count: number;
  /** From 0 for nothing to 3 for what is certain. */
  readonly weight: number;
  readonly sentence: string | null;
}

export interface LogbookLine {
  readonly investigationId: string;
  readonly title: string;
  readonly object: string;
  /** Null until somebody has opened it. */
  readonly logbookId: string | null;
  readonly readers: readonly string[];
  readonly completeTrials: number;
  readonly trialsWanted: number;
  readonly resultText: string | null;
  readonly resultSymbol: string;
  /** True once it was handed in. */
  readonly handedIn: boolean;
  /** What it was given when it came back last, in the list of one’s own logbooks. */
  readonly back?: { readonly mark: number; readonly at: string };
}

export interface LogbooksAnswer {
  readonly logbooks: readonly LogbookLine[];
  /** The class in which one may begin a logbook of one's own; null where one may not. */
  readonly begins: string | null;
}

export interface LogbookAnswer {
  readonly id: string;
  readonly investigation: Investigation;
  readonly conventions: Conventions;
  readonly readers: readonly string[];
  /** In the order in which they arrived. */
  readonly entries: readonly Entry[];
  /** The last of them, by its number: later ones are asked for after it. */
  readonly last: number;
  /** Calculations that were kept here, in the order in which they were. */
  readonly calculations: readonly CalculationAnswer[];
  readonly mayWrite: boolean;
  /** True where the ± of a mean was stated by an earlier version, which left some of it out. */
  readonly reckonedAnew?: boolean;
}

/** Entries that arrived after a number. */
export interface EntriesAnswer {
  readonly entries: readonly Entry[];
  readonly last: number;
}

/** Entries that belong together in the order of their logbook: they come right after a number, and end at another. */
export interface ArrivedEntries {
  readonly entries: readonly Entry[];
  /** Null where that is not known any more, as when something is sent a second time. */
  readonly after: number | null;
  readonly last: number | null;
}

export interface InvestigationLine {
  readonly id: string;
  readonly version: number;
  readonly retired: boolean;
  readonly body: Investigation;
  /** Logbooks that were opened for any of its versions. */
  readonly logbooks: readonly LogbookLine[];
}

export interface InvestigationsAnswer {
  readonly class: ClassName;
  readonly investigations: readonly InvestigationLine[];
  /** Whether its students may begin logbooks of their own. */
  readonly freeLogbooks: boolean;
  /** Those that come with the app. */
  readonly readyMade: readonly Investigation[];
}

/** The logbooks of a class for one investigation, whole: what they are compared from. */
export interface PoolAnswer {
  readonly class: ClassName;
  readonly conventions: Conventions;
  readonly investigation: Investigation;
  readonly books: readonly {
    readonly id: string;
    readonly readers: readonly string[];
    readonly entries: readonly Entry[];
  }[];
}
