import type { CalculationAnswer, ConventionsAnswer, NewCalculation } from '@green-beam/contract';
import { UniqueConstraintError } from 'sequelize';
import type { Caller } from '../access/caller';
import { Problem } from '../http/problem';
import type { OpenBook } from '../kept/keptRows';
import { conventionsOfBook } from '../logbook/service';
import type { Services } from '../services';

/** The conventions that the caller's own work follows. */
export async function conventionsOf({ kept }: Services, who: Caller): Promise<ConventionsAnswer> {
  return { conventions: await kept.conventions(who.conventionsId) };
}

/** Keeps a calculation in a logbook, reckoned anew by the class's conventions. @throws Problem */
export async function keepCalculation(
  services: Services,
  who: Caller,
  book: OpenBook,
  { id, expression }: NewCalculation,
): Promise<CalculationAnswer> {
  const { models } = services.database;
  const logbookId = book.id;
  const conventions = await conventionsOfBook(services, book);
  const result = await services.workers.run('calculate', { expression, conventions }, who.id);
  try {
    await models.keptCalculations.create({ id, logbookId, personId: who.id, expression, result });
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
  }
  const kept = await models.keptCalculations.findByPk(id);
  if (!kept || kept.logbookId !== logbookId || kept.personId !== who.id) throw new Problem('already-used');
  return { id, expression: kept.expression, result: kept.result, keeper: who.name };
}
