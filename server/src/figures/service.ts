import type {
  CalculationAnswer,
  ConventionsAnswer,
  DrillAnswer,
  DrillAttemptAnswer,
  DrillsAnswer,
  NewCalculation,
  NewDrill,
  NewDrillAttempt,
} from '@green-beam/contract';
import {
  judgeWorked,
  drillOf,
  drills,
  evaluate,
  ExpressionProblem,
  makeItem,
  missingSkill,
  masteryOf,
  writeQuantity,
  type Conventions,
  type DrillItem,
  type FirstTry,
} from '@green-beam/core';
import { QueryTypes, UniqueConstraintError } from 'sequelize';
import { rejectRangeErrors, triesAllowed } from '../bench/judging';
import type { DrillAttemptRow, DrillItemRow } from '../database/models';
import { Problem } from '../http/problem';
import type { OpenBook } from '../kept/keptRows';
import { conventionsOfBook, mayWrite } from '../logbook/service';
import type { Services } from '../services';
import type { Caller } from '../access/caller';

/** The conventions that the caller's own work follows. */
export async function conventionsOf({ kept }: Services, who: Caller): Promise<ConventionsAnswer> {
  return { conventions: await kept.conventions(who.conventionsId) };
}

/** Every drill, with what the caller can do with each. */
export async function drillsFor(services: Services, who: Caller): Promise<DrillsAnswer> {
  const tries = await firstTries(services, who);
  return {
    drills: drills.map(({ kind, name, about }) => ({ kind, name, about, skill: masteryOf(kind, tries) })),
  };
}

/** Lays out an item. A repeated request with the same id gives the same item. @throws Problem */
export async function layOutDrill(
  services: Services,
  who: Caller,
  { id, kind }: NewDrill,
): Promise<DrillAnswer> {
  const { database, seed } = services;
  const known = await database.models.drillItems.findByPk(id);
  if (!known) {
    const drill = rejectRangeErrors(() => drillOf(kind));
    try {
      await database.models.drillItems.create({
        id,
        personId: who.id,
        conventionsId: who.conventionsId,
        kind: drill.kind,
        level: levelFor(drill.kind, await firstTries(services, who)),
        seed: seed(),
      });
    } catch (error) {
      if (!(error instanceof UniqueConstraintError)) throw error;
    }
  }
  return drillAnswer(services, await ownItem(services, who, id));
}

/** Difficulty follows evidence: plain items first, longer ones once these are steady. */
function levelFor(kind: string, tries: readonly FirstTry[]): number {
  const { state, tries: count } = masteryOf(kind, tries);
  if (state === 'steady') return 2;
  return count >= 3 && tries.find((attempt) => attempt.kind === kind)?.right === true ? 1 : 0;
}

/** An item as it may be shown. */
export async function drillAnswer(services: Services, { row, item }: OwnItem): Promise<DrillAnswer> {
  const attempts = await attemptsAt(services, row.id);
  return {
    id: row.id,
    kind: row.kind,
    name: drillOf(row.kind).name,
    prompt: item.prompt,
    given: item.given,
    unmarked: drillOf(row.kind).unmarked ?? false,
    unitChoices: item.unitChoices,
    choices: item.choices ?? null,
    attempts: attempts.map((attempt) => answerTo(item, attempt, attempts)),
    triesLeft: closed(attempts) ? 0 : triesAllowed - attempts.length,
  };
}

/** Checks one answer. What cannot be read costs no try. A repeated id is answered as before. @throws Problem */
export async function answerDrill(
  services: Services,
  who: Caller,
  own: OwnItem,
  { id, text, unit }: NewDrillAttempt,
): Promise<DrillAttemptAnswer> {
  const { models } = services.database;
  const { item, conventions } = own;
  const itemId = own.row.id;
  const before = await attemptsAt(services, itemId);
  const repeated = before.find((attempt) => attempt.id === id);
  if (repeated) return answerTo(item, repeated, before);
  if (closed(before)) throw new Problem('setting-closed');
  const verdict = judgeWorked(item, text, unit, conventions, item.headed);
  if (verdict.outcome === 'unreadable')
    return { id, text, unit, verdict, triesLeft: triesAllowed - before.length, solution: null };
  try {
    const kept = await models.drillAttempts.create({
      id,
      itemId,
      personId: who.id,
      ordinal: before.length + 1,
      text,
      unit,
      verdict,
    });
    return answerTo(item, kept, [...before, kept]);
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    const again = await attemptsAt(services, itemId);
    const twin = again.find((attempt) => attempt.id === id);
    if (twin) return answerTo(item, twin, again);
    if (await models.drillAttempts.findByPk(id)) throw new Problem('already-used');
    return answerDrill(services, who, own, { id, text, unit });
  }
}

