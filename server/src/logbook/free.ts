import type { NewFreeLogbook } from '@green-beam/contract';
import { shapes } from '@green-beam/core';
import { UniqueConstraintError } from 'sequelize';
import type { Caller } from '../access/caller';
import { Problem } from '../http/problem';
import type { Services } from '../services';
import { mayBeginIn, openLogbook } from './service';

/** The class in which the caller may begin a logbook of their own. @throws Problem where they may not */
export async function beginsIn({ database }: Services, who: Caller, classId: string): Promise<string> {
  const own = who.classes.some(({ id }) => id === classId);
  if (!own || (await mayBeginIn(database, who)) === null) throw new Problem('not-allowed');
  return classId;
}

/** Begins a logbook of one’s own from a shape; sent again, it is the same one. @throws Problem */
export async function beginLogbook(
  services: Services,
  who: Caller,
  classId: string,
  { id, shape, title }: NewFreeLogbook,
): Promise<{ readonly logbookId: string }> {
  const { database, kept } = services;
  const found = shapes.find(({ key }) => key === shape);
  if (!found) throw new Problem('not-valid', 'There is no such shape to begin from.');
  try {
    await database.models.investigations.create({
      id,
      classId,
      personId: who.id,
      body: { ...found.body, title, object: title },
      familyId: id,
      version: 1,
      retired: false,
    });
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
  }
  const investigation = await kept.investigation(id);
  if (investigation.personId !== who.id) throw new Problem('already-used');
  return openLogbook(services, who, investigation);
}
