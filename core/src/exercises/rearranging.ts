import { checkRearranged } from '../drills';
import { worked, type ExerciseKind } from './exercise';

/** A formula to be solved for one of its letters. */
export const rearrangingKind: ExerciseKind<'rearranging'> = {
  kindOf: () => 'rearranging',
  judge: ({ item }, { text }) => worked(checkRearranged(item, text)),
};
