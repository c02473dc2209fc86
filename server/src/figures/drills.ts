import type {
  DrillAnswer,
  DrillAttemptAnswer,
  DrillsAnswer,
  NewDrill,
  NewDrillAttempt,
} from '@green-beam/contract';
import {
  drillOf,
  drills,
  exerciseFormat,
  itemElsewhere,
  judgeExercise,
  makeItem,
  masteryOf,
  practisedOnPages,
  type FirstTry,
} from '@green-beam/core';
import type { Caller } from '../access/caller';
import { layOut, ownExercise, standingAt } from '../exercises/exercises';
import { isHeldBack } from '../exercises/heldBack';
import { leftAfter, leftOf, takeTry, triesAt, type Tried } from '../exercises/tries';
import { paces } from '../http/pace';
import { rejectRangeErrors } from '../http/problem';
import type { Laid } from '../kept/laid';
import type { Services } from '../services';
import { rulesFor } from '../tasks/rules';

/** Every drill, with what the caller can do with each. */
export async function drillsFor({ kept }: Services, who: Caller): Promise<DrillsAnswer> {
  const { tries } = await kept.practices.ofOne(who.id);
  return {
    drills: [...drills, ...practisedOnPages].map(({ kind, name, about }) => ({
      kind,
      name,
      about,
      skill: masteryOf(kind, tries),
    })),
  };
}

/** Lays out an item. A repeated request with the same id gives the same item. @throws Problem */
export async function layOutDrill(
  services: Services,
  who: Caller,
  { id, kind, task }: NewDrill,
): Promise<DrillAnswer> {
  const { kept, seed, now, paces: counted } = services;
  counted.count('exercise', who.id, now().getTime(), paces.exercises);
  const drill = rejectRangeErrors(() => drillOf(kind));
  const { occasion, open } = await rulesFor(services, who, drill.kind, task);
  if (open !== null) return drillAnswer(services, await ownExercise(services, who, 'drill', open));
  const { tries } = await kept.practices.ofOne(who.id);
  const conventions = await kept.conventions(who.conventionsId);
  const [level, drawn] = [levelFor(drill.kind, tries), seed()];
  const item = makeItem(drill, conventions, level, drawn);
  const exercise = { format: exerciseFormat, of: 'drill', kind: drill.kind, level, item } as const;
  const { conventionsId } = who;
  const laid = { ...occasion, id, personId: who.id, conventionsId, seed: drawn, exercise };
  const added = await layOut(services, laid);
  return drillAnswer(
    services,
    added ? laid : await ownExercise(services, who, 'drill', await standingAt(services, laid)),
  );
}

/** Difficulty follows evidence: plain items first, longer ones once these are steady. */
function levelFor(kind: string, tries: readonly FirstTry[]): number {
  const { state, tries: count } = masteryOf(kind, tries);
  if (state === 'steady') return 2;
  return count >= 3 && tries.find((attempt) => attempt.kind === kind)?.right === true ? 1 : 0;
}

/** An item as it may be shown. */
export async function drillAnswer(services: Services, laid: Laid<'drill'>): Promise<DrillAnswer> {
  const { id, exercise } = laid;
  const tries = await triesAt(services, 'drill', id);
  const held = await isHeldBack(services, laid);
  const { kind, item } = exercise;
  return {
    id,
    kind,
    name: drillOf(kind).name,
    prompt: item.prompt,
    given: item.given,
    unmarked: drillOf(kind).unmarked ?? false,
    unitChoices: item.unitChoices,
    choices: item.choices ?? null,
    attempts: tries.map((own) => answerTo(laid, { own, all: tries }, held)),
    task: laid.taskId,
    held,
    triesLeft: held && tries.length > 0 ? 0 : leftOf(tries, laid),
  };
}

/** Checks one answer. @throws Problem */
export async function answerDrill(
  services: Services,
  who: Caller,
  laid: Laid<'drill'>,
  { id, ...answer }: NewDrillAttempt,
): Promise<DrillAttemptAnswer> {
  const conventions = await services.kept.conventions(laid.conventionsId);
  const held = await isHeldBack(services, laid);
  const judge = () => judgeExercise(laid.exercise, answer, conventions);
  return answerTo(laid, await takeTry(services, who, laid, { id, answer }, judge, held), held);
}

/** @param held true while nothing is told but that it was answered at all. */
function answerTo(laid: Laid<'drill'>, tried: Tried<'drill'>, held: boolean): DrillAttemptAnswer {
  const { exercise, seed } = laid;
  const { id, answer, verdict } = tried.own;
  if (held && (verdict.outcome === 'right' || verdict.outcome === 'wrong'))
    return { id, ...answer, verdict: { outcome: 'held' }, triesLeft: 0, solution: null };
  const triesLeft = leftAfter(tried, laid);
  const { item, kind, level } = exercise;
  return {
    id,
    ...answer,
    verdict,
    triesLeft,
    solution:
      triesLeft === 0
        ? {
            text: item.text,
            unit: item.unit,
            working: item.working,
            elsewhere: seed === null ? [] : itemElsewhere(item, { kind, level, seed }),
          }
        : null,
  };
}

/** An item that was laid out for the caller. @throws Problem for anybody else's */
export const ownItem = (services: Services, who: Caller, id: string): Promise<Laid<'drill'>> =>
  ownExercise(services, who, 'drill', id);
