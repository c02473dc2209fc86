import type { StaffRole, Who } from '@green-beam/contract';
import { presetNamed, type Conventions } from '@green-beam/core';
import type { Database } from '../database/models';
import { Problem } from '../http/problem';

/** A class's conventions in force, with the row that keeps this version. */
export interface ConventionsInForce {
  readonly id: string | null;
  readonly body: Conventions;
}

/** The newest version of a class's conventions. @throws Problem for a class that has none. */
export async function conventionsOfClass(
  { models }: Database,
  classId: string,
): Promise<{ id: string; body: Conventions }> {
  const row = await models.classConventions.findOne({ where: { classId }, order: [['version', 'desc']] });
  if (!row) throw new Problem('not-found', 'This class has no conventions.');
  return { id: row.id, body: row.body };
}

/** What a person's own practice is judged by: their first class's conventions, or the standard preset. */
export async function conventionsFor(
  database: Database,
  { classes: [first] }: Who,
): Promise<ConventionsInForce> {
  return first ? conventionsOfClass(database, first.id) : { id: null, body: presetNamed('Chemistry bench') };
}

/** The caller's part in a class. @throws Problem when they have none. */
export async function staffRoleIn({ models }: Database, classId: string, who: Who): Promise<StaffRole> {
  const staff = await models.classStaff.findOne({ where: { classId, personId: who.id } });
  if (!staff) throw new Problem('not-allowed');
  return staff.role;
}

/** Owners and co-teachers may change the roster; assistants may only look. @throws Problem */
export async function mayManage(database: Database, classId: string, who: Who): Promise<void> {
  if ((await staffRoleIn(database, classId, who)) === 'assistant') throw new Problem('not-allowed');
}

/** The students who write in a logbook, by name. */
export async function membersOf(
  { models }: Database,
  logbookId: string,
): Promise<{ id: string; name: string }[]> {
  const members = await models.logbookMembers.findAll({ where: { logbookId } });
  const people = await models.people.findAll({
    where: { id: members.map(({ personId }) => personId) },
    order: [['name', 'asc']],
  });
  return people.map(({ id, name }) => ({ id, name }));
}
