import {
  houseRules,
  readStored,
  type HouseRulesAnswer,
  type HouseRulesVersion,
  type NewHouseRules,
} from '@green-beam/contract';
import type { Conventions } from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { QueryTypes, UniqueConstraintError } from 'sequelize';
import type { Caller } from '../access/caller';
import { classFor, staffRoleIn } from '../access/membership';
import { Problem } from '../http/problem';
import type { Services } from '../services';

interface Row {
  readonly body: unknown;
  readonly madeAt: Date;
  readonly logbooks: number;
  readonly settings: number;
}

/** Every version of a class's house rules, the newest first, with how much work stays with each. */
export async function houseRulesFor(
  { database }: Services,
  who: Caller,
  classId: string,
): Promise<HouseRulesAnswer> {
  const rows = await database.sequelize.query<Row>(
    `select v.body, v.created_at as "madeAt",
            (select count(*)::int from logbooks where conventions_id = v.id) as logbooks,
            (select count(*)::int from exercises
              where conventions_id = v.id and item->>'of' = 'setting') as settings
       from class_conventions v where v.class_id = $1 order by v.version desc`,
    { type: QueryTypes.SELECT, bind: [classId] },
  );
  return {
    class: classFor(who, classId),
    versions: rows.map(({ body, madeAt, logbooks, settings }): HouseRulesVersion => ({
      rules: readStored(houseRules, body, 'set of house rules'),
      madeAt: madeAt.toISOString(),
      logbooks,
      settings,
    })),
    mayChange: staffRoleIn(classId, who) !== 'assistant',
  };
}

/** Keeps a new version; work that is under way stays with the one that it was begun with. @throws Problem */
export async function reviseHouseRules(
  services: Services,
  who: Caller,
  classId: string,
  { rules, from }: NewHouseRules,
): Promise<HouseRulesAnswer> {
  const { database, kept, publish } = services;
  const inForce = await kept.conventionsInForce(classId);
  if (inForce.body.version !== from) throw new Problem('changed-meanwhile');
  const body: Conventions = { ...rules, version: from + 1 };
  try {
    await database.models.classConventions.create({ id: randomUUID(), classId, version: body.version, body });
  } catch (error) {
    if (error instanceof UniqueConstraintError) throw new Problem('changed-meanwhile');
    throw error;
  }
  const members = await database.sequelize.query<{ id: string }>(
    `select person_id as id from class_students where class_id = $1
      union select person_id from class_staff where class_id = $1`,
    { type: QueryTypes.SELECT, bind: [classId] },
  );
  await publish.people(members.map(({ id }) => id));
  return houseRulesFor(services, who, classId);
}
