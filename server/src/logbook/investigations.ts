import {
  checkInvestigationFile,
  type InvestigationLine,
  type InvestigationsAnswer,
  type LogbookLine,
  type NewInvestigation,
} from '@green-beam/contract';
import { boltPin, readyMade, shackleRing, type Investigation } from '@green-beam/core';
import { UniqueConstraintError } from 'sequelize';
import type { Database, InvestigationRow } from '../database/models';
import { Problem } from '../http/problem';
import type { Services } from '../services';
import { className } from '../session/service';
import { lineFor } from './service';

/** What a new class begins with. */
export const setAtFirst: readonly Investigation[] = [boltPin, shackleRing];

/** The newest version of each of a class's investigations, with the logbooks of all versions. */
export async function investigationsOf(
  { database }: Services,
  classId: string,
): Promise<InvestigationsAnswer> {
  const { models } = database;
  const row = await models.classes.findByPk(classId);
  if (!row) throw new Problem('not-found');
  const versions = await models.investigations.findAll({
    where: { classId },
    order: [
      ['createdAt', 'asc'],
      ['version', 'asc'],
    ],
  });
  const families = [...new Set(versions.map(({ familyId }) => familyId))];
  const investigations = await Promise.all(
    families.flatMap((familyId) => {
      const family = versions.filter((version) => version.familyId === familyId);
      const newest = family.at(-1);
      return newest ? [lineOf(database, newest, family)] : [];
    }),
  );
  return { class: className(row), investigations, readyMade };
}

async function lineOf(
  database: Database,
  newest: InvestigationRow,
  family: readonly InvestigationRow[],
): Promise<InvestigationLine> {
  const books = await database.models.logbooks.findAll({
    where: { investigationId: family.map(({ id }) => id) },
  });
  const logbooks = await Promise.all(
    books.flatMap((book): Promise<LogbookLine>[] => {
      const version = family.find(({ id }) => id === book.investigationId);
      return version ? [lineFor(database, version, book)] : [];
    }),
  );
  const { id, version, retired, body } = newest;
  return { id, version, retired, body, logbooks };
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
  const read = checkInvestigationFile(body);
  if (!read.ok) {
    const [first] = read.problems;
    throw new Problem('not-an-investigation', [first?.place, first?.sentence].filter(Boolean).join(': '));
  }
  const before = replaces ? await models.investigations.findByPk(replaces) : null;
  if (replaces && before?.classId !== classId) throw new Problem('not-found');
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
  services.live.tell({ changed: 'board', classId, readers: [] });
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
