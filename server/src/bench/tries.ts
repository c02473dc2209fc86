import type { FirstTry, Verdict } from '@green-beam/core';
import { instruments } from '@green-beam/core';
import type { BenchAnswer } from '@green-beam/contract';
import { partSkills, readersMark, skillOf, suggest } from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import type { Database } from '../database/models';

export interface FirstTryRow extends FirstTry {
  readonly personId: string;
}

/** First tries at settings, newest first, of some people: what evidence is drawn from. */
export async function firstTriesOf(
  { sequelize }: Database,
  personIds: readonly string[],
): Promise<FirstTryRow[]> {
  if (personIds.length === 0) return [];
  const rows = await sequelize.query<{
    personId: string;
    kind: string;
    verdict: Verdict;
    divisionsOff: number | null;
  }>(
    `select a.person_id as "personId", s.kind, a.verdict, a.divisions_off as "divisionsOff"
       from attempts a join practice_settings s on s.id = a.setting_id
      where a.ordinal = 1 and a.person_id in (:personIds)
      order by a.created_at desc limit 20000`,
    { type: QueryTypes.SELECT, replacements: { personIds: [...personIds] } },
  );
  return rows.map(({ personId, kind, verdict, divisionsOff }) => ({
    personId,
    kind,
    right: verdict.outcome === 'right',
    codes: codesOf(verdict),
    divisionsOff,
  }));
}

/** The codes of a verdict's first explanation; none where several could not be told apart by their value fault. */
export function codesOf(verdict: Verdict): string[] {
  if (verdict.outcome !== 'wrong') return [];
  return verdict.explanations.length === 1 ? (verdict.explanations[0]?.map(({ code }) => code) ?? []) : [];
}

/** The instruments on the bench with what a person can do with each. */
export function benchOf(tries: readonly FirstTry[]): BenchAnswer {
  const lines = instruments.map(({ kind, name, models }) => ({
    kind,
    name,
    models: models.map((model) => ({ id: model.id, name: model.name })),
    skill: skillOf(kind, tries),
    parts: partSkills(kind, tries),
    mark: readersMark(kind, tries),
  }));
  return { instruments: lines, suggestion: suggest(lines.map(({ skill }) => skill)) ?? null };
}
