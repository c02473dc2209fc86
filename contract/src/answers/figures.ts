import type { Claim, Mastery, StatedElsewhere, WorkedVerdict } from '@green-beam/core';
import type { HeldBack } from './bench';

export interface DrillsAnswer {
  readonly drills: readonly {
    readonly kind: string;
    readonly name: string;
    readonly about: string;
    readonly skill: Mastery;
  }[];
}

export interface DrillAttemptAnswer {
  readonly id: string;
  readonly text: string;
  readonly unit: string;
  readonly verdict: WorkedVerdict | HeldBack;
  readonly triesLeft: number;
  /** Told only once the item is finished. */
  readonly solution: {
    readonly text: string;
    readonly unit: string;
    readonly working: readonly string[];
    /** How classes with other house rules write it. */
    readonly elsewhere: readonly StatedElsewhere[];
  } | null;
}

export interface DrillAnswer {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  readonly prompt: string;
  readonly given: readonly string[];
  /** True where the doubtful digit is what is asked for. */
  readonly unmarked: boolean;
  readonly unitChoices: readonly string[];
  /** Writings of which one is chosen; null where the answer is written. */
  readonly choices: readonly Claim[] | null;
  /** The work that is set for which it was taken. */
  readonly task: string | null;
  /** True as long as nothing is told of answers to it. */
  readonly held: boolean;
  readonly attempts: readonly DrillAttemptAnswer[];
  readonly triesLeft: number;
}

/** What is said of a formula that was solved, or of a table that was looked through. */
export interface PractisedAnswer {
  readonly id: string;
  readonly verdict: WorkedVerdict;
  readonly triesLeft: number;
}

export interface CalculationAnswer {
  readonly id: string;
  readonly expression: string;
  readonly result: string;
  readonly keeper: string;
}
