import type { ComparisonsAnswer, NewComparison } from '@green-beam/contract';
import { Problem } from '../http/problem';
import type { Services } from '../services';

/** So many comparisons a class keeps at most. */
const mostComparisons = 100;

export async function comparisonsOf({ database }: Services, classId: string): Promise<ComparisonsAnswer> {
  const rows = await database.models.comparisons.findAll({
    where: { classId },
    order: [
      ['createdAt', 'desc'],
      ['id', 'asc'],
    ],
  });
  return { comparisons: rows.map(({ id, name, address }) => ({ id, name, address })) };
}

/** Keeps a comparison; kept again, it stands once. @throws Problem */
export async function keepComparison(
  services: Services,
  classId: string,
  { id, name, address }: NewComparison,
): Promise<ComparisonsAnswer> {
  const { comparisons } = services.database.models;
  if ((await comparisons.count({ where: { classId } })) >= mostComparisons)
    throw new Problem('not-valid', `A class keeps ${mostComparisons} comparisons. Take one out first.`);
  await comparisons.bulkCreate([{ id, classId, name, address }], { ignoreDuplicates: true });
  return comparisonsOf(services, classId);
}

export async function removeComparison(
  services: Services,
  classId: string,
  id: string,
): Promise<ComparisonsAnswer> {
  await services.database.models.comparisons.destroy({ where: { id, classId } });
  return comparisonsOf(services, classId);
}
