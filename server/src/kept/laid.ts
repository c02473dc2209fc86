import { triesAllowed, type ExerciseNamed, type ExerciseOf } from '@green-beam/core';

/** An exercise as it lies before somebody, with the version of the house rules that it was given under. */
export interface Laid<Of extends ExerciseOf = ExerciseOf> {
  readonly id: string;
  readonly personId: string;
  readonly conventionsId: string | null;
  /** The question to a class that it is a go at, if it is one; the work that is set for which it was taken. */
  readonly questionId: string | null;
  readonly taskId: string | null;
  /** What holds its answers back until that is revealed: its question or its task. */
  readonly heldBy: string | null;
  /** Which of its task it is, of those of its kind, where they are taken in order; null elsewhere. */
  readonly place: number | null;
  /** How often it may be answered. */
  readonly triesAllowed: number;
  /** What it was made from; null where its maker chose it. */
  readonly seed: number | null;
  readonly exercise: ExerciseNamed<Of>;
}

/** Why something lies before somebody, and by which rules. */
export type Occasion = Pick<Laid, 'questionId' | 'taskId' | 'heldBy' | 'place' | 'triesAllowed'>;

/** They took it by themselves. */
export const ofOnesOwn: Occasion = {
  questionId: null,
  taskId: null,
  heldBy: null,
  place: null,
  triesAllowed,
};