/** Keeps a calculation in a logbook, reckoned anew by the class's conventions. @throws Problem */
export async function keepCalculation(
  services: Services,
  who: Caller,
  book: OpenBook,
  { id, expression }: NewCalculation,
): Promise<CalculationAnswer> {
  const { models } = services.database;
  mayWrite(book, who);
  const logbookId = book.id;
  const conventions = await conventionsOfBook(services, book);
  let result: string;
  try {
    result = writeQuantity(evaluate(expression, conventions).result, conventions.rounding);
  } catch (error) {
    if (error instanceof ExpressionProblem) throw new Problem('not-valid', error.message);
    throw error;
  }
  try {
    await models.keptCalculations.create({ id, logbookId, personId: who.id, expression, result });
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
  }
  const kept = await models.keptCalculations.findByPk(id);
  if (!kept || kept.logbookId !== logbookId || kept.personId !== who.id) throw new Problem('already-used');
  return { id, expression: kept.expression, result: kept.result, keeper: who.name };
}

export interface OwnItem {
  readonly row: DrillItemRow;
  readonly item: DrillItem;
  readonly conventions: Conventions;
}

/** An item that was laid out for the caller. @throws Problem for anybody else's */
export async function ownItem({ database, kept }: Services, who: Caller, id: string): Promise<OwnItem> {
  const row = await database.models.drillItems.findByPk(id);
  if (!row) throw new Problem('not-found');
  if (row.personId !== who.id) throw new Problem('not-allowed');
  const conventions = await kept.conventions(row.conventionsId);
  return { row, conventions, item: makeItem(drillOf(row.kind), conventions, row.level, row.seed) };
}

const attemptsAt = ({ database }: Services, itemId: string): Promise<DrillAttemptRow[]> =>
  database.models.drillAttempts.findAll({ where: { itemId }, order: [['ordinal', 'asc']] });

const closed = (attempts: readonly DrillAttemptRow[]): boolean =>
  attempts.length >= triesAllowed || attempts.some(({ verdict }) => verdict.outcome === 'right');

function answerTo(
  item: DrillItem,
  { id, text, unit, verdict, ordinal }: DrillAttemptRow,
  attempts: readonly DrillAttemptRow[],
): DrillAttemptAnswer {
  const ended = closed(attempts.filter((other) => other.ordinal <= ordinal));
  return {
    id,
    text,
    unit,
    verdict,
    triesLeft: ended ? 0 : triesAllowed - ordinal,
    solution: ended ? { text: item.text, unit: item.unit, working: item.working } : null,
  };
}

/** First answers to drills, newest first: what evidence is drawn from. */
async function firstTries({ database }: Services, { id }: Caller): Promise<FirstTry[]> {
  const rows = await database.sequelize.query<{ kind: string; verdict: DrillAttemptRow['verdict'] }>(
    `select i.kind, a.verdict from drill_attempts a join drill_items i on i.id = a.item_id
      where a.ordinal = 1 and a.person_id = :id order by a.created_at desc limit 500`,
    { type: QueryTypes.SELECT, replacements: { id } },
  );
  return rows.map(({ kind, verdict }) => ({
    kind,
    right: verdict.outcome === 'right',
    codes: onlyCause(verdict).map(({ code }) => code),
    missing: onlyCause(verdict).map((cause) => missingSkill(kind, cause)),
    divisionsOff: null,
  }));
}

/** The cause of a verdict, where there is but one. */
const onlyCause = (verdict: DrillAttemptRow['verdict']) =>
  verdict.outcome === 'wrong' && verdict.causes.length === 1 ? verdict.causes : [];
