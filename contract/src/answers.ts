import type {
  Conventions,
  Entry,
  Investigation,
  Mode,
  Picture,
  ReadersMark,
  Skill,
  Verdict,
} from '@green-beam/core';

export type Role = 'teacher' | 'student';
export type StaffRole = 'owner' | 'co-teacher' | 'assistant';

export interface ClassName {
  readonly id: string;
  readonly code: string;
  readonly name: string;
}

export interface Who {
  readonly id: string;
  readonly role: Role;
  readonly name: string;
  /** A student's one class; a teacher's classes. */
  readonly classes: readonly ClassName[];
}

export interface SessionAnswer {
  readonly who: Who | null;
}

export interface BenchInstrument {
  readonly kind: string;
  readonly name: string;
  readonly models: readonly { readonly id: string; readonly name: string }[];
  readonly skill: Skill;
  readonly mark: ReadersMark | null;
}

export interface BenchAnswer {
  readonly instruments: readonly BenchInstrument[];
  /** What to practise next. */
  readonly suggestion: Skill | null;
}

/** Told only once a setting is finished. */
export interface Solution {
  readonly text: string;
  readonly unit: string;
  readonly buildUp: readonly string[];
  /** Last answer less truth, in divisions; null when it could not be compared. */
  readonly divisionsOff: number | null;
  /** Half the width of what is accepted, in divisions. */
  readonly acceptedDivisions: number;
}

export interface AttemptAnswer {
  readonly id: string;
  readonly text: string;
  readonly unit: string;
  readonly verdict: Verdict;
  readonly triesLeft: number;
  readonly solution: Solution | null;
}

export interface SettingAnswer {
  readonly id: string;
  readonly kind: string;
  readonly instrumentName: string;
  readonly question: string;
  readonly mode: Mode;
  readonly modelName: string;
  readonly unitChoices: readonly string[];
  readonly picture: Picture;
  readonly attempts: readonly AttemptAnswer[];
  readonly triesLeft: number;
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
}

export interface LogbooksAnswer {
  readonly logbooks: readonly LogbookLine[];
}

export interface LogbookAnswer {
  readonly id: string;
  readonly investigation: Investigation;
  readonly conventions: Conventions;
  readonly readers: readonly string[];
  /** In the order in which they arrived. */
  readonly entries: readonly Entry[];
  readonly mayWrite: boolean;
}

export interface EntryAnswer {
  readonly entry: Entry;
}

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
  readonly latest: readonly BoardReading[];
  readonly marks: readonly {
    readonly kind: string;
    readonly mark: ReadersMark | null;
    readonly skill: Skill;
  }[];
  readonly logbooks: readonly LogbookLine[];
}

export interface BoardAnswer {
  readonly class: ClassName;
  readonly staffRole: StaffRole;
  readonly instruments: readonly { readonly kind: string; readonly name: string }[];
  readonly students: readonly BoardStudent[];
  readonly readingsToday: number;
  readonly atWorkToday: number;
  /** The misconception that most students share this week. */
  readonly worthFiveMinutes: {
    readonly code: string;
    readonly kind: string;
    readonly title: string;
    readonly look: string;
    readonly students: readonly string[];
  } | null;
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

/** What the event stream says: something changed, fetch it again. */
export type LiveEvent =
  | { readonly changed: 'board'; readonly classId: string }
  | { readonly changed: 'logbook'; readonly logbookId: string; readonly classId: string };
