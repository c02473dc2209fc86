import type {
  Choice,
  Conventions,
  InstrumentKind,
  Make,
  Mode,
  PartMastery,
  PartVerdict,
  DrawnPicture,
  Picture,
  ReadersMark,
  PresetView,
  Mastery,
  Verdict,
} from '@green-beam/core';

/** A make as its card tells it. */
export type BenchMake = Pick<Make, 'id' | 'name' | 'unit' | 'division' | 'lowest' | 'highest' | 'tolerance'>;

/** What a teacher may set by hand beside the reading: a number, or one of some choices. */
export interface BenchOption {
  readonly key: string;
  readonly name: string;
  /** For a number: true in the unit of the make, false in millimetres. */
  readonly inItsUnit: boolean;
  readonly choices: readonly { readonly value: string; readonly name: string }[];
}

export interface BenchInstrument {
  readonly quantity: string;
  readonly kind: InstrumentKind;
  readonly name: string;
  readonly models: readonly BenchMake[];
  readonly options: readonly BenchOption[];
  readonly skill: Mastery;
  readonly parts: readonly PartMastery[];
  readonly mark: ReadersMark | null;
}

export interface BenchAnswer {
  readonly instruments: readonly BenchInstrument[];
  /** What to practise next. */
  readonly suggestion: Mastery | null;
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
  readonly verdict: Verdict | HeldBack;
  /** True where it came after what is right had been told: then it does not count. Absent for false. */
  readonly late?: boolean;
  /** What is said of each part, where the reading is written in its parts. */
  readonly parts: readonly PartVerdict[];
  readonly triesLeft: number;
  readonly solution: Solution | null;
}

/** An answer that is kept, and judged in sight once the teacher reveals what is right. */
export interface HeldBack {
  readonly outcome: 'held';
}

export interface SettingAnswer {
  readonly id: string;
  readonly kind: InstrumentKind;
  readonly instrumentName: string;
  readonly question: string;
  readonly mode: Mode;
  readonly modelName: string;
  readonly unitChoices: readonly string[];
  /** Shapes alone while marks hang on it, or its answer is held back. */
  readonly picture: Picture | DrawnPicture;
  /** The columns that the class writes the reading in; empty where it is written as one number. */
  readonly parts: readonly { readonly key: string; readonly heading: string; readonly unit: string }[];
  /** True where the class reads it by eye between its lines. */
  readonly estimated: boolean;
  /** True where the teacher allows the scale near the pointer to be told in words. */
  readonly mayHear: boolean;
  /** True for a go at what the teacher shows. */
  readonly shown: boolean;
  /** The work that is set for which it was taken. */
  readonly task: string | null;
  /** True as long as nothing is told of answers to it. */
  readonly held: boolean;
  readonly attempts: readonly AttemptAnswer[];
  readonly triesLeft: number;
}

export interface ConventionsAnswer {
  readonly conventions: Conventions;
}

export interface WordsAnswer {
  readonly words: readonly string[];
}

export interface PresetsAnswer {
  readonly presets: readonly PresetView[];
}

export interface WhichAnswer {
  readonly choices: readonly Choice[];
  /** The plainest that is good enough. */
  readonly plainest: string | null;
}
