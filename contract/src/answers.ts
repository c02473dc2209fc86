import type {
  Conventions,
  DrillVerdict,
  Entry,
  Investigation,
  Choice,
  Mode,
  PartSkill,
  PartVerdict,
  SchoolsView,
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
  readonly parts: readonly PartSkill[];
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
  /** What is said of each part, where the reading is written in its parts. */
  readonly parts: readonly PartVerdict[];
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
  /** The columns that the class writes the reading in; empty where it is written as one number. */
  readonly parts: readonly { readonly key: string; readonly heading: string; readonly unit: string }[];
  /** True where the teacher allows the scale near the pointer to be told in words. */
  readonly mayHear: boolean;
  /** True for a go at what the teacher shows. */
  readonly shown: boolean;
  readonly attempts: readonly AttemptAnswer[];
  readonly triesLeft: number;
}

export interface ConventionsAnswer {
  readonly conventions: Conventions;
}

export interface DrillsAnswer {
  readonly drills: readonly {
    readonly kind: string;
    readonly name: string;
    readonly about: string;
    readonly skill: Skill;
  }[];
}

export interface DrillAttemptAnswer {
  readonly id: string;
  readonly text: string;
  readonly unit: string;
  readonly verdict: DrillVerdict;
  readonly triesLeft: number;
  /** Told only once the item is finished. */
  readonly solution: {
    readonly text: string;
    readonly unit: string;
    readonly working: readonly string[];
  } | null;
}

export interface DrillAnswer {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  readonly prompt: string;
  readonly given: readonly string[];
  readonly unitChoices: readonly string[];
  readonly attempts: readonly DrillAttemptAnswer[];
  readonly triesLeft: number;
}

export interface CalculationAnswer {
  readonly id: string;
  readonly expression: string;
  readonly result: string;
  readonly keeper: string;
}

export interface WordsAnswer {
  readonly words: readonly string[];
}

export interface SchoolsAnswer {
  readonly schools: readonly SchoolsView[];
}

export interface WhichAnswer {
  readonly choices: readonly Choice[];
  /** The plainest that is good enough. */
  readonly plainest: string | null;
}

/** What a class is shown, as far as a student may know. */
export interface ShowLine {
  readonly id: string;
  readonly kind: string;
  readonly instrumentName: string;
  readonly modelName: string;
  /** How a real station is labelled; null for a drawn one. */
  readonly tag: string | null;
}

export interface ShowAnswer {
  readonly show: ShowLine | null;
}

export interface ShownAnswer {
  readonly name: string;
  readonly text: string;
  readonly unit: string;
  readonly value: number | null | undefined;
  readonly right: boolean;
  readonly causes: readonly string[];
}

/** What a class is shown, with its key. */
export interface StaffShow extends ShowLine {
  readonly question: string;
  readonly picture: Picture;
  readonly text: string;
  readonly unit: string;
  readonly accepted: readonly [low: number, high: number];
  readonly division: number;
  readonly buildUp: readonly string[];
  readonly schools: readonly SchoolsView[];
  readonly answers: readonly ShownAnswer[];
}

export interface StaffShowAnswer {
  readonly show: StaffShow | null;
}

/** What a connected balance shows; `none` where none is connected, `silent` where it does not speak. */
export type FeedAnswer =
  | { readonly state: 'none' | 'silent' | 'over' }
  | { readonly state: 'steady' | 'moving'; readonly text: string; readonly unit: string };

export interface TakenReading {
  readonly id: string;
  readonly text: string;
  readonly unit: string;
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
  /** The last of them, by its number: later ones are asked for after it. */
  readonly last: number;
  /** Calculations that were kept here, in the order in which they were. */
  readonly calculations: readonly CalculationAnswer[];
  readonly mayWrite: boolean;
}

/** Entries that arrived after a number. */
export interface EntriesAnswer {
  readonly entries: readonly Entry[];
  readonly last: number;
}

export interface EntryAnswer {
  readonly entry: Entry;
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
  /** Those that come with the app. */
  readonly readyMade: readonly Investigation[];
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
  readonly spoken: boolean;
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
  | { readonly changed: 'board' | 'show'; readonly classId: string }
  | { readonly changed: 'logbook'; readonly logbookId: string; readonly classId: string };
