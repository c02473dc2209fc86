import type { ExerciseNamed, ExerciseOf } from '@green-beam/core';

/** An exercise as it lies before somebody, with the version of the house rules that it was given under. */
export interface Laid<Of extends ExerciseOf = ExerciseOf> {
  readonly id: string;
  readonly personId: string;
  readonly conventionsId: string | null;
  /** The question to a class that it is a go at, if it is one. */
  readonly questionId: string | null;
  /** What it was made from; null where its maker chose it. */
  readonly seed: number | null;
  readonly exercise: ExerciseNamed<Of>;
}
