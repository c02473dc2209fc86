import type { Conventions } from '../conventions';
import { drillKind } from './drill';
import type { Answers, ExerciseKind, ExerciseNamed, ExerciseOf, JudgedAnswer, Verdicts } from './exercise';
import { rearrangingKind } from './rearranging';
import { settingKind } from './setting';
import { tableKind } from './table';

export type * from './drawn';
export { isDrawn } from './drawn';
export type * from './exercise';
export { exerciseFormat, triesAllowed } from './exercise';
export { apparatusOf, asLeft, divisionOf } from './setting';

/** Every kind of exercise; a new one is a file beside this one and a line here. */
const kinds: { readonly [Of in ExerciseOf]: ExerciseKind<Of> } = {
  setting: settingKind,
  drill: drillKind,
  rearranging: rearrangingKind,
  table: tableKind,
};

const kindNamed = <Of extends ExerciseOf>(of: Of): ExerciseKind<Of> => kinds[of];

/** What an exercise practises: a kind of instrument, a drill. */
export const practisedBy = <Of extends ExerciseOf>(exercise: ExerciseNamed<Of>): string =>
  kindNamed<Of>(exercise.of as Of).kindOf(exercise);

/** What is to be said of an answer. @throws RangeError for an answer that cannot be one */
export const judgeExercise = <Of extends ExerciseOf>(
  exercise: ExerciseNamed<Of>,
  answer: Answers[Of],
  conventions: Conventions,
): JudgedAnswer<Verdicts[Of]> => kindNamed<Of>(exercise.of as Of).judge(exercise, answer, conventions);
