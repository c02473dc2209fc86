import type { Conventions, Helped, ReadersMark, Mastery, Seated } from '@green-beam/core';
import type { StaffRole, ClassName } from './session';
import type { FoundIn, LogbookLine } from './logbook';
import type { MarkCell, WorkCell } from './review';

export interface BoardReading {
  readonly kind: string;
  readonly text: string;
  readonly unit: string;
  readonly right: boolean;
  /** Names of the faults, alternatives apart; empty when none could be told. */
  readonly causes: readonly string[];
  readonly at: string;
}

export interface BoardStudent {
  readonly id: string;
  readonly name: string;
  readonly group: string | null;
  readonly spoken: boolean;
  /** Missing today. */
  readonly absent: boolean;
  readonly latest: readonly BoardReading[];
  readonly marks: readonly {
    readonly kind: string;
    readonly mark: ReadersMark | null;
    readonly skill: Mastery;
  }[];
  readonly logbooks: readonly (LogbookLine & { readonly found: FoundIn })[];
}

/** What lies before the students of a class at this moment, not done yet. */
export interface AtHandAnswer {
  readonly atHand: readonly {
    readonly studentId: string;
    /** A kind of instrument, or of drill. */
    readonly kind: string;
    readonly since: string;
    readonly tries: number;
  }[];
}

export interface BoardAnswer {
  readonly class: ClassName;
  readonly staffRole: StaffRole;
  readonly instruments: readonly { readonly kind: string; readonly name: string }[];
  /** All students, or those that were asked for. */
  readonly students: readonly BoardStudent[];
  /** How many students there are. */
  readonly size: number;
  readonly readingsToday: number;
  readonly atWorkToday: number;
  /** The misconception that most students share this week. */
  readonly worthFiveMinutes: {
    readonly code: string;
    readonly kind: string;
    readonly title: string;
    readonly hint: string;
    readonly students: readonly string[];
  } | null;
  /** The last questions to the class that some misread, and what became of those since. */
  readonly helped: readonly HelpedLine[];
}

export interface HelpedLine {
  readonly questionId: string;
  readonly kind: string;
  /** The misreading that most made. */
  readonly title: string;
  readonly at: string;
  /** How many made it. */
  readonly misread: number;
  readonly soon: Helped;
  /** About two weeks on; null before then. */
  readonly later: Helped | null;
}

/** One student over time, for a talk with them or with parents. */
export interface StudentAnswer {
  readonly class: ClassName;
  readonly name: string;
  readonly bench: string | null;
  /** First tries by week, the oldest first; a week by its Monday, as `2026-11-02`. */
  readonly weeks: readonly { readonly monday: string; readonly tries: number; readonly right: number }[];
  /** What was read and drilled, and how sure they are of it. */
  readonly practised: readonly {
    readonly kind: string;
    readonly name: string;
    readonly skill: Mastery;
    readonly mark: ReadersMark | null;
  }[];
  /** What was misread, the newest first. */
  readonly misread: readonly { readonly kind: string; readonly title: string; readonly at: string }[];
  readonly logbooks: readonly (MarkCell & { readonly title: string; readonly remarks: readonly string[] })[];
  readonly work: readonly (WorkCell & { readonly title: string; readonly counts: number })[];
}

/** Who teaches a class. */
export interface StaffAnswer {
  readonly class: ClassName;
  readonly staffRole: StaffRole;
  readonly putAway: boolean;
  readonly staff: readonly { readonly id: string; readonly name: string; readonly role: StaffRole }[];
  /** The first password of who had no account yet: it is told once. */
  readonly firstPassword?: string;
}

/** The benches of a class, and who there is to sit at them. */
export interface BenchesAnswer {
  readonly class: ClassName;
  readonly benches: readonly {
    readonly id: string;
    readonly name: string;
    readonly members: readonly string[];
  }[];
  readonly students: readonly (Seated & { readonly name: string; readonly absent: boolean })[];
  /** Pairs who are kept apart when benches are drawn. */
  readonly apart: readonly (readonly string[])[];
}

export interface Slip {
  readonly studentId: string;
  readonly name: string;
  readonly passphrase: string;
}

export interface SlipsAnswer {
  readonly class: ClassName;
  readonly slips: readonly Slip[];
}

/** One version of a class's house rules, with how much work stays with it. */
export interface HouseRulesVersion {
  readonly rules: Conventions;
  readonly madeAt: string;
  readonly logbooks: number;
  readonly settings: number;
}

/** All versions, the newest first. */
export interface HouseRulesAnswer {
  readonly class: ClassName;
  readonly versions: readonly HouseRulesVersion[];
  readonly mayChange: boolean;
}
