import type { WorkedVerdict } from '../answer';
import type { Conventions } from '../conventions';
import type { DrillItem, Mark, Rearranging } from '../drills';
import type { Setting } from '../instruments';
import type { Mode, Verdict } from '../reading';
import type { AuditTable } from '../record';

/** The version of the form in which what was asked is kept. */
export const exerciseFormat = 1;

/** Tries at one exercise before its answer is told. */
export const triesAllowed = 3;

/** What was put before a person, whole: how it is made may change, what was asked does not. */
export type Exercise =
  /** An apparatus to read, or to handle first. */
  | Kept<
      'setting',
      {
        readonly mode: Mode;
        readonly setting: Setting;
        /** The misreading, by its code, at which it aims at its reader. */
        readonly aim?: string;
      }
    >
  | Kept<'drill', { readonly kind: string; readonly level: number; readonly item: DrillItem }>
  | Kept<'rearranging', { readonly item: Rearranging }>
  /** A results table in which faults are to be spotted. */
  | Kept<'table', { readonly table: AuditTable }>;

type Kept<Of extends string, What> = { readonly format: typeof exerciseFormat; readonly of: Of } & What;

export type ExerciseOf = Exercise['of'];
export type ExerciseNamed<Of extends ExerciseOf> = Extract<Exercise, { readonly of: Of }>;

/** What an apparatus is left like, as its own file describes it. */
export type Hands = Readonly<Record<string, number | boolean>>;

/** What somebody answers to each. */
export interface Answers {
  readonly setting: {
    readonly text: string;
    readonly unit: string;
    readonly hands: Hands | null;
    /** The parts of the reading, as written, where they are written apart. */
    readonly parts: Readonly<Record<string, string>> | null;
  };
  readonly drill: { readonly text: string; readonly unit: string };
  readonly rearranging: { readonly text: string };
  readonly table: { readonly marks: readonly Mark[] };
}

/** What is said of an answer to each. */
export interface Verdicts {
  readonly setting: Verdict;
  readonly drill: WorkedVerdict;
  readonly rearranging: WorkedVerdict;
  readonly table: WorkedVerdict;
}

/** A verdict, with the number that was written and how far it is off, where it can be compared. */
export interface JudgedAnswer<V> {
  readonly verdict: V;
  /** In the instrument's own unit. */
  readonly value: number | null;
  /** Signed, in divisions. */
  readonly divisionsOff: number | null;
}

/** One kind of exercise; every kind is one object of this shape. */
export interface ExerciseKind<Of extends ExerciseOf> {
  /** What it practises: a kind of instrument, a drill. */
  kindOf(exercise: ExerciseNamed<Of>): string;
  /** @throws RangeError for an answer that cannot be one, such as hands outside their range */
  judge(
    exercise: ExerciseNamed<Of>,
    answer: Answers[Of],
    conventions: Conventions,
  ): JudgedAnswer<Verdicts[Of]>;
}

/** Nothing to compare with a scale. */
export const worked = (verdict: WorkedVerdict): JudgedAnswer<WorkedVerdict> => ({
  verdict,
  value: null,
  divisionsOff: null,
});
