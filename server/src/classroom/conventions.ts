import type { Conventions } from '@green-beam/core';
import { Problem } from '../http/problem';
import type { Services } from '../services';

/** The newest version of a class's conventions. @throws Problem for a class that has none. */
export async function conventionsOfClass(
  { database, kept }: Services,
  classId: string,
): Promise<{ readonly id: string; readonly body: Conventions }> {
  const row = await database.models.classConventions.findOne({
    attributes: ['id'],
    where: { classId },
    order: [['version', 'desc']],
  });
  if (!row) throw new Problem('not-found', 'This class has no conventions.');
  return { id: row.id, body: await kept.conventions(row.id) };
}
