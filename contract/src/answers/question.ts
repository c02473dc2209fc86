import type { InstrumentKind, Picture, PresetView } from '@green-beam/core';

/** What a class is shown, as far as a student may know. */
export interface QuestionLine {
  readonly id: string;
  readonly kind: InstrumentKind;
  readonly instrumentName: string;
  readonly modelName: string;
  /** How a real station is labelled; null for a drawn one. */
  readonly tag: string | null;
}

export interface ClassQuestionAnswer {
  readonly question: QuestionLine | null;
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
export interface StaffQuestion extends QuestionLine {
  readonly question: string;
  readonly picture: Picture;
  readonly text: string;
  readonly unit: string;
  readonly accepted: readonly [low: number, high: number];
  readonly division: number;
  readonly buildUp: readonly string[];
  readonly presets: readonly PresetView[];
  /** Whether the class has been told. */
  readonly revealed: boolean;
  readonly answers: readonly ShownAnswer[];
}

export interface StaffQuestionAnswer {
  readonly question: StaffQuestion | null;
}
