import {
  readStored,
  storedInvestigation,
  type InvestigationLine,
  type InvestigationsAnswer,
  type NewInvestigation,
} from '@green-beam/contract';
import { boltPin, readyMade, shackleRing, withAnswers, type Investigation } from '@green-beam/core';
import { UniqueConstraintError } from 'sequelize';
import { Problem } from '../http/problem';
import type { Services } from '../services';
import type { Caller } from '../access/caller';
import { classFor } from '../access/membership';

/** What a new class begins with. */
export const setAtFirst: readonly Investigation[] = [boltPin, shackleRing].map(withAnswers);

/** The newest version of each of a class's investigations, with the logbooks of all versions. */
export async function investigationsOf(
  { database, kept }: Services,
  who: Caller,
  classId: string,
): Promise<InvestigationsAnswer> {
  const [versions, books, row] = await Promise.all([
    database.models.investigations.findAll({
      where: { classId, personId: null },
      order: [
        ['createdAt', 'asc'],
        ['version', 'asc'],
      ],
    }),
    kept.books.lines({ inClass: classId }),
    database.models.classes.findByPk(classId, { attributes: ['freeLogbooks'] }),
  ]);
  const families = [...new Set(versions.map(({ familyId }) => familyId))];
  const investigations = families.flatMap((familyId): InvestigationLine[] => {
    const family = versions.filter((version) => version.familyId === familyId);
    const newest = family.at(-1);
    if (!newest) return [];
    const { id, version, retired } = newest;
    const body = readStored(storedInvestigation, newest.body, 'investigation');
    const logbooks = books.flatMap(({ line }) =>
      family.some((own) => own.id === line.investigationId) ? [line] : [],
    );
    return [{ id, version, retired, body, logbooks }];
  });
  return {
    class: classFor(who, classId),
    investigations,
    freeLogbooks: row?.freeLogbooks ?? false,
    readyMade: readyMade.map(withAnswers),
  };
}

/**
 * Keeps an investigation: a new one, or the next version of one of the class's own. Logbooks that are open stay with the
 * version that they were opened with. @throws Problem with the first place that is wrong
 */
export async function keepInvestigation(
  services: Services,
  classId: string,
  { id, replaces, body }: NewInvestigation,
): Promise<{ readonly id: string }> {
  const { models } = services.database;
  const read = await services.workers.run('checkInvestigation', { body }, classId);
  if (!read.ok) {
    const [first] = read.problems;
    throw new Problem('not-an-investigation', [first?.place, first?.sentence].filter(Boolean).join(': '));
  }
  const before = replaces ? await models.investigations.findByPk(replaces) : null;
  if (replaces && (before?.classId !== classId || before.personId)) throw new Problem('not-found');
  const newest =
    before &&
    (await models.investigations.findOne({
      where: { familyId: before.familyId },
      order: [['version', 'desc']],
    }));
  try {
    await models.investigations.create({
      id,
      classId,
      body: read.investigation,
      familyId: newest?.familyId ?? id,
      version: (newest?.version ?? 0) + 1,
      retired: false,
    });
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    const twin = await models.investigations.findByPk(id);
    if (twin?.classId !== classId)
      throw new Problem('already-used', 'Somebody else has just changed it too. Open it again.');
  }
  services.publish.board(classId, []);
  return { id };
}

/** Takes an investigation off the students' list, or puts it on again. Open logbooks stay. @throws Problem */
export async function changeInvestigation(
  { database }: Services,
  classId: string,
  investigationId: string,
  retired: boolean,
): Promise<object> {
  const row = await database.models.investigations.findByPk(investigationId);
  if (row?.classId !== classId) throw new Problem('not-found');
  await row.update({ retired });
  return {};
}
