import type { NewRearranged, NewSpotted, PractisedAnswer } from '@green-beam/contract';
import {
  exerciseFormat,
  faultyTable,
  judgeExercise,
  type Answers,
  type ExerciseNamed,
} from '@green-beam/core';
import type { Caller } from '../access/caller';
import { layOut, ownExercise } from '../exercises/exercises';
import { leftAfter, takeTry } from '../exercises/tries';
import { Problem } from '../http/problem';
import { ofOnesOwn } from '../kept/laid';
import type { Services } from '../services';

/** Keeps what was written for a letter of a formula, judged as the page judged it. @throws Problem */
export const keepRearranged = async (
  services: Services,
  who: Caller,
  { id, exerciseId, formula, wanted, text }: NewRearranged,
): Promise<PractisedAnswer> => {
  const item = await services.workers.run('rearrange', { formula, wanted }, who.id);
  if (!item) throw new Problem('not-valid', `“${formula}” cannot be solved for “${wanted}”.`);
  const exercise = { format: exerciseFormat, of: 'rearranging', item } as const;
  return keep(services, who, exerciseId, 'rearranging', { exercise, seed: null }, { id, answer: { text } });
};

/** Keeps what was marked in a table, judged as the page judged it. @throws Problem */
export const keepSpotted = (
  services: Services,
  who: Caller,
  { id, exerciseId, seed, marks }: NewSpotted,
): Promise<PractisedAnswer> => {
  const exercise = { format: exerciseFormat, of: 'table', table: faultyTable(seed) } as const;
  return keep(services, who, exerciseId, 'table', { exercise, seed }, { id, answer: { marks } });
};

/** An exercise that the page made by itself is kept with the first try at it. @throws Problem */
async function keep<Of extends 'rearranging' | 'table'>(
  services: Services,
  who: Caller,
  exerciseId: string,
  of: Of,
  { exercise, seed }: { readonly exercise: ExerciseNamed<Of>; readonly seed: number | null },
  given: { readonly id: string; readonly answer: Answers[Of] },
): Promise<PractisedAnswer> {
  const { conventionsId } = who;
  const own = { ...ofOnesOwn, id: exerciseId, personId: who.id, conventionsId, seed, exercise };
  const laid = (await layOut(services, own)) ? own : await ownExercise(services, who, of, exerciseId);
  const conventions = await services.kept.conventions(laid.conventionsId);
  const tried = await takeTry(services, who, laid, given, () =>
    judgeExercise(laid.exercise, given.answer, conventions),
  );
  return { id: given.id, verdict: tried.own.verdict, triesLeft: leftAfter(tried, laid) };
}
