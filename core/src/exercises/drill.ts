import { judgeWorked } from '../answer';
import { worked, type ExerciseKind } from './exercise';

/** One item to work out by hand. */
export const drillKind: ExerciseKind<'drill'> = {
  kindOf: ({ kind }) => kind,
  judge: ({ item }, { text, unit }, conventions) =>
    worked(judgeWorked(item, text, unit, conventions, item.headed)),
};
